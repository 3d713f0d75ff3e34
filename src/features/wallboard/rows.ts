/** The tiles of a board as rows of an import, and as faces and zones to be measured. */
import { split, type Corners } from '@/core/frame';
import { placeOf, tileOf, type WallTile } from '@/core/wallboard';
import { EVERYWHERE, zonesOf, type Coat, type Face, type Layer, type Zone } from '@/core/zones';
import type { ImportRow } from '../exchange/server';
import type { BringBoard } from './contracts';

/** The grounds of a tile’s faces, in the order of their numbers; halves lie side by side. */
export const groundsOf = ({ halves }: Pick<BringBoard['board'], 'halves'>): Face[] =>
  (halves === null ? ['bare' as const] : [halves.left, halves.right]).map((kind, i) => ({
    no: i + 1,
    kind,
    slip: null,
  }));

export function rowsOf({ board, tiles, cone, atmosphere, firedOn }: BringBoard): ImportRow[] {
  return tiles.map(({ row, column, own }, i): ImportRow => {
    const tile = tileOf(board, row, column, own);
    return {
      line: i + 1,
      code: null,
      mark: placeOf(row, column),
      body: tile.body,
      form: 'tile',
      coats: tile.coats.map((one) => ({ ...one, method: null })),
      faces: groundsOf(board).map(({ kind }) => kind),
      key: tile.lost ? 'lost' : tile.doubted ? 'likely' : 'sure',
      cone,
      atmosphere,
      date: firedOn,
      kiln: null,
      surface: null,
      colour: null,
      movementMm: null,
      signs: [],
      rating: null,
      verdict: null,
      note: own === null || own === '' ? '' : `Written on it: ${own}`,
      errors: [],
      warnings: [],
    };
  });
}

/** The zones that a tile will have, by what is known of its coatings before it is written. */
export function zonesOn(
  board: BringBoard['board'],
  tile: WallTile,
  known: (name: string) => Coat | undefined,
): Zone[] {
  if (tile.lost) return [];
  const layers = tile.coats.map(({ coating, coats, stretch }): Layer => ({
    coat: known(coating) ?? { slug: coating.toLowerCase(), version: 1, kind: 'glaze' },
    method: 'dip',
    coats,
    weight: 'normal',
    thicknessMm: null,
    seconds: null,
    stage: 'bisque',
    driedBefore: null,
    region: { ...EVERYWHERE, stretch },
    generation: 1,
  }));
  return zonesOf(groundsOf(board), layers, 1);
}

/** A tile’s place in the picture, face by face. */
export const framesOn = (
  board: Pick<BringBoard['board'], 'halves'>,
  shape: Corners,
): { face: number; shape: Corners; guessed: boolean }[] =>
  split(shape, board.halves === null ? 1 : 2).map((part, i) => ({ face: i + 1, shape: part, guessed: true }));
