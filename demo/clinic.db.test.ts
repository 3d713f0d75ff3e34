/** Does the clinic find what the demo’s generator put into its records, from the records alone? */
import { diagnose } from '../src/core/diagnosis';
import { listCases } from '../src/data/clinic';
import type { Database } from '../src/data/database';
import { ripeQuestions } from '../src/data/questions';
import { caseView } from '../src/features/clinic/queries';
import { proposalsFor } from '../src/features/clinic/queries';
import { emptyDatabase } from '../test-support/database';
import { foundStory } from './cases';
import { loadDemo } from './load';
import { firingStory, pieceStories } from './stories';

const NOW = new Date('2026-11-01T10:00:00Z');
const ALL = [...pieceStories, firingStory];

let db: Database;
beforeAll(async () => {
  db = await emptyDatabase();
  await loadDemo(db, 'unused', { now: NOW, pictures: false });
}, 120_000);
afterAll(() => db.destroy());

test('every story is on record and was brought as a case, with its number in the order of its day', async () => {
  const cases = await listCases(db);
  expect(cases).toHaveLength(ALL.length);
  const byDay = [...cases].sort((a, b) => a.openedAt.getTime() - b.openedAt.getTime());
  expect(byDay.map(({ no }) => no)).toEqual(ALL.map((_, i) => i + 1));
  expect(cases.filter(({ closedAt }) => closedAt === null)).toHaveLength(5);
  // One waits for its tiles; nothing is ripe that nobody looked at.
  const waits = cases.filter(({ questionId, closedAt }) => questionId !== null && closedAt === null);
  expect(waits).toHaveLength(1);
  expect((await ripeQuestions(db)).every(({ waiting }) => waiting === null)).toBe(true);
});

test.each(ALL.map((story) => [`${story.complaints.join(' and ')} (${story.truth[0]})`, story]))(
  '%s: the cause is found first, from the records alone',
  async (_, story) => {
    const found = (await foundStory(db, story))!;
    const one = (await listCases(db, { firingId: found.firingId })).find(
      ({ pieceId, complaints }) => pieceId === found.pieceId && complaints[0] === story.complaints[0],
    )!;
    const { told } = await caseView(db, one, NOW);
    const { causes } = diagnose({
      findings: story.complaints.map((sign) => ({ sign })),
      facts: Object.fromEntries(told.map(({ fact, value }) => [fact, value])),
    });
    expect(causes[0]!.id).toBe(story.truth[0]);
    const three = causes.slice(0, 3).map(({ id }) => id);
    for (const cause of story.truth) expect(three).toContain(cause);
  },
);

test('the under-reduced firing, and no other, is proposed as a case of its own', async () => {
  const { firingId } = (await foundStory(db, firingStory))!;
  const proposed: string[] = [];
  for (const { id } of (await db('firing').where({ status: 'opened' }).select('id')) as {
    id: string;
  }[])
    if ((await proposalsFor(db, id)).length > 0) proposed.push(id);
  expect(proposed).toEqual([firingId]);
});
