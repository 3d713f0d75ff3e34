/** Where things lie in a data folder. */
import { createHash } from 'node:crypto';
import { lstatSync, mkdirSync, statfsSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join, resolve } from 'node:path';

export type Folder = {
  data: string;
  /** Tables, as the database server keeps them. */
  tables: string;
  /** The server's own temporary files: shared ones brought servers down. */
  temporary: string;
  /** The password of the application's account, readable by its owner only. */
  key: string;
  /** Only for the owner: socket, who holds the folder, what was started. */
  run: string;
  socket: string;
  pictures: string;
  backups: string;
  logs: string;
  /** The door to the local network, and the studio's certificate authority. */
  lan: string;
};

/** A socket's path may hold at most 107 bytes. */
const LONGEST_SOCKET = 100;

export function folderOf(directory: string): Folder {
  const data = resolve(directory);
  const run = join(data, 'run');
  const beside = join(run, 'database.sock');
  const named = createHash('sha256').update(data).digest('hex').slice(0, 16);
  return {
    data,
    tables: join(data, 'mariadb'),
    temporary: join(data, 'mariadb-tmp'),
    key: join(data, 'database.key'),
    run,
    socket:
      Buffer.byteLength(beside) <= LONGEST_SOCKET
        ? beside
        : join(tmpdir(), `jiten-${userInfo().uid}-${named}`, 'database.sock'),
    pictures: join(data, 'pictures'),
    backups: join(data, 'backups'),
    logs: join(data, 'logs'),
    lan: join(data, 'lan'),
  };
}

/** Makes a directory that only its owner may enter; refuses one that somebody else made. */
export function ownDirectory(path: string): void {
  mkdirSync(path, { recursive: true, mode: 0o700 });
  const found = lstatSync(path);
  if (!found.isDirectory() || found.uid !== userInfo().uid)
    throw new Error(`${path} belongs to somebody else; take it away, then start again.`);
}

/** Bytes that are free on the disk of a folder. */
export function freeBytes(directory: string): number {
  const { bavail, bsize } = statfsSync(directory);
  return bavail * bsize;
}

/** Below this nothing is begun: a full disk stops the database in the middle of its work. */
export const LEAST_FREE_BYTES = 300 * 1024 ** 2;

/** Says in one line that there is no room, or nothing. */
export function noRoom(directory: string, least = LEAST_FREE_BYTES): string | null {
  const free = freeBytes(directory);
  if (free >= least) return null;
  const mb = (bytes: number): number => Math.floor(bytes / 1024 ** 2);
  return `The disk of ${directory} has ${mb(free)} MB left; at least ${mb(least)} MB are needed. Make room, then start again.`;
}
