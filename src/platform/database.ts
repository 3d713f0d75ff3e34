import { openDatabase, type Database } from '@/data/database';
import { readConfig } from './config';

// Kept on globalThis so that development reloads do not open a new pool each time.
const held = globalThis as unknown as { jitenDatabase?: Database };

/** The application's connection pool. */
export function database(): Database {
  held.jitenDatabase ??= openDatabase(readConfig().database);
  return held.jitenDatabase;
}
