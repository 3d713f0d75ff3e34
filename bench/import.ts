import { insertMany, transact, type Row } from '../src/data/database';
import { report, timed, type Bench } from './measure';
import { bring, csv, studio, writable } from './studio';

const TABLES = [
  'lot',
  'piece',
  'face',
  'layer',
  'firing',
  'placement',
  'observation',
  'observation_sign',
  'cell',
  'sighting',
];

/** Past tests brought in: two dry runs and the writing. */
export const benchImport: Bench = async (server, sized) => {
  const rows = sized(10_000, 200);
  const importing = await studio(server, 'bench_import');
  const bytes = csv(rows);
  const ours = await timed(() => bring(importing, bytes));
  // The floor: the very rows the import made, inserted bare into a second database.
  const copies = new Map<string, Row[]>();
  for (const table of TABLES) copies.set(table, (await importing(table)).map(writable));
  const bare = await studio(server, 'bench_bare');
  const floor = await timed(() =>
    transact(bare, async (trx) => {
      await trx.raw('SET foreign_key_checks = 0');
      for (const table of TABLES) await insertMany(trx, table, copies.get(table)!);
    }),
  );
  report(`Import of ${rows} rows, two dry runs and the writing`, 2, ours, floor);
  await Promise.all([importing.destroy(), bare.destroy()]);
};
