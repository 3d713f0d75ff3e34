/** Which firing suits a piece: one rule for the Bench, the queue, the calendar and the load. */
import { compareCones, formatCone, inConeRange, isCone, type ConeRange } from '../cones';
import type { FiringKind } from '../firing';
import type { Atmosphere } from '../signs';
import type { WaitsFor } from './journey';

/** What a piece wants of a firing. A range that is null is not known. */
export type Wish = {
  waitsFor: WaitsFor | null;
  cone: string | null;
  atmosphere: string | null;
  body: { name: string; range: ConeRange | null };
  coatings: readonly { name: string; range: ConeRange | null }[];
};

/** What a firing offers. */
export type Offer = { kind: FiringKind; targetCone: string | null; atmosphere: Atmosphere };

/** Kinds of firing that take what waits; a once-fired load takes raw and bisqued work alike. */
const TAKES: Record<WaitsFor, readonly FiringKind[]> = {
  bisque: ['bisque', 'once-fired'],
  glaze: ['glaze', 'refire', 'once-fired'],
  refire: ['refire', 'glaze', 'overglaze', 'once-fired'],
};

const reduces = (atmosphere: string): boolean => atmosphere.includes('reduction');

/**
 * Why a firing does not suit a piece, in words; null when it does, as far as both are known. A test
 * that is to leave the range of its glaze on purpose is put in from all that waits, and the checks ask.
 */
export function unsuited(wish: Wish, offer: Offer): string | null {
  if (wish.waitsFor === null) return 'it waits for nothing';
  if (!TAKES[wish.waitsFor].includes(offer.kind)) return `it waits for ${wish.waitsFor}`;
  if (offer.kind === 'bisque') return null;
  const target = offer.targetCone;
  if (target !== null && isCone(target)) {
    if (wish.cone !== null && wish.cone !== target) return `it wants cone ${formatCone(wish.cone)}`;
    const { range } = wish.body;
    if (range !== null && compareCones(target, range.high) > 0)
      return `${wish.body.name} goes to cone ${formatCone(range.high)} at most`;
    // Whoever refires at a cone of their own, for gold or a soft coat, means to leave the glaze’s range.
    const meant = wish.waitsFor === 'refire' && wish.cone === target;
    for (const { name, range: own } of meant ? [] : wish.coatings)
      if (own !== null && !inConeRange(target, own))
        return `${name} is for cone ${formatCone(own.low)} to ${formatCone(own.high)}`;
  }
  if (
    wish.atmosphere !== null &&
    wish.atmosphere !== 'unknown' &&
    offer.atmosphere !== 'unknown' &&
    reduces(wish.atmosphere) !== reduces(offer.atmosphere)
  )
    return `it wants ${wish.atmosphere}`;
  return null;
}

export const suits = (wish: Wish, offer: Offer): boolean => unsuited(wish, offer) === null;

/** Pieces that wait for the same, with how many they are. */
export type Waiting = Wish & { count: number };

/** Of these firings the one that suits most of what waits, the earlier one first; null when none does. */
export function bestFiring<F extends Offer>(
  waiting: readonly Waiting[],
  firings: readonly F[],
): { firing: F; suited: number } | null {
  let best: { firing: F; suited: number } | null = null;
  for (const firing of firings) {
    const suited = waiting.reduce((sum, one) => sum + (suits(one, firing) ? one.count : 0), 0);
    if (suited > (best?.suited ?? 0)) best = { firing, suited };
  }
  return best;
}

/** What waits for one and the same firing, as a day sheet lists it. */
export type Queue<W extends Waiting> = {
  waitsFor: WaitsFor;
  /** Null for bisque, where the wanted cone is of the firing after it. */
  cone: string | null;
  atmosphere: string | null;
  count: number;
  waiting: W[];
};

/** Gathers what waits into queues, the longest first. */
export function queuesOf<W extends Waiting>(waiting: readonly W[]): Queue<W>[] {
  const queues = new Map<string, Queue<W>>();
  for (const one of waiting) {
    if (one.waitsFor === null) continue;
    const bisque = one.waitsFor === 'bisque';
    const [cone, atmosphere] = bisque ? [null, null] : [one.cone, one.atmosphere];
    const key = `${one.waitsFor}/${cone}/${atmosphere}`;
    const queue = queues.get(key) ?? {
      waitsFor: one.waitsFor,
      cone,
      atmosphere,
      count: 0,
      waiting: [],
    };
    queue.count += one.count;
    queue.waiting.push(one);
    queues.set(key, queue);
  }
  return [...queues.values()].sort((a, b) => b.count - a.count);
}
