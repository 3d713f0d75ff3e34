/**
 * Complaints that unrelated stacks of one load share: the firing’s, not theirs. The firing is the unit of
 * evidence.
 */

/** How many stacks of a firing were looked at, and how many of them show each fault. */
export type FiringFaults = {
  firingId: string;
  stacks: number;
  faults: Readonly<Record<string, number>>;
  /** How many bodies were looked at, and on how many of them each fault shows. */
  bodies: number;
  on: Readonly<Record<string, number>>;
};

export type SharedComplaint = {
  sign: string;
  /** Stacks of this load that show it, of all that were looked at. */
  with: number;
  of: number;
  /** Other firings that can be compared, and those of them in which a smaller part did. */
  others: number;
  fewer: number;
};

/** Fewer stacks than this share nothing, and a firing with fewer is no comparison. */
const STACKS = 3;
const COMPARABLE = 5;
const SHARE = 0.25;
/**
 * So rarely does another firing of the studio show as much; below so many firings nothing can be said of
 * that.
 */
const RARE = 0.9;
const FIRINGS = 6;

/**
 * Faults on more than one body, where there are several, that at least three stacks and a quarter of a load
 * show, and that hardly another firing has as much of; the rarest first. With too few other firings a half of
 * the load must show it.
 * @param own the firing that is asked about; `others` all others of the studio.
 */
export function sharedComplaints(own: FiringFaults, others: readonly FiringFaults[]): SharedComplaint[] {
  const comparable = others.filter(
    ({ firingId, stacks }) => firingId !== own.firingId && stacks >= COMPARABLE,
  );
  return Object.entries(own.faults)
    .map(([sign, shown]): SharedComplaint => {
      const share = shown / own.stacks;
      const fewer = comparable.filter((one) => (one.faults[sign] ?? 0) / one.stacks < share).length;
      return { sign, with: shown, of: own.stacks, others: comparable.length, fewer };
    })
    .filter(({ sign, with: shown, of, others: n, fewer }) => {
      // What one body alone shows is the body’s.
      if (own.bodies > 1 && (own.on[sign] ?? 0) < 2) return false;
      if (shown < STACKS || shown / of < SHARE) return false;
      return n < FIRINGS ? shown / of >= 0.5 : fewer / n >= RARE;
    })
    .sort((a, b) => b.fewer / Math.max(1, b.others) - a.fewer / Math.max(1, a.others) || b.with - a.with);
}
