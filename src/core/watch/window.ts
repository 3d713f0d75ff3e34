/** The last readings of a firing, and what they say: how fast it goes, how much a reading jitters. */
import type { Reading } from '../heatwork';

const { abs, cbrt, max, min } = Math;

/** Seconds that are looked back on. */
const KEPT = 2.2 * 3600;
const MINUTE = 60;
/** Seconds between readings that are not taken by hand, at most. */
const MOST = 400;

export class Window {
  private readings: Reading[] = [];

  add(one: Reading): void {
    this.readings.push(one);
    if (this.readings.length > 400) {
      const from = this.readings.findIndex(({ t }) => t >= one.t - KEPT);
      this.readings = this.readings.slice(min(from, this.readings.length - 6));
    }
  }

  get last(): Reading | undefined {
    return this.readings.at(-1);
  }

  /** The reading before the last, or the one so many before it. */
  back(steps: number): Reading | undefined {
    return this.readings.at(-1 - steps);
  }

  /** Readings of a stretch of time, both ends with it. */
  between(from: number, to: number): Reading[] {
    const found: Reading[] = [];
    for (let i = this.readings.length - 1; i >= 0; i--) {
      const one = this.readings[i]!;
      if (one.t < from) break;
      if (one.t <= to) found.push(one);
    }
    return found.reverse();
  }

  /** Seconds between the last readings, from a minute to what is read by hand. */
  get spacing(): number {
    const n = min(8, this.readings.length - 1);
    return n < 1 ? MINUTE : min(MOST, max(MINUTE, (this.last!.t - this.back(n)!.t) / n));
  }

  /**
   * How many times as far is looked back as at a reading a minute: the slope of a line through readings is as
   * sure again when its length goes with the third root of what lies between them.
   */
  get stretch(): number {
    return cbrt(this.spacing / MINUTE);
  }

  /**
   * How much one reading jitters, °C: the middle of how far readings lie from the line between
   * their neighbours, over the last three quarters of an hour. Between 0.3 and 4.
   */
  jitter(): number {
    const { last } = this;
    if (last === undefined) return 4;
    const list = this.between(last.t - 2700 * this.stretch, last.t);
    const apart: number[] = [];
    for (let i = 1; i + 1 < list.length; i++) {
      const [a, b, c] = [list[i - 1]!, list[i]!, list[i + 1]!];
      apart.push(abs(b.c - a.c - ((c.c - a.c) * (b.t - a.t)) / (c.t - a.t || 1)));
    }
    if (apart.length < 8) return 1.5;
    apart.sort((x, y) => x - y);
    // The middle of |N(0, 1.5 σ²)| is 0.826 σ.
    return min(4, max(0.3, apart[apart.length >> 1]! / 0.826));
  }
}

/** Mean time and temperature of some readings and the slope of the line through them, °C/h. */
export type Line = { t: number; c: number; rate: number; n: number; span: number };

/** Least squares through readings; null for fewer than two. */
export function lineOf(list: readonly Reading[]): Line | null {
  const n = list.length;
  if (n < 2) return null;
  const t = list.reduce((sum, one) => sum + one.t, 0) / n;
  const c = list.reduce((sum, one) => sum + one.c, 0) / n;
  let [up, over] = [0, 0];
  for (const one of list) {
    up += (one.t - t) * (one.c - c);
    over += (one.t - t) ** 2;
  }
  return { t, c, rate: over === 0 ? 0 : (up / over) * 3600, n, span: list[n - 1]!.t - list[0]!.t };
}

/** °C that a line comes to at a time. */
export const alongLine = (line: Line, t: number): number => line.c + (line.rate * (t - line.t)) / 3600;
