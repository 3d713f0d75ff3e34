import { wrongWith, type Corners, type Shape, type Spot } from '../frame';
import { Field, reduced, type Raster } from './field';
import { partedByGaps } from './gaps';
import type { Card } from './cards';
import { findGrey, type GreySearch } from './grey';
import { groundOf, type Ground } from './ground';
import { ordered, polygonArea, quadAround, whole, type Quad } from './quad';
import { refined } from './refine';
import { offGround, regionsOf, type Point, type Region } from './regions';
import { roundOf } from './round';

/** Raised when what is found would come out otherwise. */
export const FRAME_METHOD = 1;

/** A frame with how strong the weakest of its edges is (OKLab), for those who choose among several. */
export type FoundFrame = { shape: Shape; edge: number };

export type Seen = {
  frames: FoundFrame[];
  /** Why there is no frame: no even ground around the edge, or nothing whole lies on it. */
  why: 'no-ground' | 'nothing' | null;
  grey: GreySearch;
};

/** Parts smaller than this share of the largest are something else: a card, a tool. */
const LEAST_OF_LARGEST = 0.3;

/**
 * Looks at a picture it has never seen: where faces lie (in reading order), and the grey reference. `faces`
 * is how many are expected, when that is known. Says why when it finds no face.
 */
export function look(raster: Raster, { cards, faces }: { cards: readonly Card[]; faces?: number }): Seen {
  const field = new Field(reduced(raster));
  const ground = groundOf(field);
  const found = ground === null ? [] : candidates(field, ground, faces);
  const regions = found.map(({ quad }) => quad);
  const grey = findGrey(field, cards, regions);
  const strip = grey.found === null ? null : (pixels(field, grey.found.corners) as Quad);
  const own = found.filter((one) => strip === null || !overlaps(one, strip));
  const largest = Math.max(0, ...own.map(({ area }) => area));
  const kept = own.filter(({ area }) => area >= LEAST_OF_LARGEST * largest);
  const why = kept.length > 0 ? null : ground === null ? 'no-ground' : 'nothing';
  return { frames: inReadingOrder(kept), why, grey };
}

const pixels = (field: Field, corners: readonly Spot[]): Point[] =>
  corners.map(({ x, y }) => ({ x: x * field.width, y: y * field.height }));

/** The middle of one lies on the other: a card that was taken for a face. */
const overlaps = ({ x, y, area }: Candidate, strip: Quad): boolean => {
  const centre = strip.reduce((sum, one) => ({ x: sum.x + one.x / 4, y: sum.y + one.y / 4 }), { x: 0, y: 0 });
  return (
    area < 2.6 * polygonArea(strip) &&
    Math.hypot(x - centre.x, y - centre.y) < 0.5 * Math.sqrt(polygonArea(strip))
  );
};

function candidates(field: Field, ground: Ground, faces: number | undefined): Candidate[] {
  const regions = regionsOf(field, offGround(field, ground), ground).filter(({ cut }) => !cut);
  const least = LEAST_OF_LARGEST * 0.3 * (regions[0]?.area ?? 0);
  return regions
    .filter(({ area }) => area >= least)
    .flatMap((region) => framesOf(field, ground, region, faces !== 1));
}

type Candidate = FoundFrame & { area: number; x: number; y: number; height: number; quad: Quad };

/** Rows from the top, each from the left. */
function inReadingOrder(list: Candidate[]): FoundFrame[] {
  const rows: Candidate[][] = [];
  for (const one of [...list].sort((a, b) => a.y - b.y)) {
    const row = rows.at(-1);
    if (row !== undefined && one.y - row[0]!.y < 0.5 * row[0]!.height) row.push(one);
    else rows.push([one]);
  }
  return rows.flatMap((row) => row.sort((a, b) => a.x - b.x).map(({ shape, edge }) => ({ shape, edge })));
}

const cornersIn = ({ width, height }: Field, [a, b, c, d]: Quad): Corners['corners'] => {
  const place = ({ x, y }: Point): Spot => ({ x: x / width, y: y / height });
  return [place(a), place(b), place(c), place(d)];
};

const boxAround = (x: number, y: number, across: number, along: number): Quad => {
  const r = Math.min(across, along);
  return [
    { x: x - r, y: y + r },
    { x: x + r, y: y + r },
    { x: x + r, y: y - r },
    { x: x - r, y: y - r },
  ];
};

const FOUR_CORNERS = 0.95;

function framesOf(field: Field, ground: Ground, region: Region, part: boolean): Candidate[] {
  const rough = quadAround(region.hull);
  const hull = polygonArea(region.hull);
  const fitsQuad = rough === null ? 0 : hull / polygonArea(rough);
  // Of what has four corners no ellipse covers so much (of an ellipse four corners leave out a fifth).
  const round = fitsQuad > FOUR_CORNERS ? null : roundOf(field, ground, region);
  if (round !== null && round.fits > 0.93 && round.fits > fitsQuad) {
    const { x, y, across, along, turn } = round;
    return [
      {
        shape: {
          kind: 'ellipse',
          centre: { x: x / field.width, y: y / field.height },
          across: across / field.width,
          along: along / field.width,
          turn: (turn * 180) / Math.PI,
        },
        edge: 1,
        area: Math.PI * across * along,
        x,
        y,
        height: 2 * along,
        quad: boxAround(x, y, across, along),
      },
    ];
  }
  if (rough === null) return [];
  const figure = ordered(whole(rough));
  return (part ? partedByGaps(field, ground, figure) : [figure]).flatMap((one) => {
    const fine = refined(field, ground, one);
    const quad: Quad = fine?.quad ?? one;
    const shape: Shape = {
      kind: 'corners',
      corners: cornersIn(field, quad),
    };
    if (wrongWith(shape) !== null) return [];
    const ys = quad.map(({ y }) => y);
    return [
      {
        shape,
        edge: fine?.edge ?? 0,
        quad,
        area: polygonArea(quad),
        x: quad.reduce((sum, { x }) => sum + x / 4, 0),
        y: ys.reduce((sum, y) => sum + y / 4, 0),
        height: Math.max(...ys) - Math.min(...ys),
      },
    ];
  });
}
