/** A studio made for measuring: made-up past tests brought in by the thousand. */
import { v7 } from 'uuid';
import { changesOf } from '../src/data/changes';
import { transact, type Database, type Row } from '../src/data/database';
import { migrate } from '../src/data/migrations';
import { createPerson, type Person } from '../src/data/people';
import { createStudio } from '../src/data/studio';
import { importOptions, planImport, writeImport } from '../src/features/exchange/server';
import { freshDatabase, openOn, type Reached } from '../src/keeper/server';

export const technician: Person = {
  id: v7(),
  name: 'Bench',
  login: 'bench',
  role: 'technician',
  disabled: false,
};

export async function studio(server: Reached, name: string): Promise<Database> {
  await freshDatabase(server, name);
  const db = openOn(server, name);
  await migrate(db);
  await createStudio(
    db,
    {
      name: 'Bench',
      timeZone: 'UTC',
      temperatureUnit: 'C',
      lengthUnit: 'mm',
      massUnit: 'g',
      crackAtC: 100,
      unloadAtC: 40,
    },
    new Date(),
  );
  await createPerson(db, { ...technician, passwordHash: 'x' }, new Date());
  return db;
}

/**
 * Past tests of 25 coatings, every pair in turn, on three bodies. From `apart` on they are of two
 * other bodies: whatever the studio's size, the cells of the first body stay as large.
 */
export function csv(rows: number, apart = Infinity): Uint8Array {
  const lines = ['mark,body,coating 1,coats 1,coating 2,coats 2,cone,atmosphere,date,kiln,surface,defects'];
  for (let i = 0; i < rows; i++) {
    const pair = i % 625;
    lines.push(
      `M${i},${i < apart ? `Body ${apart === Infinity ? (i >> 13) % 3 : 0}` : `Body ${1 + (i & 1)}`},Glaze ${pair % 25},${1 + (i % 2)},Glaze ${Math.floor(pair / 25)},1,6,oxidation,20${20 + (i % 5)}-0${1 + (i % 9)}-1${i % 9},Kiln ${i % 3},${i % 5 ? 'gloss' : 'matt'},${i % 4 ? '' : 'pit 1'}`,
    );
  }
  return new TextEncoder().encode(lines.join('\n'));
}

/** Two stacks on one body: one seen on very many pieces, one on a few. */
export function crowd(many: number, few: number): Uint8Array {
  const row = (i: number, glaze: number): string =>
    `${glaze}-${i},Body 0,Glaze ${glaze},1,,,6,oxidation,20${20 + (i % 5)}-0${1 + (i % 9)}-1${i % 9},Kiln ${i % 3},${i % 9 ? 'gloss' : 'matt'},`;
  const lines = [
    'mark,body,coating 1,coats 1,coating 2,coats 2,cone,atmosphere,date,kiln,surface,defects',
    ...Array.from({ length: many }, (_, i) => row(i, 0)),
    ...Array.from({ length: few }, (_, i) => row(i, 1)),
  ];
  return new TextEncoder().encode(lines.join('\n'));
}

const everything = (): object => ({
  bodies: Object.fromEntries([0, 1, 2].map((n) => [`Body ${n}`, 'new'])),
  kilns: Object.fromEntries([0, 1, 2].map((n) => [`Kiln ${n}`, 'new'])),
  coatings: Object.fromEntries(Array.from({ length: 25 }, (_, n) => [`Glaze ${n}`, 'new'])),
});

export async function bring(db: Database, bytes: Uint8Array): Promise<void> {
  const first = await planImport(db, bytes, importOptions.parse({}));
  const known = everything() as { bodies: object; kilns: object; coatings: object };
  const pick = (all: object, names: readonly { name: string }[]): object =>
    Object.fromEntries(Object.entries(all).filter(([name]) => names.some((one) => one.name === name)));
  const options = importOptions.parse({
    bodies: pick(known.bodies, first.bodies),
    kilns: pick(known.kilns, first.kilns),
    coatings: pick(known.coatings, first.coatings),
    conesShown: true,
  });
  await transact(db, async (trx) =>
    writeImport(trx, await planImport(trx, bytes, options), options, 'bench', technician.id, new Date()),
  );
}

/** A row as it was read, made fit to be written: JSON columns as text. */
export const writable = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      value !== null && typeof value === 'object' && !(value instanceof Date) ? JSON.stringify(value) : value,
    ]),
  );

/** How to make it as if every table had been written: nothing that is kept of a read holds any more. */
export async function forgetting(db: Database): Promise<() => void> {
  const tables: string[] = (await db('information_schema.tables').whereRaw('table_schema = DATABASE()')).map(
    (row: Row) => row.TABLE_NAME as string,
  );
  const changes = changesOf(db)!;
  return () => changes.wrote(tables);
}
