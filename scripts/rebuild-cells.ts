/** Makes every chart summary again from the observations. */
import { rebuildCells } from '../src/data/cells';
import { openDatabase, transact } from '../src/data/database';
import { readConfig } from '../src/platform/config';

const db = openDatabase(readConfig().database);
await transact(db, (trx) =>
  rebuildCells(trx, (done, all) => console.log(`${done} of ${all} pieces`)),
);
await db.destroy();
