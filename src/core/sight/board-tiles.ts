/** The tiles of a board whose rows and columns are known: where each lies, and which hooks hang empty. */
import { apply, homographyOnto, type Corners, type Homography } from '../frame';
import type { Board } from './board';
import { far, Field, reduced, type Raster } from './field';
import { groundOf, type Ground } from './ground';
import { polygonArea, type Quad } from './quad';
import { refined } from './refine';

export type BoardTile = {
  /** Rows from the top, columns from the left, both from 0. */
  row: number;
  column: number;
  corners: Corners['corners'];
  /** Nothing but ground is seen there. */
  empty: boolean;
};

export type Grid = Pick<Board, 'corners' | 'rows' | 'columns'>;

/** So many places across and up a tile are looked at. */
const LOOKS = 14;
/** Ground on more of a tile's place than this: no tile hangs there. */
const EMPTY = 0.8;
/** A gap is at most this share of what repeats. */
const WIDEST = 0.3;
/**
 * An outline drawn onto edges may be this much smaller or larger than its place, and its corners this far off
 * it.
 */
const ALIKE = 0.3;
const OFF = 0.16;

/** The part of the board that a tile takes, from left to right and from its foot to its rim. */
type Place = { left: number; right: number; foot: number; rim: number };

const parts = (count: number, gap: number): [number, number][] => {
  const part = (1 - (count - 1) * gap) / count;
  return Array.from({ length: count }, (_, i) => [i * (part + gap), i * (part + gap) + part]);
};

function placesOf(rows: number, columns: number, gaps: { across: number; up: number }): Place[] {
  const across = parts(columns, gaps.across);
  const down = parts(rows, gaps.up);
  return down.flatMap(([top, bottom]) =>
    across.map(([left, right]) => ({ left, right, foot: 1 - bottom, rim: 1 - top })),
  );
}

const quadOn = (map: Homography, { left, right, foot, rim }: Place): Quad => [
  apply(map, { x: left, y: foot }),
  apply(map, { x: right, y: foot }),
  apply(map, { x: right, y: rim }),
  apply(map, { x: left, y: rim }),
];

class Seen {
  private readonly own = new Float64Array(3);
  private readonly under = new Float64Array(3);
  constructor(
    private readonly field: Field,
    private readonly ground: Ground,
    private readonly map: Homography,
  ) {}

  /** Ground, plain or in a tile's shade, at a place of the board. */
  isGround(x: number, y: number, shaded: boolean): boolean {
    const at = apply(this.map, { x, y });
    this.field.sample(at.x, at.y, this.own);
    this.ground.at(at.x, at.y, this.under);
    const dl = this.own[0]! - this.under[0]!;
    const tint = far(this.own[1]! - this.under[1]!, this.own[2]! - this.under[2]!);
    const limit = Math.max(0.02, 4 * this.ground.grain);
    return 1.5 * tint < limit && dl < limit && dl > (shaded ? -0.22 : -limit);
  }

  /**
   * How wide the gaps between so many parts are, as a share of the board: the middle of what is seen at their
   * borders.
   */
  gap(count: number, along: 'across' | 'up'): number {
    if (count < 2) return 0;
    const pitch = 1 / count;
    const step = pitch / 40;
    const widths: number[] = [];
    for (let line = 1; line < count; line++) {
      let width = 0;
      for (let t = -0.25 * pitch; t <= 0.25 * pitch; t += step) {
        let seen = 0;
        for (let i = 0; i < 60; i++) {
          const [u, v] = [line * pitch + t, (i + 0.5) / 60];
          if (along === 'across' ? this.isGround(u, v, true) : this.isGround(v, u, true)) seen++;
        }
        if (seen > 40) width += step;
      }
      widths.push(width);
    }
    const middle = widths.sort((a, b) => a - b)[widths.length >> 1]!;
    return Math.min(WIDEST * pitch, middle);
  }

  empty({ left, right, foot, rim }: Place): boolean {
    let seen = 0;
    for (let j = 0; j < LOOKS; j++)
      for (let i = 0; i < LOOKS; i++)
        if (
          this.isGround(
            left + ((i + 0.5) / LOOKS) * (right - left),
            foot + ((j + 0.5) / LOOKS) * (rim - foot),
            false,
          )
        )
          seen++;
    return seen > EMPTY * LOOKS * LOOKS;
  }
}

/** The outline on the edges that are there, if it still is about the place that was looked at. */
function near(field: Field, ground: Ground, place: Quad): Quad {
  const found = refined(field, ground, place)?.quad;
  if (found === undefined) return place;
  const area = polygonArea(place);
  const side = Math.sqrt(area);
  const alike = Math.abs(polygonArea(found) / area - 1) < ALIKE;
  const there = found.every(({ x, y }, i) => Math.hypot(x - place[i]!.x, y - place[i]!.y) < OFF * side);
  return alike && there ? found : place;
}

/**
 * Where the tiles of a board lie. Corners are those of all tiles together; tiles are taken to be equally
 * large, each then drawn onto its own edges where these are seen. Without an even ground they are equal
 * parts, and none is called empty. Rows and columns: whole numbers from 1.
 */
export function boardTiles(raster: Raster, { corners, rows, columns }: Grid): BoardTile[] {
  const field = new Field(reduced(raster));
  const { width, height } = field;
  const map = homographyOnto(corners.map(({ x, y }) => ({ x: x * width, y: y * height })) as Quad);
  const ground = groundOf(field);
  const seen = ground === null ? null : new Seen(field, ground, map);
  const gaps = { across: seen?.gap(columns, 'across') ?? 0, up: seen?.gap(rows, 'up') ?? 0 };
  return placesOf(rows, columns, gaps).map((place, i) => {
    const empty = seen?.empty(place) ?? false;
    const rough = quadOn(map, place);
    const quad = ground === null || empty ? rough : near(field, ground, rough);
    return {
      row: Math.floor(i / columns),
      column: i % columns,
      corners: quad.map(({ x, y }) => ({ x: x / width, y: y / height })) as Corners['corners'],
      empty,
    };
  });
}
