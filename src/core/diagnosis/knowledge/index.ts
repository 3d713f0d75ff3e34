/** All causes that the clinic knows. */
import type { Cause } from '../cause-types';
import { bodies, slips, specks } from './body';
import { colour } from './colour';
import { fit } from './fit';
import { gas } from './gas';
import { melt } from './melt';
import { movement } from './movement';

export const CAUSES: readonly Cause[] = [
  ...fit,
  ...gas,
  ...movement,
  ...melt,
  ...colour,
  ...slips,
  ...bodies,
  ...specks,
];

const BY_ID = new Map(CAUSES.map((one) => [one.id, one]));
export const causeOf = (id: string): Cause | undefined => BY_ID.get(id);

const bearing = new Map<string, ReadonlySet<string>>();
/** Facts that some cause of a complaint cares about; of a complaint that is not named all of them. */
export function factsThatBear(complaint: string): ReadonlySet<string> {
  const known = bearing.get(complaint);
  if (known !== undefined) return known;
  const its = CAUSES.filter(({ shares }) => (shares[complaint] ?? 0) > 0);
  const found = new Set(
    (its.length === 0 ? CAUSES : its).flatMap(({ evidence, needs }) => [
      ...Object.keys(needs),
      ...evidence.flatMap(({ fact, of }) =>
        its.length > 0 && of?.includes(complaint) === false ? [] : [fact],
      ),
    ]),
  );
  bearing.set(complaint, found);
  return found;
}
