import { v7 } from 'uuid';
import { findFiring } from '@/data/firings';
import { advance, layer, makePieces, planFiring, type TestStudio } from '../../../test-support/studio';
import { kilnTests } from '../../../test-support/kiln';
import { noticeDraft } from '../firings/server';
import { firingCalendar } from '@/features/firings/server';
import { firingRoom } from './room';
import { type Kiln } from '@/data/kilns';

const HOUR = 3_600_000;
let studio: TestStudio;
let kiln: Kiln;
const { lit } = kilnTests((given) => ({ studio, kiln } = given), {
  control: 'shut-off',
  volumeL: 45,
  powerKw: 4,
  unitPrice: 0.5,
  latestHours: 11,
});
const room = async (firingId: string, later = 0) =>
  firingRoom(
    studio.db,
    (await findFiring(studio.db, firingId))!,
    kiln,
    { crackAtC: 100, unloadAtC: 40 },
    new Date(Date.now() + later),
  );
const readings = (firingId: string, at: Date, values: readonly [number, number][]) =>
  studio.must('firelog.import', {
    firingId,
    readings: values.map(([hours, celsius]) => [at.getTime() + hours * HOUR, celsius]),
  });

test('before anything is read there is a page, and it says nothing it does not know', async () => {
  const { firingId } = await lit(0.2);
  const now = await room(firingId);
  expect(now).toMatchObject({
    readings: 0,
    last: null,
    rate: null,
    works: [],
    predicted: null,
    hold: null,
    cool: null,
    alarms: [],
    planned: null,
    energy: { kwh: null },
  });
});

test('a kiln with a mechanical shut-off and no cone in mind is followed all the same', async () => {
  const { firingId, at } = await lit(9, { targetCone: null, atmosphere: 'unknown' });
  await readings(firingId, at, [
    [0, 20],
    [2, 260],
    [4, 560],
    [6, 820],
    [8, 1010],
    [8.9, 1080],
  ]);
  const now = await room(firingId);
  expect(now.works).toEqual([]);
  expect(now.hold).toBeNull();
  expect(now.predicted!.ordinal).toBeGreaterThan(-7);
  expect(now.predicted!.ordinal).toBeLessThan(2);
  expect(now.stretches.every(({ kind }) => kind === 'climb')).toBe(true);
  expect(now.alarms).toEqual([]);
  // Untended past its time: by the kiln's own hours.
  expect((await room(firingId, 2.5 * HOUR)).alarms.map(({ kind }) => kind)).toContain('late');
  await studio.must('firelog.write', {
    firingId,
    id: v7(),
    at: new Date(at.getTime() + 8.9 * HOUR).toISOString(),
    kind: 'shut-off',
    text: 'tripped',
  });
  expect((await room(firingId)).entries.map(({ kind }) => kind)).toEqual(['shut-off']);
});

test('energy is a rule of thumb until the meter is read', async () => {
  const { firingId, at } = await lit(11);
  await readings(firingId, at, [
    [0, 20],
    [5, 700],
    [10, 1200],
    [10.5, 1150],
  ]);
  const thumb = await room(firingId);
  expect(thumb.energy.kwh).toBeCloseTo(0.5 * 4 * 10, 6);
  expect(thumb.energy.cost).toBeCloseTo(10, 6);
  await studio.must('firings.set-run', { firingId, energyUsed: 31 });
  expect((await room(firingId)).energy).toEqual({ kwh: 31, cost: 15.5 });
});

test('a cooling kiln says when, once it has said enough', async () => {
  const { firingId, at } = await lit(30);
  const cooling = (hours: number): number => 20 + 1160 * Math.exp(-0.14 * (hours - 10));
  await readings(firingId, at, [
    [0, 20],
    [5, 700],
    [10, 1180],
    [10.3, 1150],
  ]);
  await studio.must('firings.move', { firingId, from: 'firing', to: 'cooling' });
  expect(await room(firingId)).toMatchObject({ cool: null, coolSilent: true });
  await readings(
    firingId,
    at,
    Array.from({ length: 16 }, (_, i): [number, number] => [12 + i, cooling(12 + i)]),
  );
  const now = await room(firingId);
  expect(now.coolSilent).toBe(false);
  const truth = Math.log(1160 / 80) / 0.14 - 17;
  expect(now.cool!.crack!.low).toBeLessThanOrEqual(truth);
  expect(now.cool!.crack!.high).toBeGreaterThanOrEqual(truth);
  expect(now.cool!.unload!.hours).toBeGreaterThan(now.cool!.crack!.hours);
});

test('a kiln read hot is not opened without a word; an old reading does not hold it shut', async () => {
  const { firingId, at } = await lit(20);
  await readings(firingId, at, [
    [0, 20],
    [10, 1200],
    [19.5, 240],
  ]);
  await studio.must('firings.move', { firingId, from: 'firing', to: 'cooling' });
  const open = (reason = '') =>
    studio.act('firings.move', { firingId, from: 'cooling', to: 'opened', reason });
  expect(await open()).toMatchObject({
    ok: false,
    problem: {
      message: expect.stringContaining('240 °C') as string,
      fields: { reason: 'Say why it is opened hot.' },
    },
  });
  await readings(firingId, at, [[19.9, 90]]);
  expect((await open()).ok).toBe(true);
  const old = await lit(40);
  await readings(old.firingId, old.at, [
    [0, 20],
    [10, 1200],
    [20, 300],
  ]);
  await studio.must('firings.move', { firingId: old.firingId, from: 'firing', to: 'cooling' });
  expect(
    (
      await studio.act('firings.move', {
        firingId: old.firingId,
        from: 'cooling',
        to: 'opened',
        reason: '',
      })
    ).ok,
  ).toBe(true);
});

test('an oxygen probe is kept with its reading, thinned for the page', async () => {
  const { firingId, at } = await lit(2);
  for (const [n, mv] of [
    [0, 10],
    [30, 400],
    [60, 560],
  ] as const)
    await studio.must('firelog.read', {
      firingId,
      at: new Date(at.getTime() + n * 60_000).toISOString(),
      celsius: 800 + n,
      probeMv: mv,
      sure: true,
    });
  expect((await room(firingId)).probe.map(({ mv }) => mv)).toEqual([10, 400, 560]);
  expect(
    await studio.act('firelog.read', {
      firingId,
      at: at.toISOString(),
      celsius: 800,
      probeMv: 9000,
    }),
  ).toMatchObject({ ok: false });
});

test('what is amiss in how a firing is to be run is said at its field', async () => {
  const firingId = await planFiring(studio, { kilnId: kiln.id });
  const set = (run: object) => studio.act('firings.set-run', { firingId, ...run });
  expect(await set({ bringBy: '2026-02-31' })).toMatchObject({
    problem: { fields: { bringBy: 'Give a date.' } },
  });
  expect((await set({ latestHours: 0 })).ok).toBe(false);
  expect((await set({ latestHours: Number.NaN })).ok).toBe(false);
  expect(
    (
      await set({
        schedule: { name: 'X', segments: [{ rate: -1, target: 1200, holdMinutes: 0 }] },
      })
    ).ok,
  ).toBe(false);
  expect(
    await studio.act('firelog.read', { firingId, at: new Date().toISOString(), celsius: 20 }),
  ).toMatchObject({ problem: { message: expect.stringContaining('not been lit') as string } });
  expect((await set({ schedule: null, notice: 'n', onDuty: studio.teacher.id })).ok).toBe(true);
  const kept = (await findFiring(studio.db, firingId))!;
  expect(kept).toMatchObject({ notice: 'n', onDuty: studio.teacher.id, schedule: null });
  // What was not spoken of stays.
  await set({ nextTime: 'slower' });
  expect(await findFiring(studio.db, firingId)).toMatchObject({ notice: 'n', nextTime: 'slower' });
});

test('a notice is drafted from what the store knows', async () => {
  await studio.db('coating').where({ slug: 'tarn' }).update({
    atmosphere_notes: 'Blue-green in reduction.',
    traits: '["oxidation only"]',
  });
  type Planned = Parameters<typeof noticeDraft>[1];
  const glaze: Planned = { kind: 'glaze', targetCone: '6', atmosphere: 'oxidation' };
  const draft = (rest: Partial<Planned>) => noticeDraft(studio.db, { ...glaze, ...rest });
  const oxidation = await draft({});
  expect(oxidation).toContain('Cone 6 in oxidation.');
  expect(oxidation).toContain('Bodies: Peat.');
  expect(oxidation).toContain('Tarn: Blue-green in reduction.');
  expect(await draft({ atmosphere: 'heavy reduction' })).not.toContain('Tarn');
  expect(await draft({ targetCone: '10' })).toContain('Bodies: none is known to suit.');
  expect(await draft({ kind: 'bisque' })).toContain('Bone-dry');
});

test('when a load will be full follows from what came lately', async () => {
  await studio.db('piece').update({ waiting_for: null });
  for (let i = 0; i < 2; i++) {
    const { ids } = await makePieces(studio, [layer(studio.version('pitch'), 0.1, 1)], {
      count: 10,
    });
    const firingId = await planFiring(studio, { kilnId: kiln.id, targetCone: '5' });
    await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
    await advance(studio, firingId);
  }
  await makePieces(studio, [layer(studio.version('pitch'), 0.1, 1)], {
    count: 4,
    wantedCone: '5',
  });
  const [group] = (await firingCalendar(studio.db)).waiting;
  expect(group).toMatchObject({ count: 4, usual: 10, cone: '5', planned: null });
  // Four in four weeks: six more take six weeks.
  expect(group!.fullIn).toBe(42);
});
