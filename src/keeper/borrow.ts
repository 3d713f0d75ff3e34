/** Works with a studio's database whether or not the studio is running. */
import { reachedIn, type Dumped } from './backup/dump';
import type { Folder } from './folder';
import { Held, holdFolder } from './hold';
import { endLeftovers, noteChild } from './processes';
import { addressIn, startDatabase } from './server';

/**
 * Borrows the server that runs on the folder, or starts one for as long as the work takes.
 * Errors: what the work throws; the server's own words.
 */
export async function borrowServer<T>(
  folder: Folder,
  what: string,
  work: (server: Dumped) => Promise<T>,
): Promise<T> {
  let hold;
  try {
    hold = await holdFolder(folder, what);
  } catch (error) {
    if (!(error instanceof Held)) throw error;
    return work(reachedIn(folder.data, (name) => addressIn(folder, name)));
  }
  try {
    await endLeftovers(folder);
    const server = await startDatabase(folder.data);
    noteChild(folder, 'database', server.pid);
    try {
      return await work(server);
    } finally {
      await server.stop();
    }
  } finally {
    hold.release();
  }
}
