/** `npm run bench` measures everything; `npm run bench import board` only what is named. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Dumped } from '../src/keeper/backup/dump';
import { startDatabase } from '../src/keeper/server';
import { benchBodies } from './bodies';
import { benchChemistry } from './chemistry';
import { benchClinic } from './clinic';
import { benchGrowth } from './growth';
import { benchKilns } from './kilns';
import { benchPictures } from './pictures';
import { benchBoard, benchImport } from './records';

const BENCHES: Record<string, (server: Dumped) => unknown> = {
  import: benchImport,
  board: benchBoard,
  chemistry: benchChemistry,
  kilns: benchKilns,
  growth: benchGrowth,
  clinic: benchClinic,
  bodies: benchBodies,
  pictures: benchPictures,
};

const named = process.argv.slice(2);
const strange = named.filter((name) => !(name in BENCHES));
if (strange.length > 0) {
  console.error(`No bench is called ${strange.join(', ')}; there are ${Object.keys(BENCHES).join(', ')}.`);
  process.exit(1);
}
const directory = mkdtempSync(join(tmpdir(), 'jiten-bench-'));
const server = await startDatabase(directory, { throwaway: true });
try {
  for (const name of named.length > 0 ? named : Object.keys(BENCHES)) await BENCHES[name]!(server);
} finally {
  await server.stop();
  rmSync(directory, { recursive: true, force: true });
}
