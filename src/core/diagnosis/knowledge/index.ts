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
