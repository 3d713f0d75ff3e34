/** Control limits of single values in their order: is the kiln still the same? */

export type Controlled = {
  centre: number;
  low: number;
  high: number;
  /** Mean step from one value to the next, and the largest that is still usual. */
  step: number;
  mostStep: number;
  /** What stands out, by place in the order, with what it is. */
  signals: { at: number; is: 'beyond' | 'jump' | 'drift' }[];
};

/**
 * 3 / d₂ and D₄ of moving ranges of two: W. A. Shewhart’s limits, as tabled for charts of single values (ASTM
 * E2587).
 */
const LIMIT = 2.66;
const RANGE = 3.267;
/**
 * So many in a row on one side of the centre are a drift. Source: Western Electric, Statistical Quality
 * Control Handbook (1956).
 */
const ROW = 8;
/** From fewer values there are no limits. */
export const FEWEST_CONTROLLED = 8;

/**
 * Limits of single values by their moving ranges, and what stands out of them. Null below eight values. O(n).
 * @param base the first so many set the limits; all by default. What came later is held against them.
 */
export function controlLimits(values: readonly number[], base = values.length): Controlled | null {
  const own = values.slice(0, base);
  if (own.length < FEWEST_CONTROLLED) return null;
  const centre = own.reduce((sum, value) => sum + value, 0) / own.length;
  const steps = values.slice(1).map((value, i) => Math.abs(value - values[i]!));
  const step = steps.slice(0, own.length - 1).reduce((sum, one) => sum + one, 0) / (own.length - 1);
  const [low, high, mostStep] = [centre - LIMIT * step, centre + LIMIT * step, RANGE * step];
  const signals: Controlled['signals'] = [];
  let row = 0;
  values.forEach((value, at) => {
    const side = Math.sign(value - centre);
    row = side !== 0 && at > 0 && Math.sign(values[at - 1]! - centre) === side ? row + 1 : 1;
    if (value < low || value > high) signals.push({ at, is: 'beyond' });
    else if (at > 0 && steps[at - 1]! > mostStep) signals.push({ at, is: 'jump' });
    else if (row >= ROW) signals.push({ at, is: 'drift' });
  });
  return { centre, low, high, step, mostStep, signals };
}
