/** `./verify FILE`: is this backup whole, and does it come up? Nothing of the studio is touched. */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { unpack } from '../src/keeper/backup/packed';
import { Shelf } from '../src/keeper/backup/shelf';
import { tryBackup } from '../src/keeper/backup/verify';
import { failing, typed } from './house';

async function main(): Promise<void> {
  const { positionals } = parseArgs({ allowPositionals: true });
  if (positionals.length !== 1) throw new Error('Say which: ./verify FILE');
  const file = typed(positionals[0]!);
  // Beside the file there is room for it; where nothing may be written, the system's folder has to do.
  const beside = await mkdtemp(join(dirname(file), '.jiten-verify-')).catch(() =>
    mkdtemp(join(tmpdir(), 'jiten-verify-')),
  );
  try {
    const shelf = new Shelf(beside);
    const backup = await unpack(file, shelf);
    const { manifest } = backup;
    console.log(
      `“${manifest.studio}” as it was on ${manifest.made.slice(0, 16).replace('T', ' ')} UTC, made by version ${manifest.application}`,
    );
    const { ok, said } = await tryBackup(shelf, backup, beside, console.log);
    console.log(said);
    if (!ok) process.exitCode = 1;
  } finally {
    await rm(beside, { recursive: true, force: true });
  }
}

main().catch((error: unknown) => {
  failing(error);
  process.exitCode = 1;
});
