/** What nobody's form sends, to every write and every address there is; `npm run hostile` sends twenty times as much. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { dumpTo, loadDump, reachedIn } from '../src/keeper/backup/dump';
import { folderOf } from '../src/keeper/folder';
import { addressIn } from '../src/keeper/server';
import { attackOn } from '../stand-ins/hostile/studio';

test('five hundred hostile requests: no crash, no answer of 500, nothing of its inside shown', async () => {
  test.setTimeout(240_000);
  const directory = process.env.JITEN_E2E_FOLDER as string;
  const folder = folderOf(directory);
  const server = reachedIn(directory, (name) => addressIn(folder, name));
  const data = mkdtempSync(join(tmpdir(), 'jiten-hostile-'));
  try {
    // On a copy: much of what is sent is carried out.
    const copy = join(data, 'demo.sql.gz');
    await dumpTo(server, 'demo', copy);
    await loadDump(server, 'hostile', copy);
    const { report, faults } = await attackOn(
      { server, name: 'hostile', data },
      { bodies: 370, addresses: 130, seed: 20_262 },
    );
    expect({ wrong: report.wrong, faults }).toEqual({ wrong: [], faults: [] });
    expect(report.sent).toBe(500);
    // It gets far: a good part is carried out, and the rest is refused for many reasons.
    expect(report.statuses[200]).toBeGreaterThan(100);
    expect(Object.keys(report.statuses).length).toBeGreaterThan(5);
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
});
