/** The benches that need the application run, at a tiny size; what they say is no figure. */
import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, test } from '@playwright/test';
import { benchBodies } from '../bench/bodies';
import { notes, TINY } from '../bench/measure';
import { opens, studioOf } from './studios';

opens('demo');

test('what a stranger sends too much of is measured', async () => {
  await benchBodies(studioOf('demo').server, TINY);
  expect(notes.filter((one) => one.includes('health check median'))).toHaveLength(5);
});

test('people on the chart and two who write are measured, and nothing is refused', async () => {
  const { stdout } = await promisify(execFile)('node', [
    '--import',
    'tsx',
    'bench/load.ts',
    studioOf('demo').application.url,
    '3',
    '4',
  ]);
  expect(stdout).toMatch(/\d+ requests in/);
  for (const kind of ['chart', 'zoom', 'picture', 'record'])
    expect(stdout).toMatch(new RegExp(`^${kind} +\\d`, 'm'));
});
