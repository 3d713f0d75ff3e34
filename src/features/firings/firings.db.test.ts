import { findFiring, listEvents } from '@/data/firings';
import { listPlacements } from '@/data/placements';
import { listWitnesses } from '@/data/witnesses';
import { listPieces } from '@/data/pieces';
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

const pieces = (count = 1) => makePieces(studio, [layer(studio.version('pitch'))], { count });
const put = (firingId: string, pieceIds: string[], rest: object = {}) =>
  studio.act<{ placementIds: string[] }>('loading.place', {
    firingId,
    pieceIds,
    shelf: 1,
    ...rest,
  });
const move = (firingId: string, from: string, to: string, reason = '') =>
  studio.act('firings.move', { firingId, from, to, reason });
const fields = (rest: object = {}) => ({
  kilnId: studio.kiln,
  kind: 'glaze',
  targetCone: '6',
  atmosphere: 'oxidation',
  plannedFor: '2026-03-01',
  notes: '',
  ...rest,
});

test('firings of a kiln are numbered one after another, even when planned at once', async () => {
  const ids = await Promise.all([0, 1, 2, 3].map(() => planFiring(studio, { kilnId: studio.kiln })));
  const numbers = await Promise.all(ids.map(async (id) => (await findFiring(studio.db, id))!.no));
  expect([...numbers].sort((a, b) => a - b)).toEqual([1, 2, 3, 4]);
});

test('a cone that does not exist, a day that is none, and a kiln that is gone are refused at their fields', async () => {
  const plan = (rest: object) => studio.act('firings.plan', { fields: fields(rest), cones: [] });
  expect(await plan({ targetCone: '77' })).toMatchObject({
    problem: { fields: { 'fields.targetCone': expect.stringContaining('no cone “77”') as string } },
  });
  expect(await plan({ plannedFor: '2026-02-31' })).toMatchObject({
    problem: { fields: { 'fields.plannedFor': 'Give a date.' } },
  });
  expect(await plan({ kilnId: '0193f7a0-0000-7000-8000-000000000001' })).toMatchObject({
    problem: { code: 'not-found' },
  });
  expect(
    await studio.act('firings.plan', {
      fields: fields(),
      cones: [
        { cone: '6', role: 'target', place: 'top' },
        { cone: '6', role: 'guard', place: 'top' },
      ],
    }),
  ).toMatchObject({ problem: { code: 'invalid' } });
});

test('a piece is in one kiln at a time, and once in a load', async () => {
  const { ids, codes } = await pieces(2);
  const inMarta = { kilnId: studio.kiln };
  const [first, second] = [await planFiring(studio, inMarta), await planFiring(studio)];
  expect((await put(first, ids)).ok).toBe(true);
  expect(await put(second, [ids[0]!])).toMatchObject({
    problem: { message: expect.stringContaining(`${codes[0]} is in Marta`) as string },
  });
  expect(await put(first, [ids[1]!])).toMatchObject({
    problem: { message: `${codes[1]} is in this load already.` },
  });
});

test('two people putting one piece into two kilns at the same moment: one is told', async () => {
  const { ids } = await pieces();
  const [first, second] = [await planFiring(studio), await planFiring(studio)];
  const answers = await Promise.all([put(first, ids), put(second, ids)]);
  expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
  expect(answers.find(({ ok }) => !ok)).toMatchObject({
    problem: { message: expect.stringMatching(/already/) as string },
  });
});

test('a shelf that the kiln has not, a binned piece and one that is gone are refused', async () => {
  const { ids } = await pieces(2);
  const firingId = await planFiring(studio, { kilnId: studio.kiln });
  expect(await put(firingId, ids, { shelf: 4 })).toMatchObject({
    problem: { message: 'Marta has 3 shelves.', fields: { shelf: '1 to 3.' } },
  });
  expect(await put(firingId, ids, { shelf: 0 })).toMatchObject({ problem: { code: 'invalid' } });
  await studio.must('pieces.bin', { pieceIds: [ids[0]], binned: true });
  expect(await put(firingId, ids)).toMatchObject({ problem: { code: 'not-found' } });
  expect(await put(firingId, ['0193f7a0-0000-7000-8000-000000000001'])).toMatchObject({
    problem: { code: 'not-found' },
  });
  expect(await listPlacements(studio.db, { firingId })).toEqual([]);
});

test('a firing goes on step by step, and back only with a reason that is kept', async () => {
  const { ids } = await pieces();
  const firingId = await planFiring(studio);
  expect(await move(firingId, 'planned', 'loaded')).toMatchObject({
    problem: { message: expect.stringContaining('Nothing is in the load') as string },
  });
  await put(firingId, ids);
  expect(await move(firingId, 'planned', 'opened')).toMatchObject({ ok: false });
  expect((await move(firingId, 'planned', 'loaded')).ok).toBe(true);
  expect((await move(firingId, 'loaded', 'firing')).ok).toBe(true);
  expect(await move(firingId, 'firing', 'loaded')).toMatchObject({
    problem: { code: 'invalid', fields: { reason: expect.any(String) as string } },
  });
  expect((await move(firingId, 'firing', 'loaded', 'the lid was ajar')).ok).toBe(true);
  const events = await listEvents(studio.db, firingId);
  expect(events.at(-1)).toMatchObject({ from: 'firing', to: 'loaded', reason: 'the lid was ajar' });
});

test('two people moving a firing on at once: the second hears that it has moved', async () => {
  const { ids } = await pieces();
  const firingId = await planFiring(studio);
  await put(firingId, ids);
  const answers = await Promise.all([
    move(firingId, 'planned', 'loaded'),
    move(firingId, 'planned', 'loaded'),
  ]);
  expect(answers.filter(({ ok }) => ok)).toHaveLength(1);
  expect(answers.find(({ ok }) => !ok)).toMatchObject({ problem: { code: 'conflict' } });
});

test('what is in the fire stays on record; before that it can be taken out', async () => {
  const { ids } = await pieces(2);
  const firingId = await planFiring(studio);
  const placed = await put(firingId, ids);
  if (!placed.ok) throw new Error('not placed');
  const [one, other] = placed.data.placementIds;
  await studio.must('loading.take-out', { firingId, placementIds: [one] });
  await advance(studio, firingId, 'firing');
  expect(await studio.act('loading.take-out', { firingId, placementIds: [other] })).toMatchObject({
    problem: { message: expect.stringContaining('stays on record') as string },
  });
  expect(await listPlacements(studio.db, { firingId })).toHaveLength(1);
});

test('bisque makes pieces wait for glaze, a glaze firing for nothing, and generations count', async () => {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'))], {
    waitingFor: 'bisque',
  });
  const fire = async (kind: string): Promise<number> => {
    const firingId = await planFiring(studio, { kind });
    await put(firingId, ids);
    await advance(studio, firingId);
    const [placement] = (await listPlacements(studio.db, { firingId })).filter(
      ({ pieceId }) => pieceId === ids[0],
    );
    return placement!.generation;
  };
  expect(await fire('bisque')).toBe(0);
  expect((await listPieces(studio.db, { ids }))[0]!.waitingFor).toBe('glaze');
  expect(await fire('glaze')).toBe(1);
  expect((await listPieces(studio.db, { ids }))[0]!.waitingFor).toBeNull();
  expect(await fire('refire')).toBe(2);
});

test('cones: the reached cone follows what was read, and taking a reading back takes it back', async () => {
  const { ids } = await pieces();
  const firingId = await planFiring(studio);
  await put(firingId, ids);
  await advance(studio, firingId);
  const cones = (await listWitnesses(studio.db, [firingId])).get(firingId)!;
  const id = (cone: string): string => cones.find((one) => one.cone === cone)!.id;
  const read = (readings: [string, number | null][]) =>
    studio.must<{ reachedOrdinal: number | null; coneBand: string }>('firings.read-cones', {
      firingId,
      readings: readings.map(([cone, bendDegrees]) => ({ coneId: id(cone), bendDegrees })),
    });
  expect(
    await read([
      ['5', 90],
      ['6', 90],
      ['7', 0],
    ]),
  ).toMatchObject({ coneBand: '6' });
  expect(await read([['7', 90]])).toMatchObject({ coneBand: '7' });
  expect(
    await read([
      ['5', null],
      ['6', null],
      ['7', null],
    ]),
  ).toMatchObject({ reachedOrdinal: null, coneBand: '?6', moved: [] });
  expect(
    await studio.act('firings.read-cones', {
      firingId,
      readings: [{ coneId: id('6'), bendDegrees: 130 }],
    }),
  ).toMatchObject({ problem: { message: expect.stringContaining('flat') as string } });
  const elsewhere = (await listWitnesses(studio.db, [await planFiring(studio)])).values().next().value![0]!;
  expect(
    await studio.act('firings.read-cones', {
      firingId,
      readings: [{ coneId: elsewhere.id, bendDegrees: 10 }],
    }),
  ).toMatchObject({ problem: { code: 'not-found' } });
});

test('changing the packs keeps the readings of cones that stay', async () => {
  const firingId = await planFiring(studio);
  const before = (await listWitnesses(studio.db, [firingId])).get(firingId)!;
  const six = before.find(({ cone }) => cone === '6')!;
  await studio.must('firings.read-cones', {
    firingId,
    readings: [{ coneId: six.id, bendDegrees: 45 }],
  });
  await studio.must('firings.set-cones', {
    firingId,
    cones: [
      { cone: '6', role: 'target', place: 'top' },
      { cone: '6', role: 'target', place: 'bottom' },
    ],
  });
  const after = (await listWitnesses(studio.db, [firingId])).get(firingId)!;
  expect(after.map(({ cone, place, bendDegrees }) => [cone, place, bendDegrees])).toEqual([
    ['6', 'bottom', null],
    ['6', 'top', 45],
  ]);
});

test('a firing changed by two people: the second is told, nothing is written over', async () => {
  const firingId = await planFiring(studio);
  await studio.must('firings.edit', { firingId, revision: 1, fields: fields({ notes: 'A' }) });
  expect(
    await studio.act('firings.edit', {
      firingId,
      revision: 1,
      fields: fields({ notes: 'B' }),
    }),
  ).toMatchObject({ problem: { code: 'conflict' } });
  expect((await findFiring(studio.db, firingId))!.notes).toBe('A');
});
