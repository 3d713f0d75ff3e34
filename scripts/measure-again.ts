/**
 * Measures the colours of every framed picture again that an older version of the method measured, whether or
 * not the studio is running. Broken off, it goes on where it was.
 */
import { COLOUR_METHOD } from '../src/core/colour';
import { measureAgain } from '../src/features/frames/server';
import { borrowServer } from '../src/keeper/borrow';
import { currentDatabase } from '../src/keeper/current';
import { folderOf } from '../src/keeper/folder';
import { openOn } from '../src/keeper/server';
import { dataFolder, failing } from './house';

const directory = dataFolder(process.argv.includes('--empty'));
process.env.JITEN_DATA = directory;
const folder = folderOf(directory);
borrowServer(folder, 'npm run measure-again', async (server) => {
  const db = openOn(server, currentDatabase(folder));
  try {
    const { done, unread } = await measureAgain(db, (at, all) => {
      if (at % 10 === 0 || at === all) console.log(`${at} of ${all} pictures`);
    });
    console.log(
      done + unread.length === 0
        ? `Every framed picture is measured by version ${COLOUR_METHOD} already.`
        : `${done} pictures measured by version ${COLOUR_METHOD}.`,
    );
    for (const id of unread)
      console.log(`The file of picture ${id} cannot be read: its colours are as they were.`);
    if (unread.length > 0) process.exitCode = 1;
  } finally {
    await db.destroy();
  }
}).catch((error: unknown) => {
  failing(error);
  process.exitCode = 1;
});
