/** Makes every summary (chart, queue) again from the records. */
import { openDatabase, transact } from '../src/data/database';
import { rebuildSummaries } from '../src/data/summaries';
import { readConfig } from '../src/platform/config';

const db = openDatabase(readConfig().database);
await transact(db, (trx) =>
  rebuildSummaries(trx, (done, all) => console.log(`${done} of ${all} pieces`)),
);
await db.destroy();
