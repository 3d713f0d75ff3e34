/** What every command does with the house: opening it, and ending in one line when that fails. */
import { resolve } from 'node:path';
import { transact, type Database } from '../src/data/database';
import { rebuildSummaries } from '../src/data/summaries';
import { relearnAll } from '../src/features/kilns/server';

/** What follows from the records, made again by the rules of this version. */
export const makeAgain = (db: Database): Promise<void> =>
  transact(db, async (trx) => {
    await relearnAll(trx);
    await rebuildSummaries(trx);
  });

/** Where a command looks for the studio. */
/** A path as it was typed: from where the command was called. */
export const typed = (path: string): string => resolve(process.env.JITEN_HERE ?? '.', path);

export const dataFolder = (empty: boolean): string =>
  process.env.JITEN_DATA ?? (empty ? 'studio-data/empty' : 'studio-data/demo');

/** A command that fails says why in words, without the program's own entrails. */
export function failing(error: unknown): void {
  console.error(error instanceof Error ? error.message : String(error));
  if (process.env.JITEN_TRACE === '1' && error instanceof Error) console.error(error.stack);
}
