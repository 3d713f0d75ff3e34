import { v7 } from 'uuid';
import { findFiring } from '@/data/firings';
import { ELECTRIC, fire } from '../../../stand-ins/kiln';
import { gaussian } from '../../../stand-ins/noise';
import { type TestStudio } from '../../../test-support/studio';
import { kilnTests } from '../../../test-support/kiln';
import { coneMovesOf } from '@/data/witnesses';
import { knownOf } from '../kilns/server';
import { type Kiln } from '@/data/kilns';
import { firingRoom } from './room';

const HOUR = 3_600_000;
let studio: TestStudio;
let kiln: Kiln;
const { lit, finish } = kilnTests((given) => ({ studio, kiln } = given));
/** A firing to about cone 6, read every five minutes. */
const toSix = (one: typeof ELECTRIC, noise: ReturnType<typeof gaussian>) =>
  fire(
    one,
    [
      { rate: 160, target: 1080, holdMinutes: 0 },
      { rate: 65, target: 1196, holdMinutes: 10 },
    ],
    noise,
    { every: 300, coolTo: 300 },
  );

test('from log and cones the offset is learned, a new thermocouple begins anew, and a file may bring the log', async () => {
  const noise = gaussian(3);
  const one = { ...ELECTRIC, readsLow: 14 };
  for (let i = 0; i < 3; i++) {
    const { firingId, at } = await lit(40 - i);
    const fired = toSix(one, noise);
    const answer = await studio.must<{ kept: number }>('firelog.import', {
      firingId,
      readings: fired.shown.map(({ t, c }) => [at.getTime() + t * 1000, c]),
    });
    expect(answer.kept).toBe(fired.shown.length);
    await finish(firingId);
    const cones = await studio.db('witness_cone').where({ firing_id: firingId });
    const { bendDegreesOf, workOf } = await import('@/core/heatwork');
    await studio.must('firings.read-cones', {
      firingId,
      readings: cones.map((cone) => ({
        coneId: cone.id as string,
        bendDegrees: Math.round(bendDegreesOf(cone.cone as string, workOf(cone.cone as string, fired.truth))),
      })),
    });
  }
  const known = await knownOf(studio.db, kiln.id);
  expect(known.offset!.firings).toBe(3);
  expect(known.offset!.low).toBeLessThan(14);
  expect(known.offset!.high).toBeGreaterThan(14);
  expect(Math.abs(known.offset!.offset! - 14)).toBeLessThan(4);
  expect(known.coolings.length).toBeGreaterThanOrEqual(3);
  const tomorrow = new Date(Date.now() + 24 * HOUR).toISOString().slice(0, 10);
  const upkeep = {
    kilnId: kiln.id,
    id: v7(),
    kind: 'thermocouple',
    doneOn: tomorrow,
    note: '',
  };
  await studio.must('kilns.upkeep', upkeep);
  const anew = await knownOf(studio.db, kiln.id);
  expect(anew.offset).toBeNull();
  expect(anew.before[0]!.offset!.firings).toBe(3);
  await studio.must('kilns.drop-upkeep', { id: upkeep.id, dropped: true });
  expect((await knownOf(studio.db, kiln.id)).offset!.firings).toBe(3);
});

test('a firing under way says what to do next, and raises its alarms', async () => {
  const { firingId, at } = await lit(8.6, { targetCone: '6' });
  const segments = [
    { rate: 160, target: 1080, holdMinutes: 0 },
    { rate: 65, target: 1200, holdMinutes: 60 },
  ];
  await studio.must('firings.set-run', {
    firingId,
    schedule: { name: 'Six', segments },
    readEveryS: 60,
  });
  const fired = fire(ELECTRIC, segments, gaussian(2), { every: 60, until: 8.55 * 3600 });
  await studio.must('firelog.import', {
    firingId,
    readings: fired.shown.map(({ t, c }) => [at.getTime() + t * 1000, c]),
  });
  const room = async (later = 0) =>
    firingRoom(
      studio.db,
      (await findFiring(studio.db, firingId))!,
      kiln,
      { crackAtC: 100, unloadAtC: 40 },
      new Date(Date.now() + later),
    );
  const now = await room();
  expect(now.works.map(({ cone }) => cone)).toEqual(['5.5', '6', '7'].map((c) => (c === '5.5' ? '5' : c)));
  expect(now.hold).toMatchObject({ cone: '6' });
  expect(now.alarms).toEqual([]);
  expect(now.curve.length).toBeGreaterThan(300);
  expect((await room(3 * HOUR)).alarms.map(({ kind }) => kind)).toContain('missed');
  await studio.must('firings.set-run', { firingId, latestHours: 8 });
  expect((await room()).alarms.map(({ kind }) => kind)).toContain('late');
  await finish(firingId);
});

test('an unread firing has no cone; its log says about which once the kiln is known, and read cones outrank it', async () => {
  const noise = gaussian(11);
  const one = { ...ELECTRIC, readsLow: 14 };
  /** A firing to about cone 6 with its log; its cones are read or not. */
  const make = async (hours: number, read: boolean): Promise<string> => {
    const { firingId, at } = await lit(hours);
    const fired = toSix(one, noise);
    await studio.must('firelog.import', {
      firingId,
      readings: fired.shown.map(({ t, c }) => [at.getTime() + t * 1000, c]),
    });
    await finish(firingId);
    if (read) await readAs(firingId, fired.truth);
    return firingId;
  };
  const { bendDegreesOf, workOf } = await import('@/core/heatwork');
  const readAs = async (firingId: string, truth: Parameters<typeof workOf>[1]) => {
    const cones = await studio.db('witness_cone').where({ firing_id: firingId });
    return studio.must<{ moved: { was: string; became: string }[] }>('firings.read-cones', {
      firingId,
      readings: cones.map((cone) => ({
        coneId: cone.id as string,
        bendDegrees: Math.round(bendDegreesOf(cone.cone as string, workOf(cone.cone as string, truth))),
      })),
    });
  };
  const standing = async (firingId: string) => {
    const { coneBand, coneKnown } = (await findFiring(studio.db, firingId))!;
    return `${coneBand} ${coneKnown}`;
  };
  const unread = await make(90, false);
  expect(await standing(unread)).toBe('?6 intended');
  await make(70, true);
  // One firing with cones says nothing of another yet.
  expect(await standing(unread)).toBe('?6 intended');
  await make(50, true);
  await make(30, true);
  expect(await standing(unread)).toBe('6 by log');
  const moves = await coneMovesOf(studio.db, kiln.id, 5);
  expect(moves).toMatchObject([
    { firingId: unread, was: 'cone unknown, 6 intended', became: 'about cone 6, by its log' },
  ]);
  expect(moves[0]!.taughtNo).not.toBeNull();
  // Its own cones, read late, outrank the log: it had stood too cold at the back, say.
  const cones = await studio.db('witness_cone').where({ firing_id: unread });
  await studio.must('firings.read-cones', {
    firingId: unread,
    readings: cones.map((cone) => ({
      coneId: cone.id as string,
      bendDegrees: cone.cone === '5' ? 90 : 0,
    })),
  });
  expect(await standing(unread)).toBe('5 read');
});
