/** Ticks of sheets: everybody's own, and what was said later counts, in whatever order it arrives. */
import { ticksOf } from '@/data/ticks';
import { testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const SHEET = 'sheet/7/weigh';
const at = (minute: number): string => `2026-05-01T10:${String(minute).padStart(2, '0')}:00.000Z`;
const tick = (line: string, done: boolean, minute: number, as = studio.technician) =>
  studio.must('ticks.tick', { sheet: SHEET, line, done, at: at(minute) }, as);
const held = (as = studio.technician) => ticksOf(studio.db, as.id, SHEET);

test('two people tick one sheet, each for themselves', async () => {
  await tick('0/1', true, 1);
  await tick('0/2', true, 2);
  await tick('0/1', true, 1, studio.student);
  expect(await held()).toEqual(['0/1', '0/2']);
  expect(await held(studio.student)).toEqual(['0/1']);
  expect(await ticksOf(studio.db, studio.technician.id, 'sheet/8/weigh')).toEqual([]);
});

test('a phone that was without a network says late what was taken back since: the later word stands', async () => {
  await tick('1/0', true, 10);
  await tick('1/0', false, 12);
  await tick('1/0', true, 11);
  expect(await held()).not.toContain('1/0');
  await tick('1/0', true, 13);
  expect(await held()).toContain('1/0');
});

test('begun anew nothing is ticked but what another device ticks after it', async () => {
  await tick('2/0', true, 20);
  await studio.must('ticks.clear', { sheet: SHEET, at: at(30) });
  expect(await held()).toEqual([]);
  // Said before the sheet was begun anew, sent after it.
  await tick('2/0', true, 25);
  expect(await held()).toEqual([]);
  await tick('2/0', true, 31);
  expect(await held()).toEqual(['2/0']);
  expect(await held(studio.student)).toEqual(['0/1']);
});

test('a clock far ahead is held back to now, and no row of another shape is kept', async () => {
  await studio.must('ticks.tick', { sheet: SHEET, line: '3/0', done: true, at: '2199-01-01T00:00:00.000Z' });
  await studio.must('ticks.tick', {
    sheet: SHEET,
    line: '3/0',
    done: false,
    at: new Date(Date.now() + 1000).toISOString(),
  });
  expect(await held()).not.toContain('3/0');
  expect(await studio.act('ticks.tick', { sheet: SHEET, line: 'x', done: true, at: at(1) })).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  });
});
