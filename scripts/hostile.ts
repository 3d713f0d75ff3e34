/** `npm run hostile [BODIES [ADDRESSES [SEED]]]`: sends what nobody should, to a studio for throwing away. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo } from '../demo/load';
import { migrate } from '../src/data/migrations';
import { ensureDatabase, openOn, startDatabase } from '../src/keeper/server';
import { attackOn } from '../stand-ins/hostile/studio';
import { build } from './build';

const [bodies = 10_000, addresses = 2000, seed = 20_261] = process.argv.slice(2).map(Number);
await build();
const data = mkdtempSync(join(tmpdir(), 'jiten-hostile-'));
const server = await startDatabase(data, { throwaway: true });
try {
  await ensureDatabase(server, 'hostile');
  const db = openOn(server, 'hostile');
  await migrate(db);
  await loadDemo(db, data);
  await db.destroy();
  let shown = 0;
  const { faults, report } = await attackOn(
    { server, name: 'hostile', data },
    {
      bodies,
      addresses,
      seed,
      progress: (done) => {
        if (done - shown < 250) return;
        shown = done;
        process.stdout.write(`\r${done} sent `);
      },
    },
  );
  console.log(`\n${report.sent} sent; answers by status: ${JSON.stringify(report.statuses)}`);
  for (const one of report.wrong) console.log(`\nWRONG ${one.status} ${one.what}\n  ${one.told}`);
  for (const line of faults) console.log(`\nFAULT ${line}`);
  console.log('\nSlowest:');
  for (const { what, ms } of report.slowest) console.log(`  ${ms} ms  ${what}`);
  process.exitCode = report.wrong.length + faults.length > 0 ? 1 : 0;
} finally {
  await server.stop();
  rmSync(data, { recursive: true, force: true });
}
