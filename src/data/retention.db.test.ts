import { v7 } from 'uuid';
import { testStudio, type TestStudio } from '../../test-support/studio';
import { KEPT_DAYS, forgetOld } from './retention';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const DAY = 86_400_000;
const now = new Date('2026-06-01T00:00:00Z');
const ago = (days: number): Date => new Date(now.getTime() - days * DAY);

test('answers and strays older than they are kept go, however many; the rest stays', async () => {
  const kept = { name: 'x', person_id: studio.technician.id, result: 'null' };
  const old = Array.from({ length: 5200 }, () => ({ ...kept, id: v7(), at: ago(181) }));
  const young = { ...kept, id: v7(), at: ago(179) };
  await studio.db.batchInsert('operation', [...old, young], 1000);
  const stray = { kiln_id: studio.kiln, celsius: 20 };
  await studio.db('stray_reading').insert([
    { ...stray, at: ago(91) },
    { ...stray, at: ago(89) },
  ]);
  const tick = { person_id: studio.technician.id, sheet: 'sheet/1', done: true };
  await studio.db('tick').insert([
    { ...tick, line: '0/1', said_at: ago(181), at: ago(181) },
    { ...tick, line: '0/2', said_at: ago(179), at: ago(179) },
  ]);
  await studio.db('attempt').insert([
    { key: 'pair:old', points: 3, expire: ago(1).getTime() },
    { key: 'pair:young', points: 3, expire: now.getTime() + 60_000 },
  ]);
  expect(await forgetOld(studio.db, now)).toEqual({
    operation: 5200,
    stray_reading: 1,
    tick: 1,
    attempt: 1,
  });
  expect(await studio.db('tick').pluck('line')).toEqual(['0/2']);
  expect(await studio.db('attempt').pluck('key')).toEqual(['pair:young']);
  expect(await studio.db('operation').pluck('id')).toEqual([young.id]);
  expect(await studio.db('stray_reading').count({ n: '*' }).first()).toEqual({ n: 1 });
  expect(await forgetOld(studio.db, now)).toEqual({
    operation: 0,
    stray_reading: 0,
    tick: 0,
    attempt: 0,
  });
});

test('readings of firings are never among what is forgotten', () => {
  expect(Object.keys(KEPT_DAYS).sort()).toEqual(['operation', 'stray_reading', 'tick']);
});
