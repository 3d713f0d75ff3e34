import { v7 } from 'uuid';

/** A seeded generator (mulberry32, public domain algorithm): the demo is the same every time. */
export class Random {
  constructor(private state: number) {}

  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  between(low: number, high: number): number {
    return low + (high - low) * this.next();
  }

  integer(low: number, high: number): number {
    return Math.floor(this.between(low, high + 1));
  }

  chance(share: number): boolean {
    return this.next() < share;
  }

  pick<T>(values: readonly T[]): T {
    return values[Math.floor(this.next() * values.length)] as T;
  }

  shuffle<T>(values: readonly T[]): T[] {
    const shuffled = [...values];
    for (let i = shuffled.length - 1; i > 0; i--) {
      const j = this.integer(0, i);
      [shuffled[i], shuffled[j]] = [shuffled[j] as T, shuffled[i] as T];
    }
    return shuffled;
  }

  /** A time-ordered id that is the same every time. */
  id(at: Date): string {
    const random = Uint8Array.from({ length: 16 }, () => this.integer(0, 255));
    return v7({ msecs: at.getTime(), random });
  }
}
