import type { Coat, Layer, Method, Stretch, Weight } from '../zones';
import { EVERYWHERE } from '../zones';

/** How one of the two coats of a matrix goes on. */
export type CoatPlan = { method: Method; coats: number; weight: Weight; stretch: Stretch };

export type MatrixPlan<C extends Coat = Coat> = {
  bases: readonly C[];
  overs: readonly C[];
  base: CoatPlan;
  over: CoatPlan;
  /** Also every over under every base. */
  bothOrders: boolean;
  /** Also each coating by itself, as a control. */
  alone: boolean;
  repeats: number;
};

export type MatrixTile<C extends Coat = Coat> = {
  base: C;
  over: C | null;
  layers: (Layer & { coat: C })[];
};

const sameCoat = (a: Coat, b: Coat): boolean => a.slug === b.slug && a.version === b.version;

function layerOf<C extends Coat>(coat: C, plan: CoatPlan, second: boolean): Layer & { coat: C } {
  return {
    coat,
    method: plan.method,
    coats: plan.coats,
    weight: plan.weight,
    thicknessMm: null,
    seconds: null,
    stage: 'bisque',
    driedBefore: second ? true : null,
    region: { ...EVERYWHERE, stretch: plan.stretch },
    generation: 1,
  };
}

/**
 * Every base under every over: the tiles of the board, row by row. A coating is never put
 * over itself; no pair is made twice when a coating stands among bases and overs;
 * controls come first. With `repeats` n, each tile is made n times, one after another.
 */
export function matrixTiles<C extends Coat>(plan: MatrixPlan<C>): MatrixTile<C>[] {
  const tiles: MatrixTile<C>[] = [];
  const made = new Set<string>();
  const add = (base: C, over: C | null): void => {
    const key = `${base.slug}#${base.version}/${over === null ? '' : `${over.slug}#${over.version}`}`;
    if (made.has(key) || (over !== null && sameCoat(base, over))) return;
    made.add(key);
    const whole: CoatPlan = { ...plan.base, stretch: EVERYWHERE.stretch };
    const layers =
      over === null
        ? [layerOf(base, whole, false)]
        : [layerOf(base, plan.base, false), layerOf(over, plan.over, true)];
    for (let n = 0; n < plan.repeats; n++) tiles.push({ base, over, layers });
  };
  if (plan.alone) for (const coat of [...plan.bases, ...plan.overs]) add(coat, null);
  for (const base of plan.bases) {
    for (const over of plan.overs) {
      add(base, over);
      if (plan.bothOrders) add(over, base);
    }
  }
  return tiles;
}
