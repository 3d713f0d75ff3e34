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
  readonly #writing = new AsyncLocalStorage<{ tables: Set<string>; open: boolean }>();
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
    this.readAlso(tables);
    return { value, tables };
  }

  /** What another read was made from counts for the one around it. */
  readAlso(tables: Iterable<string>): void {
    const outer = this.#reading.getStore();
    if (outer !== undefined) for (const table of tables) outer.add(table);
  }

  /** Runs a transaction: what it writes counts when it has ended. */
  async writing<T>(work: () => Promise<T>): Promise<T> {
    const writing = { tables: new Set<string>(), open: true };
    try {
      return await this.#writing.run(writing, work);
    } finally {
      // What was begun within it and goes on after it writes for itself.
      writing.open = false;
      if (writing.tables.size > 0) this.wrote(writing.tables);
    }
  }

  /** What the transaction around this has written so far; null where none is open. */
  #within(): Set<string> | null {
    const around = this.#writing.getStore();
    return around?.open === true ? around.tables : null;
  }

  /** Of a statement on its way: what it reads, and inside a transaction what it will have written. */
  sent({ sql }: Said): void {
    const { writes, tables } = tablesOf(sql);
    if (writes) for (const table of tables) this.#within()?.add(table);
    else this.readAlso(tables);
  }

  /** Of a statement that was answered, or failed and may have been carried out all the same. */
  answered({ sql }: Said): void {
    const { writes, tables } = tablesOf(sql);
    if (writes && this.#within() === null) this.wrote(tables);
  }
}

const known = new Map<string, { writes: boolean; tables: string[] }>();
const READS = /^\s*\(?\s*(select|show|explain|with|set|begin|commit|rollback|start|savepoint|release)\b/i;
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
  // One that is begun and ended by hand (the way out of a studio, a step of a migration) is not watched as
  // one.
  const transaction = (...args: unknown[]): Promise<unknown> =>
    typeof args[0] === 'function' ? changes.writing(() => begin(...args)) : begin(...args);
  Object.defineProperty(db, 'transaction', { value: transaction, configurable: true });
}

/** What is known of a pool's writes; null where nobody watches, as inside a transaction. */
export const changesOf = (src: unknown): Changes | null => (src as { [CHANGES]?: Changes })[CHANGES] ?? null;
