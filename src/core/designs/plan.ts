import { designOf, type Design } from './kinds';
import { ALL, type Bench, type Draft } from './kinds/design';
import type { PlannedTile } from './terms';

/**
 * The tiles of a design, body by body, each repeated `repeats` times, numbered from 1.
 * Controls are the tile to compare with: the plain base of a ladder, one normal coat, the
 * pure corners of a blend (which are always there). Throws a RangeError on a design that
 * cannot be made.
 */
export function planTiles(design: Design): PlannedTile[] {
  if (design.bodies.length === 0) throw new RangeError('Choose at least one body.');
  if (!Number.isInteger(design.repeats) || design.repeats < 1)
    throw new RangeError('Each tile is made at least once.');
  const drafts = designOf(design.kind).tiles(design, benchOf(design));
  if (drafts.length === 0) throw new RangeError('This design makes no tile.');
  const height = Math.max(...drafts.map((draft) => draft.row)) + 1;
  const tiles: PlannedTile[] = [];
  design.bodies.forEach((body, b) => {
    for (const { control, ...draft } of drafts)
      for (let n = 0; n < design.repeats; n++)
        tiles.push({
          ...draft,
          no: tiles.length + 1,
          body,
          row: b * height + draft.row,
          factors: { ...draft.factors, body },
          role: n > 0 ? 'repeat' : control ? 'control' : 'test',
        });
  });
  return tiles;
}

const benchOf = ({ apply }: Design): Bench => ({
  layer: (coat, rest = {}) => ({ ...apply, coat, stretch: ALL, ...rest }),
  draft: (column, label, factors, layers, rest = {}): Draft => ({
    row: 0,
    column,
    label,
    factors,
    layers,
    mix: null,
    control: false,
    ...rest,
  }),
});
