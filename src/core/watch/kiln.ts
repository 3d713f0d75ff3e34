/** What is known of a kiln that is watched: its last readings, and where its program may stand. */
import type { Reading, Segment } from '../heatwork';
import { ProgramClock, WAYS } from './clocks';
import { lineOf, Window } from './window';

export type AlarmKind = 'over-run' | 'fell' | 'power' | 'open';
/** Something that has changed: when, and by what figures it is said. */
export type Change = { kind: AlarmKind; at: number; from: number; to: number; minutes: number };

export type WatchOptions = {
  /** The program that it is fired by; null where somebody turns it up. */
  segments: readonly Segment[] | null;
  /** °C of the target cone's end point, where one was named: near it a fire may be turned down. */
  top: number | null;
  /** Electric: what it gives does not waver by itself. */
  electric: boolean;
  /** Seconds at which somebody touched the kiln: a switch, gas, damper, lid or a shut-off in the diary. */
  touched?: readonly number[];
  /** Seconds at which somebody said that it cools; Infinity while nobody has. */
  coolsFrom?: number;
};

/** Readings that lie further apart than this are taken by hand, seconds. */
export const BY_HAND = 400;
/** Nearer than this to the end point of its cone a fire may be turned down or shut off, °C. */
const NEAR_TOP = 40;
/** Below this a lid may be cracked by habit, °C. */
export const LID_BELOW = 320;
/** An alarm is said for so long after what it saw, seconds. */
export const SAID_FOR = 3600;

/** A kiln that somebody has shut off cools as it will for so long, seconds. */
const COOLS_STEADILY = 3900;
/** So far below the last that its program asks for a kiln is led by nothing any more, °C. */
const BELOW_LAST = 10;

/** What has been so for this long is no change, seconds. */
const LEADS = 2400;

const { abs, max, min } = Math;

/** A kiln as its readings show it, and what may explain what it does. */
export class WatchedKiln {
  readonly window = new Window();
  all: ProgramClock[] = [];
  peak: Reading = { t: 0, c: -Infinity };
  /** Seconds at which it was last falling with good reason, read by hand. */
  falling = -Infinity;
  /** And at which that began. */
  fellFrom = Infinity;
  /** °C that it was behind at the last reading by hand; null without a program. */
  wasBehind: number | null = null;

  /** °C by which each reading of the last while was beyond all that was asked for. */
  private readonly beyond = new Window();

  constructor(readonly options: WatchOptions) {}

  /** Takes in the next reading that is believed; hands back the one before it. */
  read(one: Reading): Reading | null {
    const before = this.window.last;
    if (before === undefined) {
      const { segments } = this.options;
      this.all = segments === null ? [] : WAYS.map((way) => new ProgramClock(segments, way, one));
    } else for (const clock of this.all) clock.follow(before, one);
    this.window.add(one);
    if (before !== undefined) this.judge(before, one);
    this.beyond.add({ t: one.t, c: one.c - this.ceiling() });
    if (one.c > this.peak.c) this.peak = one;
    return before ?? null;
  }

  /** The ways of following the program that nothing speaks against. */
  get clocks(): ProgramClock[] {
    const left = this.all.filter(({ refuted }) => !refuted);
    return left.length > 0 ? left : this.all;
  }

  /** Asks of each way of following the program whether the kiln speaks for it. */
  private judge(before: Reading, one: Reading): void {
    const hand = one.t - before.t > BY_HAND;
    const line = hand
      ? lineOf([before, one])
      : lineOf(this.window.between(one.t - 420 * this.window.stretch, one.t));
    for (const clock of this.all) clock.judge(one, line?.rate ?? null, one.t - before.t);
  }

  /** Is it tended by hand and by flame, whose heat goes up and down by itself? */
  get tended(): boolean {
    return this.clocks.length === 0 && !this.options.electric;
  }

  touchedSince(t: number, now: number): boolean {
    return this.options.touched?.some((at) => at >= t - 60 && at <= now) ?? false;
  }

  cools(t: number): boolean {
    return t >= (this.options.coolsFrom ?? Infinity);
  }

  /** May the fire be turned down, shut off or let fall about now, by program or by hand? */
  mayFall(t: number, since: number, before: number, rate: number, hand = false): boolean {
    if (this.cools(t) || this.falling >= since) return true;
    if (this.all.length > 0)
      return (
        this.clocks.some((clock) => clock.letsFall(rate, since, hand)) ||
        // At its top, and done in one of the ways: the minute at which a hold ends is not known.
        (this.all.some(({ mode }) => mode === 'ended') &&
          this.clocks.some(({ mode, setpoint }) => mode === 'holds' && abs(before - setpoint) < 12))
      );
    const { top } = this.options;
    return top !== null && max(before, this.peak.c) > top - NEAR_TOP;
  }

  /**
   * Does nothing but the room cool it, since a reading? A program that leads it down, or holds it lower
   * down, is over at another time in every way: then it is once it has been cooler than that for so long.
   */
  coolsByItself(since: Reading, t: number): boolean {
    const { coolsFrom = -Infinity } = this.options;
    if (t >= coolsFrom && t - coolsFrom < COOLS_STEADILY) return false;
    const segments = this.options.segments ?? [];
    const [before, last] = segments.slice(-2);
    if (last === undefined || last.target >= before!.target) return true;
    return since.c < last.target - BELOW_LAST || this.all.every(({ mode }) => mode === 'ended');
  }

  /** Has any way of following the program turned a corner within so many seconds? */
  corner(seconds: number, t: number): boolean {
    return this.clocks.some(({ since, turned }) => t - max(since, turned) < seconds);
  }

  /**
   * °C by which it has been ahead of a climb for half an hour: some controllers lead all the way, and that
   * is no change. 0 while it has not climbed for so long.
   */
  leads(t: number): number {
    const climbs = this.clocks.every(({ mode, since }) => mode === 'rises' && t - since > LEADS);
    if (!climbs) return 0;
    return max(0, min(...this.beyond.between(t - LEADS, t - LEADS / 4).map(({ c }) => c)));
  }

  /** °C that no way of following the program goes beyond; Infinity without a program. */
  ceiling(): number {
    if (this.clocks.length === 0) return Infinity;
    return max(
      ...this.clocks.map((clock) =>
        clock.mode === 'ended' || clock.mode === 'free'
          ? clock.from
          : max(clock.setpoint, clock.mode === 'falls' && clock.followed < 600 ? clock.from : -Infinity),
      ),
    );
  }
}
