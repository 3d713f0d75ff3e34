/** Readings on their way in: which firing they belong to, and whether they are believed. */
import {
  IMPOSSIBLE_WORDS,
  impossibleMoment,
  judgeReadings,
  possibleCelsius,
  type Doubt,
} from '@/core/heatwork';
import type { Transaction } from '@/data/database';
import { firingsOfKiln, type FiringWindow } from '@/data/kiln-firings';
import { believedBefore, jumpsBetween, keepReadings, keepStrays, type ReadingSource } from '@/data/readings';
import { learnFrom } from '../kilns/server';

export type Incoming = { at: Date; celsius: number | null; probeMv: number | null };
export type Doubted = { at: Date; celsius: number | null; doubt: Doubt };
/** A reading that cannot be one is not kept; which it was in the batch, from 1, and why. */
export type Refused = { row: number; why: string };
export type Taken = {
  /** How many were new, how many were there already. */
  kept: number;
  repeated: number;
  doubted: Doubted[];
  refused: Refused[];
  /** Readings that no firing of the kiln claims. */
  stray: number;
};

/** A firing claims readings from an hour before it was lit until it was opened. */
const BEFORE_MS = 3_600_000;
const claims = ({ startedAt, openedAt }: FiringWindow, at: Date): boolean =>
  at.getTime() >= startedAt.getTime() - BEFORE_MS &&
  (openedAt === null || at.getTime() <= openedAt.getTime());

/** Judges readings by those that stand before them. */
export async function judge(
  trx: Transaction,
  firingId: string,
  readings: readonly Incoming[],
  now: Date,
): Promise<(Incoming & { doubt: Doubt | null })[]> {
  const sorted = [...readings].sort((a, b) => a.at.getTime() - b.at.getTime());
  const first = sorted[0];
  if (first === undefined) return [];
  const before = await believedBefore(trx, firingId, first.at);
  const jumped = await jumpsBetween(trx, firingId, before?.at ?? null, first.at);
  const seconds = (at: Date): number => at.getTime() / 1000;
  const asReading = (one: { at: Date; celsius: number | null }) => ({
    t: seconds(one.at),
    c: one.celsius ?? Number.NaN,
  });
  const doubts = judgeReadings(
    sorted.map(asReading),
    before === null ? null : asReading(before),
    jumped.map(asReading),
    seconds(now),
  );
  return sorted.map((one, i) => ({ ...one, doubt: doubts[i] ?? null }));
}

/** Parts what can be a reading from what cannot; what only a broken instrument says is no temperature. */
export function possible(
  readings: readonly Incoming[],
  lit: Date | null,
  now: Date,
): { readings: Incoming[]; refused: Refused[] } {
  const parted: { readings: Incoming[]; refused: Refused[] } = { readings: [], refused: [] };
  readings.forEach((one, i) => {
    const why = impossibleMoment(one.at.getTime(), lit?.getTime() ?? null, now.getTime());
    if (why === null) parted.readings.push({ ...one, celsius: possibleCelsius(one.celsius) });
    else parted.refused.push({ row: i + 1, why: IMPOSSIBLE_WORDS[why] });
  });
  return parted;
}

/** Keeps readings of one firing; what is doubted is kept too, but not believed. */
export async function takeReadings(
  trx: Transaction,
  firingId: string,
  readings: readonly Incoming[],
  source: ReadingSource,
  by: string | null,
  now: Date,
): Promise<Omit<Taken, 'stray' | 'refused'>> {
  const judged = await judge(trx, firingId, readings, now);
  const kept = await keepReadings(trx, firingId, judged, source, by, now);
  return {
    kept,
    repeated: judged.length - kept,
    doubted: judged.flatMap(({ at, celsius, doubt }) => (doubt === null ? [] : [{ at, celsius, doubt }])),
  };
}

/** Shares a kiln's readings out to its firings by their time; the rest are kept as strays. */
export async function ingest(
  trx: Transaction,
  kilnId: string,
  readings: readonly Incoming[],
  now: Date,
): Promise<Taken & { firing: string | null; closed: boolean }> {
  // A firing under way comes first: of overlapping ones it is the one the device speaks of.
  const { readings: good, refused } = possible(readings, null, now);
  const windows = (await firingsOfKiln(trx, kilnId, 6)).sort(
    (a, b) => Number(a.openedAt !== null) - Number(b.openedAt !== null),
  );
  const shares = new Map<string, Incoming[]>();
  const stray: Incoming[] = [];
  for (const one of good) {
    const window = windows.find((firing) => claims(firing, one.at));
    if (window === undefined) stray.push(one);
    else if (shares.has(window.id)) shares.get(window.id)!.push(one);
    else shares.set(window.id, [one]);
  }
  const total: Taken = { kept: 0, repeated: 0, doubted: [], refused, stray: stray.length };
  let late = false;
  for (const [firingId, own] of shares) {
    const taken = await takeReadings(trx, firingId, own, 'device', null, now);
    total.kept += taken.kept;
    total.repeated += taken.repeated;
    total.doubted.push(...taken.doubted);
    if (taken.kept > 0 && windows.find(({ id }) => id === firingId)?.openedAt) {
      // A backlog for a firing that has been opened since: what it taught is worked out again.
      late = true;
      await learnFrom(trx, firingId);
    }
  }
  if (stray.length > 0) await keepStrays(trx, kilnId, stray);
  return { ...total, firing: [...shares.keys()][0] ?? null, closed: late };
}
