import { onFace as onFramedFace, onPicture, type Shape, type Spot } from '../frame';
import { inSector, type Zone } from '../zones';

/**
 * Where somebody touched a drawing or a picture to say that a sign is there. `x` runs from the left edge to
 * the right,
 * `y` from the top edge down, both 0 to 1. On the drawing of a face (`face`) the top is the rim and the
 * bottom the foot; a face that is drawn in rings has its rim all around. On a picture (`sha`) only a frame
 * says where the rim is (`ontoFace`).
 */
export type Point = { face: number | null; sha: string | null; x: number; y: number };

/** How many touches are kept of one sign: more say "all over", which is a word and no place. */
export const MOST_POINTS = 12;

/** Two touches this near to each other mean the same spot: touching a mark takes it away. */
const SAME_SPOT = 0.05;

/**
 * Where a point lies on its face as the zones measure it: height from the foot (or from the centre) and turn,
 * 0 to 1.
 */
function onFace({ x, y }: Point, rings: boolean): { height: number; turn: number } {
  if (!rings) return { height: 1 - y, turn: x };
  const [dx, dy] = [x - 0.5, y - 0.5];
  // Clockwise from the top; beyond the rim is the rim.
  const turn = (Math.atan2(dx, -dy) / (2 * Math.PI) + 1) % 1;
  return { height: Math.min(1, 2 * Math.hypot(dx, dy)), turn };
}

/**
 * The zones in which a point of a drawing lies: one, or the parts of a relief that share the place.
 * A point of a picture lies in none that is known.
 */
export function zonesAt<Z extends Pick<Zone, 'face' | 'stretch' | 'sector'>>(
  zones: readonly Z[],
  point: Point,
  rings = false,
): Z[] {
  const { height, turn } = onFace(point, rings);
  return zones.filter(
    ({ face, stretch, sector }) =>
      face === point.face &&
      height >= stretch.from &&
      (height < stretch.to || stretch.to === 1) &&
      inSector(turn, sector),
  );
}

/** The frames of a picture, as far as a touch of it needs them. */
export type FramedHere = {
  sha: string;
  width: number;
  height: number;
  frames: readonly { face: number; shape: Shape }[];
};

/** Touches this far outside a frame are still meant for its edge, as a share of the face. */
const SLACK = 0.03;

/**
 * Touches of pictures put where they are on the drawing of the face they lie on; those outside every frame,
 * or in a picture without one, stay as they are. `rings` says of which faces the drawing is made of rings.
 */
export const ontoFaces = (
  points: readonly Point[],
  pictures: readonly FramedHere[],
  rings: (face: number) => boolean,
): Point[] =>
  points.map((point) => {
    const picture = point.sha === null ? undefined : pictures.find(({ sha }) => sha === point.sha);
    for (const { face, shape } of picture?.frames ?? []) {
      const at = onFramedFace(shape, point, picture!.height / picture!.width, SLACK);
      if (at === null) continue;
      if (!rings(face)) return { face, sha: null, x: at.turn, y: 1 - at.height };
      const angle = 2 * Math.PI * at.turn;
      return {
        face,
        sha: null,
        x: 0.5 + (at.height / 2) * Math.sin(angle),
        y: 0.5 - (at.height / 2) * Math.cos(angle),
      };
    }
    return point;
  });

/**
 * Where touches lie in a picture: those of itself, and those of a drawing whose face is framed in it. Others
 * are not in it. The other way round of `ontoFaces`.
 */
export const ontoPicture = (
  points: readonly Point[],
  { sha, width, height, frames }: FramedHere,
  rings: (face: number) => boolean,
): Spot[] =>
  points.flatMap((point): Spot[] => {
    if (point.sha === sha) return [{ x: point.x, y: point.y }];
    const frame = point.face === null ? undefined : frames.find(({ face }) => face === point.face);
    return frame === undefined
      ? []
      : [onPicture(frame.shape, onFace(point, rings(frame.face)), height / width)];
  });

/** How high a point of a drawing lies: 0 at the foot or in the middle of rings, 1 at the rim. */
export const heightOf = (point: Point, rings = false): number => onFace(point, rings).height;

/**
 * "at the rim", "near the foot", "half-way up": where the points of a drawing are, the commonest first; ''
 * for none.
 */
export function placesWords(points: readonly Point[], rings = false): string {
  const words = points
    .filter(({ face }) => face !== null)
    .map((point) => {
      const { height } = onFace(point, rings);
      if (rings) return height > 0.85 ? 'at the rim' : height < 0.35 ? 'in the middle' : 'half-way out';
      return height > 0.85
        ? 'at the rim'
        : height < 0.15
          ? 'at the foot'
          : height > 0.6
            ? 'high'
            : height < 0.4
              ? 'low'
              : 'half-way up';
    });
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([word]) => word)
    .join(', ');
}

/**
 * The points after a touch: one more, or the one that was touched taken away; the oldest goes when there are
 * too many.
 */
export function touched(points: readonly Point[], at: Point): Point[] {
  const there = points.find(
    (one) => one.face === at.face && one.sha === at.sha && Math.hypot(one.x - at.x, one.y - at.y) < SAME_SPOT,
  );
  if (there !== undefined) return points.filter((one) => one !== there);
  const round = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 1000) / 1000;
  return [...points, { ...at, x: round(at.x), y: round(at.y) }].slice(-MOST_POINTS);
}

/**
 * What is said of many alike: a place on the drawing holds for all, one on a picture for what is in the
 * picture alone.
 */
export const ofAllAlike = <S extends { points?: Point[] }>(signs: readonly S[]): S[] =>
  signs.map((sign) =>
    sign.points === undefined ? sign : { ...sign, points: sign.points.filter(({ sha }) => sha === null) },
  );
