/**
 * What a program passes through that potters mind: quartz turning, and crystals growing on the way down.
 * Rules of thumb, each with its kind of source; they forbid nothing.
 */
import { profileOf, type KilnPace, type Segment } from './schedule';

/**
 * α–β inversion of quartz at atmospheric pressure, °C: handbook value. It changes size by about 1 % in volume
 * at once.
 */
export const QUARTZ_C = 573;
/** Low to high cristobalite, °C: handbooks give 220 to 270 by its order, cooling about 226 (from memory). */
export const CRISTOBALITE_C = 226;

/**
 * Between these, °C, a glaze that is still soft grows crystals when it is held or cooled slowly. Common
 * practice, no source.
 */
const GROWTH = { from: 850, to: 1100 } as const;
/** Slower than this through there, °C/h, or held for longer than half an hour. Common practice, no source. */
const SLOW_RATE = 100;
const HOLD_S = 30 * 60;
/**
 * Faster than this about the inversion, °C/h, is hard on thick and large ware. Common practice, no source.
 */
const HARD_RATE = 200;
/** How far about the inversion ware is passing through it: a thick wall is not all of one heat. */
const ABOUT = 30;

/** What is said of a passage; `celsius` is where. */
export type Passage = {
  what: 'quartz going up' | 'quartz coming down' | 'crystals';
  /** °C/h; null for a hold. */
  rate: number | null;
  source: 'handbook value; rate: common practice' | 'common practice, no source';
};

const spans = (a: number, b: number, low: number, high: number): boolean =>
  Math.min(a, b) < high && Math.max(a, b) > low;

/**
 * What a program passes through that is worth a word, each once, in its order. The kiln's own cooling
 * after the last segment is not part of the program.
 */
export function passagesOf(segments: readonly Segment[], pace?: KilnPace): Passage[] {
  const profile = profileOf(segments, 20, pace);
  const found: Passage[] = [];
  let hottest = profile[0]!.c;
  const add = (passage: Passage): void => {
    if (found.every(({ what }) => what !== passage.what)) found.push(passage);
  };
  for (let i = 1; i < profile.length; i++) {
    const [a, b] = [profile[i - 1]!, profile[i]!];
    const hours = (b.t - a.t) / 3600;
    const rate = (b.c - a.c) / hours;
    if (spans(a.c, b.c, QUARTZ_C - ABOUT, QUARTZ_C + ABOUT) && Math.abs(rate) > HARD_RATE)
      add({
        what: rate > 0 ? 'quartz going up' : 'quartz coming down',
        rate: Math.abs(rate),
        source: 'handbook value; rate: common practice',
      });
    const after = hottest > GROWTH.to;
    const within = spans(a.c, b.c, GROWTH.from, GROWTH.to);
    const held = rate === 0 && a.c > GROWTH.from && a.c < GROWTH.to && b.t - a.t > HOLD_S;
    if (after && (held || (within && rate < 0 && -rate < SLOW_RATE)))
      add({
        what: 'crystals',
        rate: rate === 0 ? null : -rate,
        source: 'common practice, no source',
      });
    hottest = Math.max(hottest, b.c);
  }
  return found;
}
