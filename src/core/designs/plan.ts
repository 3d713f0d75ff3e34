import { count } from '../units';
import type { Stretch } from '../zones';
import { grid, lineBlend, triaxial, type BlendPoint } from './blends';
import { type PlannedLayer, type PlannedTile, type Design } from './terms';

/** Silica and kaolin that one step of the crazing ladder adds, % of the base (common practice, no source). */
export const CRAZING_STEP = { silica: 1.25, kaolin: 1 };

const ALL: Stretch = { from: 0, to: 1 };

const percent = (value: number): string => `${Number(value.toFixed(2))} %`;

/** Blends keep to a mix by weight; a share is named to the nearest tenth of a percent. */
const share = (value: number): string => `${Number((value * 100).toFixed(1))} %`;

type Draft = Omit<PlannedTile, 'no' | 'body' | 'role'> & { control: boolean };

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
  const drafts = draftsOf(design);
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

function draftsOf(design: Design): Draft[] {
  const layer = (coat: string | null, rest: Partial<PlannedLayer> = {}): PlannedLayer => ({
    ...design.apply,
    coat,
    stretch: ALL,
    ...rest,
  });
  const draft = (
    column: number,
    label: string,
    factors: Record<string, string>,
    layers: PlannedLayer[],
    rest: Partial<Draft> = {},
  ): Draft => ({
    row: 0,
    column,
    label,
    factors,
    layers,
    mix: null,
    control: false,
    ...rest,
  });
  switch (design.kind) {
    case 'coats':
      return unique(design.coats).map((coats, i) =>
        draft(
          i,
          `${count(coats, 'coat')}`,
          { coating: design.coating, coats: String(coats) },
          [layer(design.coating, { coats })],
          { control: design.controls && coats === 1 },
        ),
      );
    case 'coats on one tile':
      return [
        draft(
          0,
          `1 to ${design.most} coats`,
          { coating: design.coating, coats: `1 to ${design.most}` },
          Array.from({ length: design.most }, (_, i) =>
            layer(design.coating, {
              coats: 1,
              // The first coat covers all, each next one stops lower, so that the foot has most.
              stretch: { from: 0, to: (design.most - i) / design.most },
            }),
          ),
        ),
      ];
    case 'seconds':
      return unique(design.seconds).map((seconds, i) =>
        draft(i, `${seconds} s`, { coating: design.coating, seconds: String(seconds) }, [
          layer(design.coating, { seconds }),
        ]),
      );
    case 'across bodies':
      return [
        draft(
          0,
          [...design.stack].reverse().join(' over '),
          { stack: design.stack.join(' + ') },
          stacked(design.stack, layer),
        ),
      ];
    case 'factorial':
      return design.coatings.flatMap((coating, row) =>
        unique(design.coats).map((coats, column) =>
          draft(
            column,
            `${coating}, ${count(coats, 'dip')}`,
            { coating, coats: String(coats) },
            [layer(coating, { coats })],
            { row },
          ),
        ),
      );
    case 'line':
      return blend(lineBlend(design.points), design.corners, layer, draft);
    case 'triaxial':
      return blend(triaxial(design.steps), design.corners, layer, draft);
    case 'grid':
      return blend(grid(design.rows, design.columns), design.corners, layer, draft);
    case 'colourant': {
      const steps = unique(design.controls ? [0, ...design.percents] : [...design.percents]);
      return steps.map((value, i) =>
        draft(
          i,
          value === 0 ? 'plain' : `+ ${percent(value)} ${design.material}`,
          { base: design.base, [design.material]: percent(value) },
          [layer(null)],
          {
            mix: {
              shares: { [design.base]: 1 },
              additions: value === 0 ? {} : { [design.material]: value },
            },
            control: value === 0,
          },
        ),
      );
    }
    case 'crazing':
      return Array.from({ length: design.steps + (design.controls ? 1 : 0) }, (_, i) => {
        const step = design.controls ? i : i + 1;
        const [silica, kaolin] = [step * CRAZING_STEP.silica, step * CRAZING_STEP.kaolin];
        return draft(
          i,
          step === 0
            ? 'as it is'
            : `+ ${percent(silica)} ${design.silica}, + ${percent(kaolin)} ${design.kaolin}`,
          { base: design.base, step: String(step) },
          [layer(null)],
          {
            mix: {
              shares: { [design.base]: 1 },
              additions: step === 0 ? {} : { [design.silica]: silica, [design.kaolin]: kaolin },
            },
            control: step === 0,
          },
        );
      });
    case 'body and glaze':
      return unique(design.percents).map((value, i) =>
        draft(
          i,
          `${percent(value)} ${design.glaze} in the clay`,
          { glaze: design.glaze, 'share of glaze': percent(value) },
          [],
          { mix: { shares: { [design.glaze]: value / 100 }, additions: {} }, control: value === 0 },
        ),
      );
    case 'matrix': {
      const pairs = design.bases.flatMap((base) =>
        design.overs.flatMap((over) =>
          base === over
            ? []
            : design.both
              ? [
                  [base, over],
                  [over, base],
                ]
              : [[base, over]],
        ),
      ) as [string, string][];
      const once = new Map(pairs.map((pair) => [pair.join(), pair]));
      const first = [...new Set([...once.values()].map(([base]) => base))];
      const top = [...new Set([...once.values()].map(([, over]) => over))];
      const alone = design.controls ? [...new Set([...first, ...top])] : [];
      return [
        ...alone.map((coat, column) =>
          draft(column, coat, { base: coat, over: 'nothing' }, [layer(coat)], { control: true }),
        ),
        ...[...once.values()].map(([base, over]) =>
          draft(
            top.indexOf(over),
            `${over} over ${base}`,
            { base, over },
            [
              layer(base, { stretch: { from: 0, to: 2 / 3 } }),
              layer(over, { stretch: { from: 1 / 3, to: 1 } }),
            ],
            { row: first.indexOf(base) + (alone.length > 0 ? 1 : 0) },
          ),
        ),
      ];
    }
    case 'list':
      return design.stacks.map((stack, i) =>
        draft(
          i,
          [...stack].reverse().join(' over '),
          { stack: stack.join(' + ') },
          stacked(stack, layer),
        ),
      );
  }
}

const unique = (values: readonly number[]): number[] => [...new Set(values)].sort((a, b) => a - b);

const stacked = (stack: readonly string[], layer: (coat: string) => PlannedLayer): PlannedLayer[] =>
  stack.map((coat) => layer(coat));

function blend(
  points: readonly BlendPoint[],
  corners: readonly string[],
  layer: (coat: null) => PlannedLayer,
  draft: (
    column: number,
    label: string,
    factors: Record<string, string>,
    layers: PlannedLayer[],
    rest: Partial<Draft>,
  ) => Draft,
): Draft[] {
  if (new Set(corners).size !== corners.length)
    throw new RangeError('Two corners are the same: choose different ones.');
  return points.map((point) => {
    const parts = corners.flatMap((corner, i) => {
      const weight = point.weights[i] as number;
      return weight > 0 ? [[corner, weight] as const] : [];
    });
    return draft(
      point.column,
      parts.map(([corner, weight]) => `${share(weight)} ${corner}`).join(' + '),
      Object.fromEntries(corners.map((corner, i) => [corner, share(point.weights[i] as number)])),
      [layer(null)],
      {
        row: point.row,
        mix: { shares: Object.fromEntries(parts), additions: {} },
        control: parts.length === 1,
      },
    );
  });
}
