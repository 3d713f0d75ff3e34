/** Makes every summary (chart, queue) again from the records, whether or not the studio is running. */
import { transact } from '../src/data/database';
import { rebuildSummaries } from '../src/data/summaries';
import { borrowServer } from '../src/keeper/borrow';
import { currentDatabase } from '../src/keeper/current';
import { folderOf } from '../src/keeper/folder';
import { openOn } from '../src/keeper/server';
import { dataFolder, failing } from './house';

const folder = folderOf(dataFolder(process.argv.includes('--empty')));
borrowServer(folder, 'npm run rebuild', async (server) => {
  const db = openOn(server, currentDatabase(folder));
  try {
    await transact(db, (trx) =>
      rebuildSummaries(trx, (done, all) => console.log(`${done} of ${all} pieces`)),
    );
  } finally {
    await db.destroy();
  }
}).catch((error: unknown) => {
  failing(error);
  process.exitCode = 1;
});
