/**
 * Which tables were written when, as far as this process writes them: by that what was kept of a read
 * is known to still hold. A transaction's tables count as written once it has ended, however it ended.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { Knex } from 'knex';

type Said = { sql: string };

const CHANGES = Symbol.for('jiten.changes');

export class Changes {
  /** How much was written so far: each table's last write has its number. */
  #now = 0;
  readonly #last = new Map<string, number>();
  readonly #writing = new AsyncLocalStorage<Set<string>>();
  readonly #reading = new AsyncLocalStorage<Set<string>>();

  get now(): number {
    return this.#now;
  }

  /** Was any of these tables written after that number? */
  since(number: number, tables: Iterable<string>): boolean {
    for (const table of tables) if ((this.#last.get(table) ?? 0) > number) return true;
    return false;
  }

  wrote(tables: Iterable<string>): void {
    this.#now += 1;
    for (const table of tables) this.#last.set(table, this.#now);
  }

  /** Runs a read and gathers the tables that its statements name. */
  async reading<T>(work: () => Promise<T>): Promise<{ value: T; tables: Set<string> }> {
    const tables = new Set<string>();
    const value = await this.#reading.run(tables, work);
    // What is read for a read that is itself being kept is read for that one too.
    const outer = this.#reading.getStore();
    if (outer !== undefined) for (const table of tables) outer.add(table);
    return { value, tables };
  }

  /** What another read was made from counts for the one around it. */
  readAlso(tables: Iterable<string>): void {
    const outer = this.#reading.getStore();
    if (outer !== undefined) for (const table of tables) outer.add(table);
  }

  /** Runs a transaction: what it writes counts when it has ended. */
  async writing<T>(work: () => Promise<T>): Promise<T> {
    const tables = new Set<string>();
    try {
      return await this.#writing.run(tables, work);
    } finally {
      if (tables.size > 0) this.wrote(tables);
    }
  }

  /** Of a statement on its way: what it reads, and inside a transaction what it will have written. */
  sent({ sql }: Said): void {
    const { writes, tables } = tablesOf(sql);
    if (writes) for (const table of tables) this.#writing.getStore()?.add(table);
    else this.readAlso(tables);
  }

  /** Of a statement that was answered, or failed and may have been carried out all the same. */
  answered({ sql }: Said): void {
    const { writes, tables } = tablesOf(sql);
    if (writes && this.#writing.getStore() === undefined) this.wrote(tables);
  }
}

const known = new Map<string, { writes: boolean; tables: string[] }>();
const READS = /^\s*\(?\s*(select|show|explain|with|set|begin|commit|rollback|start|savepoint|release)\b/i; // prettier-ignore
const INTO = /^\s*(?:insert|replace)(?:\s+ignore)?(?:\s+into)?\s+`?(\w+)/i;
const NAMED = /\b(?:from|join|update|into|table)\s+`?(\w+)/gi;

/** The tables that a statement names: of an insert the one it fills, else all that it leads over. */
export function tablesOf(sql: string): { writes: boolean; tables: string[] } {
  const found = known.get(sql);
  if (found !== undefined) return found;
  const writes = !READS.test(sql);
  const into = writes ? INTO.exec(sql)?.[1] : undefined;
  const tables =
    into === undefined ? [...new Set([...sql.matchAll(NAMED)].map(([, name]) => name!))] : [into];
  const told = { writes, tables };
  if (known.size > 3000) known.clear();
  if (sql.length < 4000) known.set(sql, told);
  return told;
}

/** Watches what goes through a pool. */
export function watchChanges(db: Knex): void {
  const changes = new Changes();
  Object.assign(db, { [CHANGES]: changes });
  db.on('query', (said: Said) => changes.sent(said));
  db.on('query-response', (_: unknown, said: Said) => changes.answered(said));
  db.on('query-error', (_: unknown, said: Said) => changes.answered(said));
  const begin = db.transaction.bind(db) as (...args: unknown[]) => Promise<unknown>;
  // One that is begun and ended by hand (the way out of a studio, a step of a migration) is not watched as one.
  const transaction = (...args: unknown[]): Promise<unknown> =>
    typeof args[0] === 'function' ? changes.writing(() => begin(...args)) : begin(...args);
  Object.defineProperty(db, 'transaction', { value: transaction, configurable: true });
}

/** What is known of a pool's writes; null where nobody watches, as inside a transaction. */
export const changesOf = (src: unknown): Changes | null =>
  (src as { [CHANGES]?: Changes })[CHANGES] ?? null;
