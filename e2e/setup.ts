import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { roomForDatabases } from '../test-support/database';
import { makeSeeds } from './studios';

/** The studios that every file of tests takes its copies of. */
export default async function setup(): Promise<() => Promise<void>> {
  // Whoever runs them again and again on one build has made them beforehand.
  if (process.env.JITEN_E2E_FOLDER !== undefined) return () => Promise.resolve();
  const directory = mkdtempSync(join(roomForDatabases(), 'jiten-e2e-'));
  process.env.JITEN_E2E_FOLDER = directory;
  const remove = async (): Promise<void> => rmSync(directory, { recursive: true, force: true });
  try {
    await makeSeeds(directory);
  } catch (error) {
    await remove();
    throw error;
  }
  return remove;
}
