/** How often something may fall over before it is left lying. */
export const MOST_RESTARTS = 5;
export const WITHIN_MS = 60_000;

/** Counts falls: the sixth within a minute is one too many. */
export class Restarts {
  private falls: number[] = [];

  /** Notes a fall; says whether to try again. */
  again(now: number): boolean {
    this.falls = [...this.falls.filter((at) => now - at < WITHIN_MS), now];
    return this.falls.length <= MOST_RESTARTS;
  }
}
