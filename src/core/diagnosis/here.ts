/**
 * What a studio has found itself: confirmed cases move how common a cause is, and a technician may disagree.
 */
import { count } from '../units';
import type { Cause } from './cause-types';
import type { Here } from './diagnose';
import { causeOf, CAUSES } from './knowledge';

/** A closed case: what was complained of, and which causes it turned out to be. */
export type Confirmed = { complaints: readonly string[]; turnedOut: readonly string[] };

/** What a technician says of a cause: it does not happen here, or it is so many times as common. */
export type Disagreed = { cause: string; off: boolean; factor: number };

/** The tables count as if so many cases had been known before any of the studio's own. */
export const AS_IF_KNOWN = 20;

/** Confirmed cases of a complaint, and in how many of them a cause took part. */
export function confirmedOf(
  confirmed: readonly Confirmed[],
  complaint: string,
  cause: string,
): { of: number; with: number } {
  const all = confirmed.filter(({ complaints }) => complaints.includes(complaint));
  return { of: all.length, with: all.filter(({ turnedOut }) => turnedOut.includes(cause)).length };
}

const MOST = 95;

function sharesHere(
  { id, shares }: Cause,
  confirmed: readonly Confirmed[],
  factor: number,
): Record<string, number> {
  return Object.fromEntries(
    Object.entries(shares).map(([complaint, share]) => {
      const own = confirmedOf(confirmed, complaint, id);
      const moved = (AS_IF_KNOWN * Math.min(MOST, share * factor) + 100 * own.with) / (AS_IF_KNOWN + own.of);
      return [complaint, Math.min(MOST, moved)];
    }),
  );
}

/** What of the tables is otherwise here. */
export function hereOf(confirmed: readonly Confirmed[], said: readonly Disagreed[]): Here {
  const by = new Map(said.map((one) => [one.cause, one]));
  return Object.fromEntries(
    CAUSES.map((cause) => {
      const own = by.get(cause.id);
      return [cause.id, { off: own?.off ?? false, shares: sharesHere(cause, confirmed, own?.factor ?? 1) }];
    }),
  );
}

/** "5 of 7 confirmed cases here; counted as if 20 had been known before". Null where none was confirmed. */
export function confirmedWords(
  confirmed: readonly Confirmed[],
  complaints: readonly string[],
  cause: string,
): string | null {
  const of = complaints.find((one) => (causeOf(cause)?.shares[one] ?? 0) > 0);
  if (of === undefined) return null;
  const own = confirmedOf(confirmed, of, cause);
  return own.of === 0
    ? null
    : `It was this in ${own.with} of ${count(own.of, 'confirmed case')} here; counted as if ${AS_IF_KNOWN} had been known before.`;
}
