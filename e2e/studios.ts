/**
 * Studios for browser tests. Two are made once for a run, the demo and an empty one; each file of tests works
 * on a copy of its own, with a database server and an application of its own, so that no file sees what
 * another wrote.
 */
import { cpSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { test } from '@playwright/test';
import { loadDemo } from '../demo/load';
import { migrate } from '../src/data/migrations';
import { ensureDatabase, openOn, startDatabase, type RunningDatabase } from '../src/keeper/server';
import { startApplication, type RunningApplication } from '../test-support/application';

export type Kind = 'demo' | 'empty';
const NAME = 'studio';
/** What belongs to a server while it runs, and is made anew by each. */
const OF_A_RUN = new Set(['run', 'mariadb-tmp', 'mariadb.log']);

const seedOf = (root: string, kind: Kind): string => join(root, `seed-${kind}`);

/** Makes what copies are taken of. */
export async function makeSeeds(root: string): Promise<void> {
  await Promise.all(
    (['demo', 'empty'] as const).map(async (kind) => {
      const directory = seedOf(root, kind);
      mkdirSync(directory);
      const server = await startDatabase(directory, { throwaway: true });
      try {
        await ensureDatabase(server, NAME);
        const db = openOn(server, NAME);
        await migrate(db);
        if (kind === 'demo') await loadDemo(db, directory);
        await db.destroy();
      } finally {
        await server.stop();
      }
    }),
  );
}

export type Copy = { server: RunningDatabase; name: string; data: string; end: () => Promise<void> };

/** A studio of its own on a server of its own. */
export async function copyOf(kind: Kind): Promise<Copy> {
  const seed = seedOf(process.env.JITEN_E2E_FOLDER as string, kind);
  const data = mkdtempSync(join(dirname(seed), `${kind}-`));
  cpSync(seed, data, {
    recursive: true,
    filter: (path) => dirname(path) !== seed || !OF_A_RUN.has(basename(path)),
  });
  const server = await startDatabase(data, { throwaway: true });
  const end = async (): Promise<void> => {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  };
  return { server, name: NAME, data, end };
}

type Opened = Copy & { application: RunningApplication };
const opened = new Map<Kind, Opened>();

/** The studio of this kind that this file opened. Errors: it opened none. */
export function studioOf(kind: Kind): Opened {
  const found = opened.get(kind);
  if (found === undefined) throw new Error(`This file of tests has to say opens('${kind}') first.`);
  return found;
}

/**
 * Says at the head of a file of tests which studios it works on; they are there before its first test, and
 * end with its last.
 */
export function opens(...kinds: Kind[]): void {
  test.beforeAll(async () => {
    for (const kind of kinds) {
      const copy = await copyOf(kind);
      opened.set(kind, { ...copy, application: await startApplication(copy, copy.data) });
    }
  });
  test.afterAll(async () => {
    for (const { application, end } of opened.values()) {
      await application.stop();
      await end();
    }
    opened.clear();
  });
}
