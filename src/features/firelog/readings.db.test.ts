import { v7 } from 'uuid';
import { findFiring } from '@/data/firings';
import { readingsToMend } from '@/data/mend-readings';
import { logOf, strayOf } from '@/data/readings';
import { type TestStudio } from '../../../test-support/studio';
import { kilnTests } from '../../../test-support/kiln';
import { firingRoom } from './room';
import { ingestRequest } from './ingest';
import { type Kiln } from '@/data/kilns';

const HOUR = 3_600_000;
let studio: TestStudio;
let kiln: Kiln;
const { lit, finish } = kilnTests((given) => ({ studio, kiln } = given));
const token = async (): Promise<{ id: string; secret: string }> =>
  studio.must('kilns.make-token', { kilnId: kiln.id, name: 'Controller' });
type Batch = { kept: number; repeated: number; stray: number; doubted: { why: string }[] };
const send = (secret: string, readings: object[]): Promise<Batch> =>
  ingestRequest(studio.db, secret, () => Promise.resolve({ readings })) as Promise<Batch>;
const minutes = (from: Date, n: number): string => new Date(from.getTime() + n * 60_000).toISOString();

test('a device’s batch is kept once however often it comes, and in any order', async () => {
  const { firingId, at } = await lit(2);
  const { secret } = await token();
  const batch = Array.from({ length: 60 }, (_, i) => ({
    at: minutes(at, i),
    celsius: 20 + i * 2,
  }));
  expect(await send(secret, batch.slice(30))).toMatchObject({ kept: 30, repeated: 0, stray: 0 });
  expect(await send(secret, [...batch].reverse())).toMatchObject({ kept: 30, repeated: 30 });
  expect(await send(secret, batch)).toMatchObject({ kept: 0, repeated: 60 });
  const log = await logOf(studio.db, firingId, at);
  expect(log).toHaveLength(60);
  expect(log.map(({ c }) => c)).toEqual(batch.map(({ celsius }) => celsius));
  await finish(firingId);
});

test('°F, a broken thermocouple, a jump and a clock ahead are kept, told, and not believed', async () => {
  const { firingId, at } = await lit(6);
  const { secret } = await token();
  const climbed = Array.from({ length: 200 }, (_, i) => ({
    at: minutes(at, i),
    celsius: 20 + i * 3.2,
  }));
  await send(secret, climbed);
  const answer = await send(secret, [
    { at: minutes(at, 201), celsius: 1222 },
    { at: minutes(at, 202), celsius: null },
    { at: minutes(at, 203), celsius: 0 },
    { at: minutes(at, 204), celsius: 2000 },
    { at: minutes(at, 205), celsius: 980 },
    { at: minutes(at, 206), celsius: 678 },
    { at: minutes(at, 60 * 8), celsius: 700 },
  ]);
  expect(answer.kept).toBe(7);
  expect(answer.doubted.map(({ why }) => why)).toEqual([
    'degrees Fahrenheit sent as Celsius',
    expect.stringContaining('broken'),
    expect.stringContaining('broken'),
    expect.stringContaining('broken'),
    'a jump no kiln makes',
    'a clock that is ahead',
  ]);
  expect((await logOf(studio.db, firingId, at)).at(-1)).toMatchObject({ c: 678 });
  // The same temperature sent as °F outright is no trouble.
  expect(await send(secret, [{ at: minutes(at, 207), fahrenheit: 1254 }])).toMatchObject({
    kept: 1,
    doubted: [],
  });
  await finish(firingId);
});

test('what can be no reading is refused row by row and never reaches a table; the rest is kept', async () => {
  const { firingId, at } = await lit(3);
  const { secret } = await token();
  const answer = (await send(secret, [
    { at: minutes(at, 1), celsius: 24 },
    { at: '0000-01-01T00:00:00Z', celsius: 20 },
    { at: '9999-12-31T23:59:59Z', celsius: 20 },
    { at: '1970-01-01T00:00:00Z', celsius: 20 },
    { at: minutes(at, 2), celsius: 1e308 },
  ])) as Batch & { refused: { row: number; why: string }[] };
  expect(answer).toMatchObject({ kept: 2, stray: 0 });
  expect(answer.refused.map(({ row }) => row)).toEqual([2, 3, 4]);
  expect(answer.refused[0]!.why).toContain('is the clock right?');
  // A value that no instrument measures is a broken one, kept as such without a number.
  expect(
    await studio.db('reading').where({ firing_id: firingId }).orderBy('at').select('celsius', 'doubt'),
  ).toEqual([
    { celsius: 24, doubt: null },
    { celsius: null, doubt: 'broken' },
  ]);
  const file = await studio.must<{ kept: number; refused: number; firstRefused: object[] }>(
    'firelog.import',
    {
      firingId,
      readings: [
        [9e15, 20],
        [at.getTime() + 180_000, 30],
        [-9e15, 20],
      ],
    },
  );
  expect(file).toMatchObject({ kept: 1, refused: 2, firstRefused: [{ row: 1 }, { row: 3 }] });
  const zero = await studio
    .db('reading')
    .whereRaw('YEAR(at) < 1900 OR YEAR(at) > 2200')
    .count({ n: '*' })
    .first();
  expect(Number(zero!.n)).toBe(0);
  await finish(firingId);
});

test('a row that does not fit its table is an error, not left out in silence', async () => {
  const { firingId, at } = await lit(3);
  const { keepReadings } = await import('@/data/readings');
  const bad = { at, celsius: 20, probeMv: null, doubt: 'no such doubt' as 'jump' };
  await expect(keepReadings(studio.db, firingId, [bad], 'device', null, new Date())).rejects.toThrow(/doubt/);
  await finish(firingId);
});

test('a revoked token, none, and nonsense are turned away in words; nothing is kept', async () => {
  const { id, secret } = await token();
  const before = await studio.db('reading').count({ n: '*' }).first();
  await studio.must('kilns.revoke-token', { id });
  await expect(send(secret, [{ at: new Date().toISOString(), celsius: 20 }])).rejects.toThrow('revoked');
  await expect(ingestRequest(studio.db, null, () => Promise.reject(new Error('never read')))).rejects.toThrow(
    'No kiln has this token',
  );
  const good = await token();
  await expect(
    ingestRequest(studio.db, good.secret, () => Promise.resolve({ readings: [] })),
  ).rejects.toThrow('at least one reading');
  await expect(
    ingestRequest(studio.db, good.secret, () =>
      Promise.resolve({ readings: [{ at: 'yesterday', celsius: 3 }] }),
    ),
  ).rejects.toThrow('ISO 8601');
  expect(await studio.db('reading').count({ n: '*' }).first()).toEqual(before);
  // A secret is kept as a hash only.
  expect(JSON.stringify(await studio.db('kiln_token'))).not.toContain(good.secret);
});

test('a controller that returns with a backlog after the opening still adds to that firing', async () => {
  const { firingId, at } = await lit(5);
  const { secret } = await token();
  await finish(firingId);
  const backlog = Array.from({ length: 120 }, (_, i) => ({
    at: minutes(at, i * 2),
    celsius: 20 + i * 4,
  }));
  expect(await send(secret, backlog)).toMatchObject({ kept: 120, stray: 0 });
  expect(await logOf(studio.db, firingId, at)).toHaveLength(120);
  // What is read after the opening belongs to nobody yet.
  const late = [{ at: new Date(Date.now() + 30_000).toISOString(), celsius: 25 }];
  expect(await send(secret, late)).toMatchObject({ kept: 0, stray: 1 });
});

test('readings of a kiln nobody started wait as strays, and can be given to the firing or forgotten', async () => {
  const { secret } = await token();
  const began = new Date(Date.now() - 50 * HOUR);
  const batch = Array.from({ length: 30 }, (_, i) => ({
    at: minutes(began, i),
    celsius: 20 + i,
  }));
  expect(await send(secret, batch)).toMatchObject({ kept: 0, stray: 30 });
  expect(await strayOf(studio.db, kiln.id)).toMatchObject({ count: 30, peak: 49 });
  const { firingId } = await lit(1);
  await studio.must('firelog.lit-at', { firingId, at: began.toISOString() });
  expect(await strayOf(studio.db, kiln.id)).toBeNull();
  expect(await logOf(studio.db, firingId, began)).toHaveLength(30);
  await finish(firingId);
  // Others are forgotten when nobody knows them.
  const odd = [{ at: new Date(Date.now() - 200 * HOUR).toISOString(), celsius: 30 }];
  expect(await send(secret, odd)).toMatchObject({ stray: 1 });
  await studio.must('firelog.settle-strays', { kilnId: kiln.id, firingId: null });
  expect(await strayOf(studio.db, kiln.id)).toBeNull();
});

test('twenty batches at the same moment lose nothing', async () => {
  const { firingId, at } = await lit(4);
  const { secret } = await token();
  await Promise.all(
    Array.from({ length: 20 }, (_, part) =>
      send(
        secret,
        Array.from({ length: 10 }, (_, i) => ({
          at: minutes(at, part * 10 + i),
          celsius: 20 + part * 10 + i,
        })),
      ),
    ),
  );
  expect(await logOf(studio.db, firingId, at)).toHaveLength(200);
  await finish(firingId);
});

test('a reading by hand: kept, asked about when strange, struck and taken back', async () => {
  const { firingId, at } = await lit(3);
  const read = (n: number, celsius: number, sure = false) =>
    studio.act('firelog.read', { firingId, at: minutes(at, n), celsius, sure });
  expect((await read(0, 20)).ok).toBe(true);
  expect((await read(60, 150)).ok).toBe(true);
  const asked = await read(62, 302);
  expect(asked).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('150 °C') as string },
  });
  expect((await read(62, 900)).ok).toBe(false);
  expect((await read(62, 900, true)).ok).toBe(true);
  expect(await read(62, 155)).toMatchObject({
    problem: { message: expect.stringContaining('very moment') as string },
  });
  await studio.must('firelog.strike', { firingId, at: minutes(at, 62), struck: true });
  expect((await logOf(studio.db, firingId, at)).map(({ c }) => c)).toEqual([20, 150]);
  expect((await readingsToMend(studio.db, firingId))[0]).toMatchObject({ doubt: 'struck' });
  await studio.must('firelog.strike', { firingId, at: minutes(at, 62), struck: false });
  expect(await logOf(studio.db, firingId, at)).toHaveLength(3);
  expect(await read(60 * 9, 200)).toMatchObject({
    problem: { message: expect.stringContaining('clock') as string },
  });
  await finish(firingId);
});

test('the diary: what was done, when; what is missing is asked for; a line can be taken out and put back', async () => {
  const { firingId, at } = await lit(3);
  const entry = { firingId, id: v7(), at: minutes(at, 30), kind: 'atmosphere' };
  expect(await studio.act('firelog.write', { ...entry, text: 'flame' })).toMatchObject({
    problem: { fields: { atmosphere: 'Choose one.' } },
  });
  expect(await studio.act('firelog.write', { ...entry, kind: 'note' })).toMatchObject({
    problem: { fields: { text: 'Say what was done.' } },
  });
  await studio.must('firelog.write', { ...entry, atmosphere: 'heavy reduction', text: 'flame' });
  await studio.must('firelog.read', { firingId, at: minutes(at, 0), celsius: 20 });
  await studio.must('firelog.read', { firingId, at: minutes(at, 120), celsius: 300 });
  const room = async () =>
    firingRoom(studio.db, (await findFiring(studio.db, firingId))!, kiln, {
      crackAtC: 100,
      unloadAtC: 40,
    });
  expect((await room()).bands).toMatchObject([{ from: 1800, atmosphere: 'heavy reduction' }]);
  await studio.must('firelog.drop-entry', { firingId, id: entry.id, dropped: true });
  expect((await room()).entries).toEqual([]);
  await studio.must('firelog.drop-entry', { firingId, id: entry.id, dropped: false });
  expect((await room()).entries).toHaveLength(1);
  await finish(firingId);
});

test('when it was lit can be put right, within reason', async () => {
  const { firingId, at } = await lit(3);
  const set = (moment: Date) => studio.act('firelog.lit-at', { firingId, at: moment.toISOString() });
  expect((await set(new Date(Date.now() + HOUR))).ok).toBe(false);
  expect((await set(new Date(Date.now() - 400 * HOUR))).ok).toBe(false);
  expect((await set(new Date(at.getTime() - HOUR))).ok).toBe(true);
  expect((await findFiring(studio.db, firingId))!.startedAt).toEqual(new Date(at.getTime() - HOUR));
  await finish(firingId);
});
