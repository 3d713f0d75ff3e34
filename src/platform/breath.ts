import { setImmediate as next } from 'node:timers/promises';

/** Lets everybody else have a turn: long work is done in pieces with this between them. */
export const breathe = (): Promise<void> => next();

/** Makes something of each thing of a long list, a few hundred at a turn. */
export async function mapInTurns<T, R>(
  list: readonly T[],
  make: (one: T, i: number) => R,
  atOnce = 400,
): Promise<R[]> {
  const made: R[] = [];
  for (const [i, one] of list.entries()) {
    if (i % atOnce === atOnce - 1) await breathe();
    made.push(make(one, i));
  }
  return made;
}
