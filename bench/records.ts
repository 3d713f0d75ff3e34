import { v7 } from 'uuid';
import { OPERATIONS } from '../src/app/operations';
import { insertMany, transact, type Row } from '../src/data/database';
import { chartData } from '../src/features/chart/queries';
import { perform } from '../src/platform/operation';
import type { Reached } from '../src/keeper/server';
import { ratio, report, timed } from './measure';
import { bring, csv, studio, technician } from './studio';

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
/** A row as it was read, made fit to be written: JSON columns as text. */
const writable = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      value !== null && typeof value === 'object' && !(value instanceof Date) ? JSON.stringify(value) : value,
    ]),
  );

export async function benchImport(server: Reached): Promise<void> {
  const importing = await studio(server, 'bench_import');
  const bytes = csv(10_000);
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
  report('Import of 10,000 rows, two dry runs and the writing', 4, ours, floor);
  await Promise.all([importing.destroy(), bare.destroy()]);
}

/** The chart's board, and saving of one observation, in a studio of 20,000 pieces. */
export async function benchBoard(server: Reached): Promise<void> {
  const db = await studio(server, 'bench_board');
  await bring(db, csv(20_000));
  const body = (await db('body').where({ name: 'Body 0' }).first()) as Row;
  await ratio(
    'Board of 25 × 25 cells, 20,000 pieces',
    1.5,
    25,
    () => chartData(db, { body: body.slug as string, cone: '6', atmosphere: 'oxidation', ground: '' }),
    () => db('cell').where({ body_id: body.id, cone: '6', atmosphere: 'oxidation', slips: '' }),
  );

  const placed: Row[] = await db('placement').limit(200).select('piece_id', 'firing_id');
  const seen = {
    surface: 'gloss',
    opacity: null,
    colour: null,
    movementMm: 1,
    met: null,
    rating: 4,
    verdict: 'study',
    note: '',
    signs: [],
  };
  await ratio(
    'Saving one observation',
    2,
    60,
    async (i) => {
      const { piece_id: pieceId, firing_id: firingId } = placed[i + 2]!;
      const answer = await perform(
        db,
        OPERATIONS.get('opening.record')!,
        {
          id: v7(),
          input: {
            firingId,
            zone: null,
            seen,
            pieces: [{ pieceId, observationId: v7(), corrects: null }],
          },
        },
        technician,
      );
      if (!answer.ok) throw new Error(answer.problem.message);
    },
    (i) =>
      transact(db, async (trx) => {
        // The floor: the same writes by hand, with nothing read and nothing computed.
        const { piece_id: pieceId, firing_id: firingId } = placed[i + 102]!;
        await trx('observation').insert({
          id: v7(),
          piece_id: pieceId,
          firing_id: firingId,
          seen_at: new Date(),
          arrived_at: new Date(),
          seen_by: technician.id,
          surface: 'gloss',
          movement_mm: 1,
          rating: 4,
          verdict: 'study',
          note: '',
        });
        const own = (await trx('sighting').where({ piece_id: pieceId, firing_id: firingId }))[0] as Row;
        await trx('sighting').where({ piece_id: pieceId, firing_id: firingId }).delete();
        await trx('sighting').insert({
          ...own,
          signs: JSON.stringify(own.signs),
          variables: JSON.stringify(own.variables),
        });
        await trx('cell').where({ id: own.cell_id }).update({ rating: 4, movement_mm: 1 });
        await trx('operation').insert({
          id: v7(),
          name: 'bench',
          person_id: technician.id,
          at: new Date(),
          result: 'null',
        });
      }),
  );
  await db.destroy();
}
