/** One start at a time on a data folder: a lock that the kernel lets go of when its holder dies. */
import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { ownDirectory, type Folder } from './folder';

const holderShape = z.object({
  what: z.string(),
  pid: z.number(),
  since: z.string(),
  url: z.string().nullable(),
});
export type Holder = z.output<typeof holderShape>;

export type Hold = {
  /** Says under which address the studio is reached. */
  tell(url: string): void;
  release(): void;
};

const TAKEN = 75;

/** Somebody else holds the folder. */
export class Held extends Error {
  constructor(
    folder: Folder,
    readonly holder: Holder | null,
  ) {
    const who =
      holder === null
        ? 'another start'
        : `${holder.what} (process ${holder.pid}, since ${holder.since.slice(0, 16).replace('T', ' ')} UTC${holder.url === null ? '' : `, ${holder.url}`})`;
    super(`${folder.data} is in use by ${who}. Use that one, or stop it first.`);
  }
}

/** Who said last that they hold it; what cannot be read is nobody. */
export function readHolder(folder: Folder): Holder | null {
  try {
    return holderShape.parse(JSON.parse(readFileSync(join(folder.run, 'holder.json'), 'utf8')));
  } catch {
    return null;
  }
}

/**
 * Takes the folder for this process. The lock is held by a helper that waits at the end of our
 * pipe: when we die, however that be, it ends and the lock is free.
 * Errors: Held, when another process has it.
 */
export async function holdFolder(folder: Folder, what: string): Promise<Hold> {
  ownDirectory(folder.run);
  const path = join(folder.run, 'lock');
  const helper = spawn(
    'flock',
    ['--nonblock', '--conflict-exit-code', String(TAKEN), path, 'sh', '-c', 'echo held; cat'],
    { stdio: ['pipe', 'pipe', 'ignore'], detached: true },
  );
  await heldBy(helper, folder);
  const holder: Holder = { what, pid: process.pid, since: new Date().toISOString(), url: null };
  const write = (): void =>
    writeFileSync(join(folder.run, 'holder.json'), JSON.stringify(holder), { mode: 0o600 });
  write();
  helper.unref();
  return {
    tell(url) {
      holder.url = url;
      write();
    },
    release: () => void helper.stdin!.end(),
  };
}

function heldBy(helper: ChildProcess, folder: Folder): Promise<void> {
  return new Promise((resolve, reject) => {
    helper.once('error', () =>
      reject(new Error('“flock” is missing; install util-linux, then start again.')),
    );
    helper.once('exit', (code) =>
      reject(
        code === TAKEN
          ? new Held(folder, readHolder(folder))
          : new Error(`The lock of ${folder.data} could not be taken (flock ended with ${code}).`),
      ),
    );
    helper.stdout!.once('data', () => resolve());
  });
}
