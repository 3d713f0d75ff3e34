/** A database into one file and back, by the tools that come with it. */
import { spawn, type ChildProcess } from 'node:child_process';
import { createReadStream, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { ACCOUNT, password } from '../account';
import { folderOf, type Folder } from '../folder';
import { freshDatabase, type Reached } from '../server';
import { writeWhole, type Weight } from './files';

export type Dumped = Reached & { folder: Folder };

/** Lends the tools the account for as long as they work: on a command line it would be seen by all. */
async function withKey<T>(folder: Folder, work: (option: string) => Promise<T>): Promise<T> {
  const path = join(folder.run, `tool-${process.pid}-${Math.random().toString(36).slice(2)}.cnf`);
  const lines = ['[client]', `user=${ACCOUNT}`, `password=${password(folder)}`];
  writeFileSync(path, `${lines.join('\n')}\nsocket=${folder.socket}\n`, { mode: 0o600 });
  try {
    return await work(`--defaults-file=${path}`);
  } finally {
    rmSync(path, { force: true });
  }
}

/** Waits for a tool; what it complained of is its error. */
function finished(tool: ChildProcess, name: string): Promise<void> {
  let words = '';
  tool.stderr!.on('data', (chunk: Buffer) => (words = `${words}${chunk}`.slice(-2000)));
  return new Promise((resolve, reject) => {
    tool.once('error', () => reject(new Error(`“${name}” is missing; install mariadb-client.`)));
    tool.once('close', (code) =>
      code === 0 ? resolve() : reject(new Error(`${name} failed: ${words.trim() || `code ${code}`}`)),
    );
  });
}

const LAST_LINE = '-- Dump completed';

/** Lets all pass, and fails at the end when the tool's own last line was not among it. */
function wholeOnly(): Transform {
  let tail = '';
  return new Transform({
    transform(chunk: Buffer, _, done) {
      tail = `${tail}${chunk.subarray(-200).toString('latin1')}`.slice(-200);
      done(null, chunk);
    },
    flush: (done) => done(tail.includes(LAST_LINE) ? null : new Error('The dump broke off.')),
  });
}

/** Writes a database as it is at one moment, whatever is written meanwhile. */
export const dumpTo = (server: Dumped, name: string, path: string): Promise<Weight> =>
  withKey(server.folder, (key) =>
    writeWhole(path, async (to) => {
      const tool = spawn(
        'mariadb-dump',
        [
          key,
          '--single-transaction',
          '--quick',
          '--hex-blob',
          '--no-tablespaces',
          '--default-character-set=utf8mb4',
          name,
        ],
        { stdio: ['ignore', 'pipe', 'pipe'] },
      );
      await Promise.all([
        finished(tool, 'mariadb-dump'),
        pipeline(tool.stdout, wholeOnly(), createGzip({ level: 5 }), to),
      ]);
    }),
  );

/** Reads a dump into a database of that name, which is made anew. */
export async function loadDump(server: Dumped, name: string, path: string): Promise<void> {
  await freshDatabase(server, name);
  await withKey(server.folder, async (key) => {
    const tool = spawn('mariadb', [key, '--default-character-set=utf8mb4', name], {
      stdio: ['pipe', 'ignore', 'pipe'],
    });
    const work = finished(tool, 'mariadb');
    await Promise.all([
      work,
      // When the tool refuses, its own words are the error, not that its pipe broke.
      pipeline(createReadStream(path), createGunzip(), tool.stdin).catch(async (error) => {
        await work;
        throw error;
      }),
    ]);
  });
}

/** A server that somebody else started on a folder. */
export const reachedIn = (directory: string, address: Reached['address']): Dumped => ({
  folder: folderOf(directory),
  address,
});
