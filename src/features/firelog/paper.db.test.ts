import { v7 } from 'uuid';
import { entriesOfFiring } from '@/data/firing-log';
import { readingsToMend } from '@/data/mend-readings';
import { logOf } from '@/data/readings';
import { listKilns } from '@/data/kilns';
import { type TestStudio } from '../../../test-support/studio';
import { kilnTests } from '../../../test-support/kiln';
import { findFiring } from '@/data/firings';
import { firingRoom } from './room';

let studio: TestStudio;
const { lit, finish } = kilnTests('test_paper', (given) => ({ studio } = given));
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
  expect(
    (await studio.act('firelog.correct', { firingId, at: moment, celsius: 115, why: '' })).ok,
  ).toBe(false);
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
  expect((await logOf(studio.db, firingId, at)).map(({ c }) => Math.round(c))).toEqual([
    68, 260, 900,
  ]);
  await finish(firingId);
});
