/** Every bench runs, at a tiny size: what it says is no figure, but it says all of it. */
import { afterAll, beforeEach, expect, jest, test } from '@jest/globals';
import { FOLDER, SERVER } from '../test-support/database';
import { BENCHES } from './all';
import { asTable, lines, notes, TINY } from './measure';

// This one needs a built application: e2e/benches.spec.ts.
const { bodies: _, ...alone } = BENCHES;
const server = { ...SERVER, folder: FOLDER };
const said = jest.spyOn(console, 'log').mockImplementation(() => undefined);

beforeEach(() => {
  lines.length = 0;
  notes.length = 0;
});
afterAll(() => said.mockRestore());

test.each(Object.entries(alone))(
  '%s runs',
  async (_name, bench) => {
    await bench(server, TINY);
    expect(lines.length).toBeGreaterThan(0);
    for (const { what, ours, floor } of lines) {
      expect({ what, measured: ours > 0 && floor > 0 }).toEqual({ what, measured: true });
      expect(asTable('abc1234')).toContain(`| ${what} |`);
    }
  },
  60_000,
);

test('the table says what was measured at which commit, and what was wanted', () => {
  lines.push(
    { what: 'a', ours: 30, floor: 20, wanted: 1.3 },
    { what: 'b', ours: 1.26, floor: 1, wanted: null },
  );
  notes.push('none lost');
  expect(asTable('abc1234').split('\n')).toEqual([
    'Measured at commit abc1234 by `npm run bench -- --write`, milliseconds.',
    '',
    '| what | ours | floor | ratio | wanted |',
    '| --- | --- | --- | --- | --- |',
    '| a | 30 | 20 | 1.50 | 1.3 |',
    '| b | 1.3 | 1.0 | 1.26 | – |',
    '',
    '- none lost',
  ]);
});
