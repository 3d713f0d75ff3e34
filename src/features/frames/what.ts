/** What glaze is that: the studio’s cells by their distance from a colour. */
import { z } from 'zod';
import { distanceWords, nearestCells, type Lab } from '@/core/colour';
import type { Cut } from '@/core/frame';
import { cellsByIds } from '@/data/board';
import { coatNames } from '@/data/coatings';
import { zonesNear } from '@/data/colour-search';
import type { Source } from '@/data/database';
import { slugsInFiring } from '@/data/layers';
import { RUNS } from '@/data/finding';
import { readRepeats } from '@/data/repeats';
import { keptBodies, keptCoatings, namedCell, type NamedCell } from '../chart/server';

const words = z
  .string()
  .max(60)
  .transform((text) => text || null)
  .nullable()
  .default(null);

export const whatSchema = z.object({
  l: z.coerce.number().min(-5).max(105),
  a: z.coerce.number().min(-150).max(150),
  b: z.coerce.number().min(-150).max(150),
  grey: z.enum(['yes', 'no']),
  body: words,
  cone: words,
  atmosphere: words,
  surface: words,
  /** Slugs, apart by commas: only stacks of these. */
  among: z.string().max(2000).default(''),
  /** It came out of this firing: only stacks of what was in it. */
  firing: z.union([z.uuid(), z.literal('')]).default(''),
  /** An effect that it shows. */
  effect: z.string().max(60).default(''),
  /** Only what has no fault and does not run. */
  clean: z.enum(['yes', 'no']).default('no'),
});

export type WhatCell = NamedCell & {
  id: string;
  photo: string | null;
  cut: Cut | null;
  surface: string | null;
  /** ΔE₀₀, and what that is here; null without a grey: then only the order says something. */
  distance: number | null;
  words: string | null;
  /** Of its measured pieces, those that come near. */
  pieces: number;
};
export type What = {
  cells: WhatCell[];
  /** What to make of it all: that nothing comes near, or that it is by eye. */
  words: string;
};

const SHOWN = 12;
/** Further off than this nothing is near, where repeats are unknown. Common practice, no source. */
const FAR = 10;

/**
 * The cells that come nearest to a colour, narrowed by what is known; in the terms of the studio’s own
 * repeats.
 */
export async function whatIs(src: Source, asked: z.output<typeof whatSchema>): Promise<What> {
  const lab: Lab = [asked.l, asked.a, asked.b];
  const byGrey = asked.grey === 'yes';
  const said = asked.among.split(',').filter(Boolean);
  const inKiln = asked.firing === '' ? null : await slugsInFiring(src, asked.firing);
  if (inKiln?.length === 0) return { cells: [], words: 'Nobody knows of any coating in that firing.' };
  const among = inKiln === null ? said : inKiln.filter((slug) => said.length === 0 || said.includes(slug));
  if (inKiln !== null && among.length === 0)
    return { cells: [], words: 'None of these coatings was in that firing.' };
  const [zones, repeats, bodies, coatings] = await Promise.all([
    zonesNear(src, { ...asked, lab, byGrey, among }),
    readRepeats(src),
    keptBodies(src),
    keptCoatings(src),
  ]);
  const near = nearestCells(lab, zones).slice(0, 3 * SHOWN);
  const found = new Map(
    (
      await cellsByIds(
        src,
        near.map(({ cellId }) => cellId),
      )
    ).map((cell) => [cell.id, cell]),
  );
  const names = coatNames(coatings);
  const cells = near
    .flatMap(({ cellId, distance, pieces }): WhatCell[] => {
      const cell = found.get(cellId);
      if (cell === undefined) return [];
      const faulty = cell.signs.some(({ wanted }) => !wanted) || (cell.movementMm ?? 0) >= RUNS;
      if (asked.clean === 'yes' && faulty) return [];
      return [
        {
          ...namedCell(
            cell,
            bodies.find(({ id }) => id === cell.bodyId),
            names,
          ),
          id: cell.id,
          photo: cell.photo,
          cut: cell.cut,
          surface: cell.surface,
          distance: byGrey ? distance : null,
          words: byGrey ? distanceWords(distance, repeats.between) : null,
          pieces,
        },
      ];
    })
    .slice(0, SHOWN);
  return { cells, words: summary(cells, byGrey, repeats.between?.most ?? FAR) };
}

function summary(cells: readonly WhatCell[], byGrey: boolean, far: number): string {
  const [first] = cells;
  if (first === undefined) return 'Nothing that was measured fits what is known of it.';
  if (!byGrey)
    return 'By eye, not measured: candidates in order, the likeliest first. Without a grey card no distance can be told.';
  if (first.distance! > far)
    return `Nothing here comes near: the nearest is ${first.distance!.toFixed(1)} ΔE₀₀ off.`;
  const alike = cells.filter(({ distance }) => distance! <= far).length;
  return alike === 1
    ? 'One comes as near as two repeats do.'
    : `${alike} come as near as two repeats do: colour alone does not tell them apart.`;
}
