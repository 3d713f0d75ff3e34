import { v7 } from 'uuid';
import { entriesOfFiring } from '@/data/firing-log';
import { readingsToMend } from '@/data/mend-readings';
import { logOf } from '@/data/readings';
import { listKilns, type Kiln } from '@/data/kilns';
import { unrecordedFiring } from '@/data/past-firings';
import { planFiring, type TestStudio } from '../../../test-support/studio';
import { kilnTests } from '../../../test-support/kiln';
import { findFiring } from '@/data/firings';
import { firingRoom } from './room';

let studio: TestStudio;
let kiln: Kiln;
const { lit, finish } = kilnTests((given) => ({ studio, kiln } = given));
const ms = (from: Date, minutes: number): number => from.getTime() + minutes * 60_000;

test('a log from paper is kept in one act, taught from, taken back and given again', async () => {
  const { firingId, at } = await lit(10);
  const remark = { id: v7(), at: ms(at, 120), kind: 'lid', text: 'closed' };
  const said = await studio.must<{ kept: number }>('firelog.paper', {
    firingId,
    readings: [
      [ms(at, 0), 20],
      [ms(at, 120), 150],
      [ms(at, 300), 610],
    ],
    remarks: [remark],
  });
  expect(said).toMatchObject({ kept: 3, repeated: 0, doubted: 0 });
  const [entry] = await entriesOfFiring(studio.db, firingId);
  expect(entry).toMatchObject({ kind: 'lid', text: 'closed' });
  // It says when it is from and when it was written down.
  expect(entry!.addedAt!.getTime() - entry!.at.getTime()).toBeGreaterThan(5 * 3_600_000);
  const [newest] = await readingsToMend(studio.db, firingId);
  expect(newest!.addedAt!.getTime() - newest!.at.getTime()).toBeGreaterThan(3_600_000);
  const back = { firingId, at: [0, 120, 300].map((n) => ms(at, n)), remarks: [remark.id] };
  await studio.must('firelog.keep-paper', { ...back, kept: false });
  expect(await logOf(studio.db, firingId, at)).toEqual([]);
  expect(await entriesOfFiring(studio.db, firingId)).toEqual([]);
  await studio.must('firelog.keep-paper', { ...back, kept: true });
  expect(await logOf(studio.db, firingId, at)).toHaveLength(3);
  await finish(firingId);
});

test('paper of a firing that nobody wrote down turns up: once it is said when it was lit, its log is caught up', async () => {
  const of = { kilnId: kiln.id, cone: '6', shown: false, atmosphere: 'oxidation' } as const;
  const firingOf = (on: string | null) =>
    studio.db.transaction((trx) => unrecordedFiring(trx, { ...of, on }, studio.technician.id, new Date()));
  const say = (firingId: string, at: string) => studio.act('firelog.lit-at', { firingId, at });
  // The day that was said is the day it was lit, in the evening; for another nobody said a day.
  for (const on of ['2025-03-04', null]) {
    const firingId = await firingOf(on);
    const readings = [
      ms(new Date('2025-03-04T18:00:00Z'), 60),
      ms(new Date('2025-03-04T18:00:00Z'), 600),
    ].map((at, i) => [at, [200, 1180][i]]);
    expect(await studio.act('firelog.paper', { firingId, readings, remarks: [] })).toMatchObject({
      ok: false,
    });
    expect(await say(firingId, '2025-03-04T18:00:00.000Z')).toMatchObject({ ok: true });
    expect(await findFiring(studio.db, firingId)).toMatchObject({
      startedAt: new Date('2025-03-04T18:00:00Z'),
      openedAt: new Date('2025-03-05T18:00:00Z'),
      status: 'opened',
    });
    expect(await studio.must('firelog.paper', { firingId, readings, remarks: [] })).toMatchObject({
      kept: 2,
    });
    // Now that it is known, it is put right within reason like any other.
    expect(await say(firingId, '2025-03-06T18:00:00.000Z')).toMatchObject({ ok: false });
    expect(await say(firingId, '2025-02-04T18:00:00.000Z')).toMatchObject({ ok: false });
  }
  // What was only planned was not lit.
  const planned = await planFiring(studio, { kilnId: kiln.id });
  expect(await say(planned, '2025-03-04T18:00:00.000Z')).toMatchObject({ ok: false });
});

test('dates far from the firing, nothing to keep, and a firing not lit are refused', async () => {
  const { firingId, at } = await lit(10);
  const refused = async (input: object): Promise<string> => {
    const answer = await studio.act('firelog.paper', {
      firingId,
      remarks: [],
      readings: [],
      ...input,
    });
    return answer.ok ? 'kept' : answer.problem.message;
  };
  expect(await refused({})).toMatch(/no line/);
  expect(await refused({ readings: [[ms(at, 60 * 24 * 20), 300]] })).toMatch(/ten days/);
  expect(await refused({ readings: [[ms(at, 10), 3000]] })).toMatch(/Hotter/);
  await finish(firingId);
});

test('a reading is put right with why; what it was stays beside it; struck later with a reason', async () => {
  const { firingId, at } = await lit(6);
  const moment = new Date(ms(at, 60)).toISOString();
  await studio.must('firelog.paper', {
    firingId,
    readings: [
      [ms(at, 0), 20],
      [ms(at, 60), 150],
    ],
    remarks: [],
  });
  expect((await studio.act('firelog.correct', { firingId, at: moment, celsius: 115, why: '' })).ok).toBe(
    false,
  );
  await studio.must('firelog.correct', { firingId, at: moment, celsius: 115, why: 'wrong line' });
  await studio.must('firelog.correct', { firingId, at: moment, celsius: 116, why: 'wrong again' });
  expect((await readingsToMend(studio.db, firingId))[0]).toMatchObject({
    celsius: 116,
    wasCelsius: 150,
    why: 'wrong again',
  });
  await studio.must('firelog.strike', {
    firingId,
    at: moment,
    struck: true,
    why: 'pyrometer stuck',
  });
  expect((await readingsToMend(studio.db, firingId))[0]).toMatchObject({
    doubt: 'struck',
    why: 'pyrometer stuck',
  });
  expect(await logOf(studio.db, firingId, at)).toHaveLength(1);
  await finish(firingId);
});

test('a log wholly in °F is asked about; said to be °F its figures follow, and go back by undo', async () => {
  const { firingId, at } = await lit(12);
  const inF = [68, 260, 900, 1500, 2100].map((f, i): [number, number] => [ms(at, 120 * i), f]);
  await studio.must('firelog.paper', { firingId, readings: inF, remarks: [] });
  const kiln = (await listKilns(studio.db))[0]!;
  const room = async () =>
    firingRoom(studio.db, (await findFiring(studio.db, firingId))!, kiln, {
      crackAtC: 100,
      unloadAtC: 40,
    });
  // What is hotter than any kiln was not believed; what was, is enough to ask.
  expect((await room()).looksFahrenheit).toBe(false);
  const { fahrenheit } = { fahrenheit: true };
  await studio.must('firelog.say-unit', { firingId, fahrenheit });
  const log = await logOf(studio.db, firingId, at);
  expect(log.map(({ c }) => Math.round(c))).toEqual([20, 127, 482, 816, 1149]);
  expect((await room()).looksFahrenheit).toBe(false);
  await studio.must('firelog.say-unit', { firingId, fahrenheit: false });
  expect((await logOf(studio.db, firingId, at)).map(({ c }) => Math.round(c))).toEqual([68, 260, 900]);
  await finish(firingId);
});
