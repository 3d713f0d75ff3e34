import { listQuestions } from '@/data/questions';
import { bodyTestsOf, listFormCards, tileStock } from '@/data/stock';
import { type TestStudio } from '../../../test-support/studio';
import { asking, questionStudio, type Asked } from '../../../test-support/questions';
import { askChoices } from './server';

let room: Awaited<ReturnType<typeof questionStudio>>;
let studio: TestStudio;
beforeAll(async () => {
  room = await questionStudio();
  ({ studio } = room);
});
afterAll(() => studio.db.destroy());

test('a question without tiles can be asked and changed; a stale change is caught', async () => {
  const { id } = await studio.must<Asked>('questions.ask', asking(null));
  const fields = { text: 'Why?', varied: '', held: '', expected: '', targetPieceId: null };
  await studio.must('questions.edit', { id, revision: 1, fields });
  expect((await listQuestions(studio.db, { id }))[0]).toMatchObject({ text: 'Why?', design: null });
  expect(await studio.act('questions.edit', { id, revision: 1, fields })).toMatchObject({
    ok: false,
    problem: { code: 'conflict' },
  });
});

test('designs that cannot be made change nothing', async () => {
  const before = (await listQuestions(studio.db)).length;
  const same = studio.version('tarn');
  const wrong = [
    { ...room.common(), kind: 'line', corners: [same, same], points: 5 },
    { ...room.crazing(), bodies: [] },
    { ...room.crazing(), base: '0193f7a0-0000-7000-8000-000000000001', kind: 'nonsense' },
    {
      ...room.common(),
      kind: 'coats',
      coating: '0193f7a0-0000-7000-8000-000000000001',
      coats: [1],
    },
  ];
  for (const design of wrong)
    expect(await studio.act('questions.ask', asking(design))).toMatchObject({ ok: false });
  expect((await listQuestions(studio.db)).length).toBe(before);
});

test('blanks are counted by what is made, used and broken, and a design takes from them', async () => {
  const kind = { bodyId: studio.body, form: 'L tile', faces: 'bare' };
  const move = (number: number, why: string) => studio.act('questions.move-tiles', { ...kind, number, why });
  await move(10, 'made');
  await move(2, 'broken');
  const stock = async () => (await tileStock(studio.db, new Date())).find((one) => one.form === 'L tile');
  expect(await stock()).toMatchObject({ number: 8, usedLately: 2 });
  expect(await move(9, 'used')).toMatchObject({
    ok: false,
    problem: { fields: { number: 'Only 8 on record.' } },
  });
  await studio.must('questions.ask', asking(room.crazing()));
  expect(await stock()).toMatchObject({ number: 4, usedLately: 6 });
  await move(20, 'counted');
  expect((await stock())!.number).toBe(20);
  expect((await askChoices(studio.db, new Date())).stock).toHaveLength(1);
});

test('what is measured of a body is kept with it', async () => {
  await studio.must('questions.test-body', {
    bodyId: studio.body,
    kind: 'absorption',
    value: 2.1,
    cone: '6',
    note: 'boiled two hours',
  });
  expect(await bodyTestsOf(studio.db, studio.body)).toMatchObject([
    { kind: 'absorption', value: 2.1, cone: '6', by: 'Tech' },
  ]);
  expect(
    await studio.act('questions.test-body', {
      bodyId: studio.body,
      kind: 'absorption',
      value: 2,
      cone: '99',
      note: '',
    }),
  ).toMatchObject({ ok: false });
});

test('a form card is kept, written over by its id, and taken out; odd figures are questioned', async () => {
  const card = {
    id: '0193f7a0-0000-7000-8000-0000000000aa',
    name: 'Mug',
    bodyId: studio.body,
    clayG: 570,
    wetHeightMm: 115,
    wetWidthMm: 90,
    shrinkage: 0.12,
    fits: 'saucer',
  };
  await studio.must('questions.save-form-card', card);
  await studio.must('questions.save-form-card', { ...card, clayG: 600 });
  expect(await listFormCards(studio.db)).toMatchObject([{ name: 'Mug', clayG: 600, fits: 'saucer' }]);
  expect(await studio.act('questions.save-form-card', { ...card, shrinkage: 12 })).toMatchObject({
    ok: false,
    problem: { fields: { shrinkage: expect.stringContaining('30 %') as string } },
  });
  await studio.must('questions.drop-form-card', { id: card.id });
  expect(await listFormCards(studio.db)).toEqual([]);
});
