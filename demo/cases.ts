/** Cases of the demo’s clinic: stories of its records, as somebody would have brought them. */
import { OPERATIONS } from '../src/app/operations';
import { changeCase, createCase, listCases } from '../src/data/clinic';
import type { Database, Row } from '../src/data/database';
import { listPeople, type Person } from '../src/data/people';
import { perform } from '../src/platform/operation';
import { v7 } from 'uuid';
import { Random } from './random';
import { firingStory, pieceStories, type Story } from './stories';

const DAY = 86_400_000;

/** Of what a story is: a piece after a firing, or a firing. */
export async function foundStory(
  db: Database,
  story: Story,
): Promise<{ pieceId: string | null; firingId: string } | null> {
  if (story.of === 'firing') {
    const row: Row | undefined = await db('firing').where('notes', 'like', story.notes).first('id');
    return row === undefined ? null : { pieceId: null, firingId: row.id };
  }
  const query = db('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .join('body', 'body.id', 'cell.body_id')
    .join('piece', 'piece.id', 'sighting.piece_id')
    .where({ 'cell.stack_key': story.stack, 'body.slug': story.body, 'cell.refired': false })
    .whereNull('piece.owner_id')
    .orderBy('piece.code');
  if (story.sign !== null)
    query.whereRaw('JSON_CONTAINS(sighting.signs, ?)', [JSON.stringify({ sign: story.sign, wanted: false })]);
  if (story.surface !== undefined) query.where('sighting.surface', story.surface);
  const row: Row | undefined = await query.first('sighting.piece_id', 'sighting.firing_id');
  return row === undefined ? null : { pieceId: row.piece_id, firingId: row.firing_id };
}

/**
 * Opens them in the order in which they were brought, closes those that are over, and makes the test one
 * waits for.
 */
export async function askClinic(db: Database, now: Date): Promise<void> {
  const people = await listPeople(db);
  const by = (login: string): Person => people.find((one) => one.login === login)!;
  const random = new Random(47);
  const crazing: Row | undefined = await db('question').where({ about: 'crazing' }).first('id');
  for (const story of [...pieceStories, firingStory].sort((a, b) => b.daysAgo - a.daysAgo)) {
    const found = await foundStory(db, story);
    if (found === null) continue;
    const opened = new Date(now.getTime() - story.daysAgo * DAY);
    const id = random.id(opened);
    await createCase(
      db,
      {
        ...found,
        id,
        scope: story.of,
        coatingId: null,
        bucketId: null,
        bodyId: null,
        complaints: [...story.complaints],
      },
      by(story.by).id,
      opened,
    );
    if (story.test === 't-ladder' && crazing !== undefined)
      await changeCase(db, id, 1, { questionId: crazing.id, testFact: story.test });
    else if (story.test !== undefined) await makeTest(db, id, story.test, by('iben'), now);
    if (story.closing === undefined) continue;
    const { revision } = (await listCases(db, { id }))[0]!;
    await changeCase(db, id, revision, {
      turnedOut: [...story.closing.turnedOut],
      closedBy: by('iben').id,
      closedAt: new Date(now.getTime() - story.closing.daysAgo * DAY),
      closingNote: story.closing.note,
    });
  }
}

async function makeTest(db: Database, caseId: string, fact: string, by: Person, now: Date): Promise<void> {
  const input = { caseId, revision: 1, fact };
  const answer = await perform(db, OPERATIONS.get('clinic.make-test')!, { id: v7(), input }, by, now);
  if (!answer.ok) throw new Error(answer.problem.message);
}
