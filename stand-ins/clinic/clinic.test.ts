/** What the clinic says of itself in docs/CLINIC.md, and what it says in worlds that are not its own. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { evenly } from '../noise';
import { vocabulary } from './doc';
import { calibrate, drawCases, WORLDS } from './world';

const plain = (text: string): string => text.replace(/[\s|*-]+/g, ' ');

test('docs/CLINIC.md lists what there is now: run `npm run clinic-doc` when it does not', () => {
  const doc = plain(readFileSync('docs/CLINIC.md', 'utf8'));
  const rows = vocabulary()
    .split('\n')
    .filter((line) => line.startsWith('| `'));
  expect(rows.length).toBeGreaterThan(200);
  expect(rows.filter((row) => !doc.includes(plain(row).trim()))).toEqual([]);
});

test.each(WORLDS)('in a world $name: what is said is near how often it is so', (world) => {
  const found = calibrate(world, drawCases(world, 3000, evenly(71)));
  expect(found.brier.ours).toBeLessThan(found.brier.prior * 0.95);
  expect(found.brier.ours).toBeLessThan(found.brier.naive * 1.01);
  // Off by four, it claims more than it holds; elsewhere by no more than chance and a little.
  const room = world.jitter > 2 ? 0.25 : 0.13;
  for (const { count, said, true: held } of found.bins)
    if (count >= 40) {
      const chance = 2 * Math.sqrt((said * (1 - said)) / count);
      expect([world.name, said, Math.abs(said - held) < room + chance]).toEqual([world.name, said, true]); // prettier-ignore
    }
  expect(found.three).toBeGreaterThan(0.6);
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
  const told = JSON.parse(good.stdout) as { causes: { id: string; probability: number }[]; other: number; ask: unknown[]; tests: unknown[] }; // prettier-ignore
  expect(told.causes[0]!.id).toBe('base-crack');
  expect(told).toMatchObject({ other: expect.any(Number), ask: expect.any(Array), tests: [] });
  const wrong = run({ findings: [{ sign: 'crazin' }] });
  expect([wrong.status, wrong.stderr]).toEqual([1, expect.stringContaining('“crazing”')]);
  expect(run('{').stderr).toContain('no JSON');
  rmSync(folder, { recursive: true });
}, 60_000);
