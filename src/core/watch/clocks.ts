/**
 * Where a program stands while its kiln climbs. A controller's clock may run on whatever the kiln
 * does, wait while it is behind, or wait at corners; from outside nobody can tell which. So each
 * is followed, and only what none of them explains is held against the kiln.
 */
import type { Segment } from '../heatwork';

const { abs, max, min, sign } = Math;

/** What a program asks for at a moment. `free`: it lets the kiln fall as it falls. */
export type Mode = 'rises' | 'holds' | 'falls' | 'free' | 'ended';
export type Waiting =
  { kind: 'runs' } | { kind: 'waits'; band: number; near: number } | { kind: 'corners'; near: number };

/**
 * The ways of waiting that are reckoned with: how far the kiln may be behind before the clock
 * stands, how near counts as arrived, °C,
 * and by how many seconds it may be ahead of the first reading. Common practice, no source.
 */
export const WAYS: readonly Waiting[] = [
  { kind: 'runs' },
  { kind: 'waits', band: 4, near: 1.5 },
  { kind: 'waits', band: 10, near: 6 },
  { kind: 'waits', band: 15, near: 3.5 },
  { kind: 'waits', band: 35, near: 6 },
  { kind: 'corners', near: 6 },
  { kind: 'corners', near: 3.5 },
  { kind: 'corners', near: 1.5 },
];

/** Seconds of one step. */
const STEP = 60;

/** A way is given up while the kiln has spoken against it for so long, seconds. */
const REFUTED_AFTER = 600;
/**
 * Nearer than this a kiln follows closely, °C; it has lost the way when it no longer does for so long,
 * seconds.
 */
const FOLLOWS = 6;
const LOST_AFTER = 900;
/** A program that ends within so many seconds may have ended: clocks do not agree to the minute. */
const SOON = 300;

export class ProgramClock {
  private at = 0;
  private held = 0;
  private arrived = false;
  /** °C asked for. */
  setpoint: number;
  mode: Mode = 'rises';
  /** Seconds at which it last began to ask for something of another kind. */
  since = 0;
  /** Seconds at which it last went on to another segment. */
  turned = -Infinity;
  /** °C that the kiln showed then. */
  from: number;
  /** Seconds for which the kiln has spoken against this way. */
  against = 0;
  /**
   * Seconds for which the kiln has followed it closely since it asks for this, and since it no longer does.
   */
  followed = 0;
  lost = 0;
  private standing = false;
  /** Seconds at which it last let the kiln fall as it falls. */
  loose = -Infinity;
  private t: number;
  private asked: number;

  constructor(
    private readonly segments: readonly Segment[],
    private readonly way: Waiting,
    first: { t: number; c: number },
  ) {
    this.setpoint = first.c;
    this.from = first.c;
    this.asked = first.c;
    this.t = first.t;
    this.since = first.t;
    this.look(first.c);
  }

  /** The kiln came straight from `a` to `b`. */
  follow(a: { t: number; c: number }, b: { t: number; c: number }): void {
    while (this.t < b.t && this.mode !== 'ended') {
      const next = min(b.t, this.t + STEP);
      const c = a.c + ((b.c - a.c) * (next - a.t)) / (b.t - a.t || 1);
      this.step(next - this.t, c);
      this.t = next;
      this.look(c);
    }
    this.t = b.t;
  }

  private step(seconds: number, c: number): void {
    const now = this.segments[this.at]!;
    const { way } = this;
    if (this.setpoint !== now.target) {
      const up = now.target > this.setpoint;
      this.standing = way.kind === 'waits' && up && this.setpoint - c > way.band;
      if (this.standing) return;
      const move = now.rate === null ? Infinity : (now.rate / 3600) * seconds;
      const left = now.target - this.setpoint;
      this.setpoint += sign(left) * min(move, abs(left));
      if (this.setpoint !== now.target) return;
    } else if (way.kind === 'runs' || this.held > 0 || this.isThere(c, way.near)) this.held += seconds;
    if (this.held < now.holdMinutes * 60) return;
    if (way.kind !== 'runs' && this.held === 0 && !this.isThere(c, way.near)) return;
    this.at++;
    this.turned = this.t + seconds;
    this.held = 0;
    this.arrived = false;
  }

  /** What has gone beyond where it was to arrive is there. */
  private isThere(c: number, near: number): boolean {
    const from = this.segments[this.at - 1]?.target ?? -Infinity;
    return (this.setpoint > from ? this.setpoint - c : c - this.setpoint) < near;
  }

  private look(c: number): void {
    const now = this.segments[this.at];
    let mode: Mode = 'ended';
    if (now !== undefined) {
      if (this.setpoint === now.target) {
        // A drop as fast as it goes is over when the kiln is down there.
        this.arrived ||= now.rate !== null || c < this.setpoint + 3;
        mode = this.arrived ? 'holds' : 'free';
      } else if (now.target > this.setpoint) mode = 'rises';
      else mode = now.rate === null ? 'free' : 'falls';
    }
    if (mode === 'ended' || mode === 'free') this.loose = this.t;
    const asked = this.asked;
    this.asked = this.setpoint;
    if (mode === this.mode) return;
    this.mode = mode;
    this.since = this.t;
    this.followed = 0;
    // What it was beyond what was asked for is no part of the way down.
    this.from = min(c, asked + 6);
  }

  /**
   * Speaks the kiln for this way of following the program? A kiln that is hotter than it asks for,
   * or goes on climbing when it asks for nothing more, follows in another way.
   */
  judge(one: { t: number; c: number }, rate: number | null, seconds: number): void {
    const beyond = this.mode === 'ended' || this.mode === 'free' ? this.from : this.setpoint;
    const off = this.mode === 'ended' || this.mode === 'free';
    const climbs = off && rate !== null && one.t - this.since > max(420, seconds) && rate > -20;
    const above = one.c > beyond + 12 && !(this.mode === 'falls' && one.c < this.from + 6);
    const follows = !this.standing && abs(one.c - this.setpoint) <= FOLLOWS && !off;
    this.followed = follows ? this.followed + seconds : this.followed;
    this.lost = follows ? 0 : this.lost + seconds;
    if (this.lost > LOST_AFTER) this.followed = 0;
    const below = this.mode === 'holds' && this.followed > 600 && one.c < this.setpoint - 15;
    // What wants heat does not cool for long.
    const cools =
      (this.mode === 'holds' || this.mode === 'rises') &&
      rate !== null &&
      rate < -25 &&
      one.c < this.setpoint - 10;
    const change = climbs || above || below || cools ? seconds : -seconds;
    this.against = max(0, min(2 * REFUTED_AFTER, this.against + change));
  }

  get refuted(): boolean {
    return this.against >= REFUTED_AFTER;
  }

  /** May a kiln that follows in this way have fallen since a moment, or so fast now, °C/h? */
  letsFall(rate: number, since: number, hand: boolean): boolean {
    if (this.loose >= since || this.endsSoon(hand ? this.t - since + SOON : SOON)) return true;
    if (this.mode !== 'falls') return false;
    return rate > (this.followed > 600 ? this.rate() - 60 : 1.5 * this.rate() - 70);
  }

  private endsSoon(seconds: number): boolean {
    const now = this.segments[this.at];
    if (now === undefined) return true;
    const next = this.segments[this.at + 1];
    if (next !== undefined && next.target >= now.target) return false;
    const way = abs(now.target - this.setpoint);
    const moving = way === 0 ? 0 : (way / (now.rate ?? Infinity)) * 3600;
    return moving + now.holdMinutes * 60 - this.held < seconds;
  }

  /** °C the program asks for each hour now. */
  rate(): number {
    const now = this.segments[this.at];
    if (now === undefined || this.setpoint === now.target) return 0;
    return (now.rate ?? 1000) * sign(now.target - this.setpoint);
  }
}
