import { findFiring, listFirings } from '@/data/firings';
import { usualFirings } from '@/data/kiln-firings';
import { listPieces } from '@/data/pieces';
import { knownOf } from '../kilns/server';
import { ownKiln } from '../../../test-support/kiln';
import {
  advance,
  layer,
  makePieces,
  planFiring,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const loaded = async (kilnId: string): Promise<{ firingId: string; ids: string[] }> => {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'), 0.1, 1)]);
  const firingId = await planFiring(studio, { kilnId });
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  return { firingId, ids };
};
const move = async (firingId: string, from: string, to: string): Promise<string> => {
  const answer = await studio.act('firings.move', { firingId, from, to });
  return answer.ok ? to : answer.problem.message;
};

test('nothing is closed or lit while another load is inside, and the way out is said', async () => {
  const kiln = await ownKiln(studio);
  const first = await loaded(kiln.id);
  const second = await loaded(kiln.id);
  await advance(studio, first.firingId, 'loaded');
  expect(await move(second.firingId, 'planned', 'loaded')).toMatch(/stands closed in this kiln/);
  await advanceFrom(first.firingId, ['loaded', 'firing', 'cooling']);
  expect(await move(second.firingId, 'planned', 'loaded')).toMatch(/still cooling .* Open it first/);
  expect(await move(first.firingId, 'cooling', 'opened')).toBe('opened');
  expect(await move(second.firingId, 'planned', 'loaded')).toBe('loaded');
  // Another kiln is another matter.
  const other = await loaded((await ownKiln(studio)).id);
  expect(await move(other.firingId, 'planned', 'loaded')).toBe('loaded');
});

const advanceFrom = async (firingId: string, way: readonly string[]): Promise<void> => {
  for (let i = 0; i + 1 < way.length; i++)
    expect(await move(firingId, way[i]!, way[i + 1]!)).toBe(way[i + 1]);
};

test('a planned firing is called off: its pieces wait again, its number stays, and it can be taken back', async () => {
  const kiln = await ownKiln(studio);
  const { firingId, ids } = await loaded(kiln.id);
  await studio.must('firings.call-off', { firingId, calledOff: true });
  expect(await listFirings(studio.db, { kilnId: kiln.id })).toEqual([]);
  expect((await findFiring(studio.db, firingId))!.calledOff).toBe(true);
  expect(await move(firingId, 'planned', 'loaded')).toMatch(/called off/);
  // Its piece can go into another, and then the first cannot come back with it.
  const next = await planFiring(studio, { kilnId: kiln.id });
  expect((await findFiring(studio.db, next))!.no).toBe(2);
  await studio.must('loading.place', { firingId: next, pieceIds: ids, shelf: 1 });
  const back = await studio.act('firings.call-off', { firingId, calledOff: false });
  expect(back.ok ? '' : back.problem.message).toMatch(/another load/);
  await studio.must('firings.call-off', { firingId: next, calledOff: true });
  await studio.must('firings.call-off', { firingId, calledOff: false });
  expect(await move(firingId, 'planned', 'loaded')).toBe('loaded');
  expect((await listPieces(studio.db, { ids }))[0]!.waitingFor).not.toBe('bisque');
});

test('what has been lit is not called off', async () => {
  const kiln = await ownKiln(studio);
  const { firingId } = await loaded(kiln.id);
  await advance(studio, firingId, 'firing');
  const answer = await studio.act('firings.call-off', { firingId, calledOff: true });
  expect(answer.ok ? '' : answer.problem.message).toMatch(/has been lit/);
});

test('a new firing begins as its kiln was fired last; idle weeks count what still burns', async () => {
  const kiln = await ownKiln(studio, { energy: 'gas' });
  expect(await usualFirings(studio.db, [kiln.id])).toEqual({});
  await planFiring(studio, { kilnId: kiln.id, targetCone: '10', atmosphere: 'heavy reduction' });
  await planFiring(studio, {
    kilnId: kiln.id,
    kind: 'bisque',
    targetCone: '06',
    plannedFor: '2026-04-01',
  });
  expect(await usualFirings(studio.db, [kiln.id])).toEqual({
    [kiln.id]: { kind: 'glaze', targetCone: '10', atmosphere: 'heavy reduction' },
  });
  expect((await knownOf(studio.db, kiln.id)).idleWeeks).toBeNull();
  const { firingId } = await loaded(kiln.id);
  await advance(studio, firingId, 'firing');
  expect((await knownOf(studio.db, kiln.id)).idleWeeks).toBe(0);
});
