/**
 * A cooling as steps of rate against heat, apart from what was no cooling: doors, and holds on the way down.
 */
import type { Reading } from './work';

/** ln of the heat above the room in hundreds of K, ln of the rate per hour there, and its variance. */
export type Step = { x: number; y: number; variance: number; held: boolean };

/** Steps of a dense log are gathered to at least so much, so that a thermocouple's jitter does not speak. */
const STEP_SECONDS = 600;
const STEP_DEGREES = 4;
/** Nothing is read from above this: radiation and the last heat in the elements rule there. °C. */
const READ_BELOW = 900;
/** A reading is taken to be off by so much (a thermocouple's jitter, a figure rounded by hand), °C. */
const READING_OFF = 1.2;
/** What a kiln's rate wanders by from step to step, in ln (draughts, gusts). */
const WANDER = 0.04;
/** A step so much slower than those beside it was no cooling: the program held it (ln of the rate). */
const HELD = 0.8;

/** The falling end of a log, from its highest reading on. */
export function coolingPart(log: readonly Reading[]): Reading[] {
  let top = 0;
  for (let i = 1; i < log.length; i++) if (log[i]!.c >= log[top]!.c) top = i;
  return log.slice(top);
}

/** A kiln that has been shut again warms by more than this from its brick, °C. */
const WARMED_AGAIN = 15;

/** What came after the door was last opened and shut again: before it, the kiln was another. */
export function undisturbed(log: readonly Reading[]): Reading[] {
  let from = 0;
  let lowest = 0;
  for (let i = 1; i < log.length; i++) {
    if (log[i]!.c - log[lowest]!.c > WARMED_AGAIN) from = lowest = i;
    else if (log[i]!.c < log[lowest]!.c) lowest = i;
  }
  return log.slice(from);
}

/**
 * The steps of a cooling in a room of so many °C, hottest first. A step over a hold is marked: it says
 * nothing of how the kiln cools, nor do those before it say all.
 */
export function stepsOf(log: readonly Reading[], room: number): Step[] {
  const steps: Step[] = [];
  let from = log.find(({ c }) => c <= READ_BELOW);
  for (const one of log) {
    if (from === undefined || one.t <= from.t) continue;
    if (one.t - from.t < STEP_SECONDS || from.c - one.c < STEP_DEGREES) continue;
    const [above, below] = [from.c - room, one.c - room];
    if (below > 2) {
      const hours = (one.t - from.t) / 3600;
      const middle = Math.sqrt(above * below);
      const fall = Math.log(above / below);
      steps.push({
        x: Math.log(middle / 100),
        y: Math.log(fall / hours),
        variance: (2 * READING_OFF ** 2) / (middle * fall) ** 2 + WANDER ** 2,
        held: false,
      });
    }
    from = one;
  }
  return markHolds(steps);
}

/** A step that is far slower than those before and after it, beyond what readings can be off by. */
function markHolds(steps: readonly Step[]): Step[] {
  return steps.map((step, i) => {
    const [before, after] = [steps[i - 1], steps[i + 1]];
    const slower = (one: Step | undefined): boolean =>
      one === undefined || one.y - step.y > HELD + 2 * Math.sqrt(one.variance + step.variance);
    return before === undefined && after === undefined
      ? step
      : { ...step, held: slower(before) && slower(after) };
  });
}
