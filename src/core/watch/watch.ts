/**
 * Watches a firing as its readings come in, each looked at once. An alarm says that something has
 * changed which neither the program, in any way a controller may follow it, nor the fire's going out
 * explains; a kiln that was weak from lighting is behind, and that is a note.
 */
import type { Reading } from '../heatwork';
import { askByHand } from './asked';
import { lookByHand } from './by-hand';
import { lookByMinutes } from './by-minutes';
import { BY_HAND, SAID_FOR, WatchedKiln, type Change, type WatchOptions } from './kiln';

export class Watch {
  private readonly kiln: WatchedKiln;
  private found: Change | null = null;
  private asked: Change | null = null;

  constructor(options: WatchOptions) {
    this.kiln = new WatchedKiln(options);
  }

  /** The next reading that is believed. */
  read(one: Reading): void {
    const before = this.kiln.read(one);
    if (before === null) return;
    const hand = one.t - before.t > BY_HAND;
    const seen = hand ? lookByHand(this.kiln, before, one) : lookByMinutes(this.kiln, one);
    if (seen !== null && !this.isGraver(seen)) this.found = seen;
    const asked = hand ? askByHand(this.kiln, before, one) : null;
    if (asked !== null) this.asked = asked;
  }

  /** Was something said within the hour that is more than this? A kiln that fell climbs less, too. */
  private isGraver(seen: Change): boolean {
    const { found } = this;
    return (
      found !== null && seen.kind === 'power' && found.kind !== 'power' && this.still(found, seen.at) !== null
    );
  }

  /** What has changed, for an hour, and while nobody has said that the kiln was touched since. */
  change(now: number): Change | null {
    return this.still(this.found, now);
  }

  /** What ought to be asked about, as long, where nothing is sure. */
  question(now: number): Change | null {
    return this.change(now) === null ? this.still(this.asked, now) : null;
  }

  private still(found: Change | null, now: number): Change | null {
    if (found === null || now - found.at > SAID_FOR) return null;
    const { touched } = this.kiln.options;
    return touched?.some((at) => at > found.at && at <= now) ? null : found;
  }
}
