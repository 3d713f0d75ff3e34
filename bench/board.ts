import type { Row } from '../src/data/database';
import { chartData } from '../src/features/chart/queries';
import { ratio, type Bench } from './measure';
import { bring, csv, forgetting, studio } from './studio';

/** The chart's board: with nothing kept in memory, and kept. */
export const benchBoard: Bench = async (server, sized) => {
  const pieces = sized(20_000, 700);
  const db = await studio(server, 'bench_board');
  await bring(db, csv(pieces));
  const body = (await db('body').where({ name: 'Body 0' }).first()) as Row;
  const view = { body: body.slug as string, cone: '6', atmosphere: 'oxidation', ground: '' };
  const forget = await forgetting(db);
  const sql = () => db('cell').where({ body_id: body.id, cone: '6', atmosphere: 'oxidation', slips: '' });
  const cells = (await sql()).length;
  await ratio(
    `Board of ${cells} cells, ${pieces} pieces, nothing kept, against the SQL for its cells`,
    1.3,
    sized(25, 2),
    () => {
      forget();
      return chartData(db, view);
    },
    sql,
  );
  await ratio('The same board, kept in memory', null, sized(25, 2), () => chartData(db, view), sql);
  await db.destroy();
};
