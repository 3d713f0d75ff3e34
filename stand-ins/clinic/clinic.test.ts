/** What the clinic says of itself in docs/CLINIC.md, and on the command line. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { vocabulary } from './doc';

const plain = (text: string): string => text.replace(/[\s|*-]+/g, ' ');

test('docs/CLINIC.md lists what there is now: run `npm run clinic-doc` when it does not', () => {
  const doc = plain(readFileSync('docs/CLINIC.md', 'utf8'));
  const rows = vocabulary()
    .split('\n')
    .filter((line) => line.startsWith('| `'));
  expect(rows.length).toBeGreaterThan(200);
  expect(rows.filter((row) => !doc.includes(plain(row).trim()))).toEqual([]);
});

test('npm run diagnose: a case in, causes out; a name that is not known is refused with the nearest', () => {
  const folder = mkdtempSync(join(tmpdir(), 'jiten-case-'));
  const run = (written: unknown) => {
    const path = join(folder, 'case.json');
    writeFileSync(path, typeof written === 'string' ? written : JSON.stringify(written));
    return spawnSync(process.execPath, ['--import', 'tsx', 'scripts/diagnose.ts', path], {
      encoding: 'utf8',
    });
  };
  const good = run({ findings: [{ sign: 'drying-crack' }], facts: { crack: 'base' } });
  const told = JSON.parse(good.stdout) as {
    causes: { id: string; probability: number }[];
    other: number;
    ask: unknown[];
    tests: unknown[];
  };
  expect(told.causes[0]!.id).toBe('base-crack');
  expect(told).toMatchObject({ other: expect.any(Number), ask: expect.any(Array), tests: [] });
  const wrong = run({ findings: [{ sign: 'crazin' }] });
  expect([wrong.status, wrong.stderr]).toEqual([1, expect.stringContaining('“crazing”')]);
  expect(run('{').stderr).toContain('no JSON');
  rmSync(folder, { recursive: true });
}, 60_000);
