/**
 * What leaves of the chart: made once for all who may see the same, and made anew when anything of it
 * changes.
 */
import { gunzipSync } from 'node:zlib';
import {
  fired,
  layer,
  makeInput,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import type { Person } from '@/data/people';
import type { Sent } from '@/platform/sent';
import { boardAhead, boardAnswer, boardCorner, zoomAnswer } from './server';
import type { Zoom } from './zoom';

let studio: TestStudio;
let firing: string;
let piece: string;
let at: string;
beforeAll(async () => {
  studio = await testStudio();
  const made = await fired(studio, [layer(studio.version('tarn'))]);
  firing = made.firingId;
  piece = made.ids[0]!;
  await seen({ surface: 'gloss' });
  const cell = await studio.db('cell').first();
  const body = (await studio.db('body').where({ id: cell.body_id }).first('slug')).slug as string;
  at = `body=${body}&cone=${cell.cone}&atmosphere=${encodeURIComponent(cell.atmosphere as string)}&ground=`;
});
afterAll(() => studio.db.destroy());

const viewer = (person: Person) => ({ person, link: null });
const board = (query: string, as = studio.technician): Promise<Sent> =>
  boardAnswer(studio.db, viewer(as), new URLSearchParams(query));
const zoom = (as = studio.technician, base = 'tarn'): Promise<Sent> =>
  zoomAnswer(studio.db, viewer(as), new URLSearchParams(`${at}&base=${base}`));
const seen = (said: object): Promise<unknown> =>
  studio.must('opening.record', recordInput(firing, [piece], said));
const told = (sent: Sent) => (JSON.parse(sent.plain.toString()) as { data: Zoom }).data;

test('a look changes its board, the open one and its place, and leaves the others alone', async () => {
  const other = 'body=none&cone=10&atmosphere=reduction&ground=';
  const all = () => Promise.all([board(at), board(''), zoom(), board(other), zoom(undefined, 'pitch')]);
  const before = await all();
  // Nothing was written: the very same bytes, for whoever asks.
  expect(await all()).toEqual(before);
  expect((await all())[0]).toBe(before[0]);
  expect(await board(at, studio.student)).toBe(before[0]);
  await seen({ surface: 'satin' });
  const after = await all();
  expect(after.map(({ mark }, i) => mark === before[i]!.mark)).toEqual([false, false, false, true, true]);
  expect(told(after[2]!).pieces[0]!.surface).toBe('satin');
  expect(gunzipSync(after[2]!.small).equals(after[2]!.plain)).toBe(true);
});

test('a cone that was never seen before is there to choose on every board of its body at once', async () => {
  const heard = async () => JSON.parse((await board(at)).plain.toString()) as { data: { cones: string[] } };
  expect((await heard()).data.cones).not.toContain('10');
  const cell = await studio.db('cell').first();
  await studio.db('cell').insert({
    ...cell,
    id: [...(cell.id as string)].reverse().join(''),
    cone: '10',
    signs: '[]',
    divisions: '[]',
    ratings: '[]',
    later: '[]',
    gone: '[]',
    known: '{}',
  });
  expect((await heard()).data.cones).toContain('10');
  await studio.db('cell').where({ cone: '10' }).delete();
});

test('what the summary does not say changes the place too: a note of colour, a mark, an owner', async () => {
  const marks = [(await zoom()).mark];
  const next = async (work: PromiseLike<unknown>): Promise<void> => {
    await work;
    marks.push((await zoom()).mark);
  };
  await next(seen({ surface: 'satin', colour: 'blue' }));
  await next(studio.db('piece').where({ id: piece }).update({ mark: 'X9' }));
  await next(studio.db('coating').where({ slug: 'tarn' }).update({ cautions: 'Not for food.' }));
  await next(studio.db('firing').where({ id: firing }).update({ reached_ordinal: 7.25 }));
  expect(new Set(marks).size).toBe(5);
});

test('a name, a piece that is put away, and nothing else change a board', async () => {
  const marks = [(await board('')).mark];
  const next = async (work: PromiseLike<unknown>): Promise<void> => {
    await work;
    marks.push((await board('')).mark);
  };
  const renamed = { name: 'Tarn, renamed', revision: studio.db.raw('revision + 1') };
  await next(studio.db('coating').where({ slug: 'tarn' }).update(renamed));
  await next(studio.must('pieces.bin', { pieceIds: [piece], binned: true }));
  expect(new Set(marks).size).toBe(3);
  // What stands nowhere on the chart changes nothing.
  await next(studio.must('tests.make', makeInput(studio, [])));
  expect(marks.at(-1)).toBe(marks.at(-2));
  await next(studio.must('pieces.bin', { pieceIds: [piece], binned: false }));
  expect(marks.at(-1)).not.toBe(marks.at(-2));
});

test('ware that its owner does not show is sent to those who may see it, and its page to no others', async () => {
  await studio.db('piece').where({ id: piece }).update({ owner_id: studio.technician.id, shown: 0 });
  const [own, theirs] = [told(await zoom()), told(await zoom(studio.student))];
  expect([own.pieces[0]!.opens, theirs.pieces[0]!.opens]).toEqual([true, false]);
  expect(theirs.pieces[0]).not.toHaveProperty('ownerId');
  await studio.db('piece').where({ id: piece }).update({ shown: 1 });
  expect(told(await zoom(studio.student)).pieces[0]!.opens).toBe(true);
});

test('what a page will ask for is said ahead of it', async () => {
  const ahead = await boardAhead(studio.db, { body: 'x', cone: '6' });
  expect(ahead).toBe('</api/board?body=x&cone=6>; rel=preload; as=fetch; crossorigin');
});

test('the corner that comes with a page is of the same board, and says that it is a corner', async () => {
  const view = { body: new URLSearchParams(at).get('body')! };
  const corner = (await boardCorner(studio.db, view))!;
  const whole = (JSON.parse((await board(`body=${view.body}`)).plain.toString()) as { data: typeof corner })
    .data;
  expect([corner.corner, whole.corner]).toEqual([true, false]);
  expect(corner.chosen).toEqual(whole.chosen);
  expect(corner.axis).toEqual(whole.axis);
  const known = whole.positions.map(({ base, over }) => `${base}/${over}`);
  for (const { base, over } of corner.positions) expect(known).toContain(`${base}/${over}`);
});
