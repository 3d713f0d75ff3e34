/** The mark of the chart: it changes with what is shown, and with nothing else. */
import {
  layer,
  makeInput,
  testStudio,
  fired,
  recordInput,
  type TestStudio,
} from '../../../test-support/studio';
import { chartMark } from './server';

let studio: TestStudio;
let firing: string;
let piece: string;
beforeAll(async () => {
  studio = await testStudio('test_mark');
  const made = await fired(studio, [layer(studio.version('tarn'))]);
  firing = made.firingId;
  piece = made.ids[0]!;
});
afterAll(() => studio.db.destroy());

const mark = (query: string, as = studio.technician): Promise<string> =>
  chartMark(studio.db, as, new URLSearchParams(query));
const seen = (said: object): Promise<unknown> =>
  studio.must('opening.record', recordInput(firing, [piece], said));

test('a look changes the mark of its board and of the open chart, and leaves another board alone', async () => {
  await seen({ surface: 'gloss' });
  const cell = await studio.db('cell').first();
  const body = (await studio.db('body').where({ id: cell.body_id }).first('slug')).slug as string;
  const own = `body=${body}&cone=${cell.cone}&atmosphere=${cell.atmosphere}&ground=`;
  const other = `body=${body}&cone=10&atmosphere=reduction&ground=`;
  const before = [await mark(own), await mark(''), await mark(other)];
  expect([await mark(own), await mark(''), await mark(other)]).toEqual(before);
  await seen({ surface: 'satin' });
  const after = [await mark(own), await mark(''), await mark(other)];
  expect(after.map((one, i) => one === before[i])).toEqual([false, false, true]);
  // Nothing in it tells two people apart but who they are.
  expect(await mark(own, studio.student)).not.toBe(after[0]);
});

test('a name, a setting, and a piece that is put away change it too', async () => {
  const marks = [await mark('')];
  const next = async (work: Promise<unknown>): Promise<void> => {
    await work;
    marks.push(await mark(''));
  };
  const rename = { name: 'Tarn, renamed', revision: studio.db.raw('revision + 1') };
  await next(studio.db('coating').where({ slug: 'tarn' }).update(rename));
  await next(studio.db('studio').update({ length_unit: 'in' }));
  await next(studio.must('pieces.bin', { pieceIds: [piece], binned: true }));
  expect(new Set(marks).size).toBe(4);
  // What stands nowhere on the chart does not.
  await next(studio.must('tests.make', makeInput(studio, [])));
  expect(marks.at(-1)).toBe(marks.at(-2));
});
