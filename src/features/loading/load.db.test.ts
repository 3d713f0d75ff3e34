import { findFiring } from '@/data/firings';
import { listPlacements } from '@/data/placements';
import {
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { asICalendar, compareFirings, firingCalendar } from '@/features/firings/server';
import { checkedLoad } from './load-check';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const pitch = () => layer(studio.version('pitch'), 0.1, 1);
const findings = async (firingId: string): Promise<string[]> =>
  (await checkedLoad(studio.db, (await findFiring(studio.db, firingId))!)).findings
    .filter(({ overruledBy }) => overruledBy === null)
    .map(({ id }) => id);
async function loaded(
  rest: object = {},
  firing: object = {},
): Promise<{ firingId: string; codes: string[] }> {
  const { ids, codes } = await makePieces(studio, [pitch()], rest);
  const firingId = await planFiring(studio, firing);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  return { firingId, codes };
}

test('raw ware stops the lid; said why, it may stay, until another piece falls under it', async () => {
  const { firingId, codes } = await loaded({ waitingFor: 'bisque' });
  expect(await findings(firingId)).toEqual(['raw']);
  const close = () => studio.act('firings.move', { firingId, from: 'planned', to: 'loaded', reason: '' });
  expect(await close()).toMatchObject({
    problem: { message: expect.stringContaining(`Not bisqued on record (${codes[0]})`) as string },
  });
  expect(
    await studio.act('loading.overrule', { firingId, finding: 'raw', pieces: codes, reason: '' }),
  ).toMatchObject({ problem: { fields: { reason: 'Say why it may stay so.' } } });
  await studio.must('loading.overrule', {
    firingId,
    finding: 'raw',
    pieces: codes,
    reason: 'Bisqued at the school',
  });
  expect(await findings(firingId)).toEqual([]);
  const more = await makePieces(studio, [pitch()], { waitingFor: 'bisque' });
  await studio.must('loading.place', { firingId, pieceIds: more.ids, shelf: 1 });
  expect(await findings(firingId)).toEqual(['raw']);
  const { findings: all } = await checkedLoad(studio.db, (await findFiring(studio.db, firingId))!);
  await studio.must('loading.overrule', {
    firingId,
    finding: 'raw',
    pieces: all[0]!.pieces,
    reason: 'Both were',
  });
  expect((await close()).ok).toBe(true);
});

test('a cone too hot for the body, and what ran before without a catch', async () => {
  expect(await findings((await loaded({}, { targetCone: '10' })).firingId)).toEqual(
    expect.arrayContaining(['cone:Peat/true', 'cone:Pitch/true']),
  );
  const before = await fired(studio, [pitch()]);
  await studio.must(
    'opening.record',
    recordInput(before.firingId, before.ids, { surface: 'gloss', movementMm: 9 }),
  );
  const { firingId } = await loaded();
  expect(await findings(firingId)).toEqual(['fluid']);
  const [placement] = await listPlacements(studio.db, { firingId });
  await studio.must('loading.stand-on', {
    firingId,
    placementIds: [placement!.id],
    setting: 'waster',
  });
  expect(await findings(firingId)).toEqual([]);
});

test('chrome and tin are known from recipes', async () => {
  const material = async (name: string): Promise<string> =>
    (await studio.db('material').where({ name }).first()).id as string;
  const lines = async (slug: string, extra: string, amount: number): Promise<void> => {
    await studio
      .db('recipe_line')
      .where({ coating_version_id: studio.version(slug) })
      .delete();
    await studio.db('recipe_line').insert([
      {
        coating_version_id: studio.version(slug),
        seq: 1,
        material_id: await material('Silica'),
        amount: 100,
        addition: false,
        supply: '',
      },
      {
        coating_version_id: studio.version(slug),
        seq: 2,
        material_id: await material(extra),
        amount,
        addition: true,
        supply: '',
      },
    ]);
  };
  const chrome = (await studio.db('material').where('name', 'like', 'Chrom%').first()).name as string;
  await lines('pitch', chrome, 1);
  await lines('tarn', 'Tin oxide', 6);
  const a = await makePieces(studio, [pitch()], { form: 'mug' });
  const b = await makePieces(studio, [layer(studio.version('tarn'), 0.1, 1)], { form: 'mug' });
  const firingId = await planFiring(studio);
  await studio.must('loading.place', {
    firingId,
    pieceIds: [...a.ids, ...b.ids],
    shelf: 1,
    setting: 'waster',
  });
  expect(await findings(firingId)).toContain('chrome');
  const placements = await listPlacements(studio.db, { firingId });
  await studio.must('loading.arrange', {
    firingId,
    spots: [{ placementId: placements[0]!.id, shelf: 2, xMm: 0, yMm: 0, turned: false }],
  });
  expect(await findings(firingId)).not.toContain('chrome');
  await studio.db('recipe_line').delete();
});

test('places are kept to the millimetre, by two people at once, until the kiln is lit', async () => {
  const { firingId } = await loaded({ count: 2 });
  const placements = await listPlacements(studio.db, { firingId });
  const spot = (i: number, xMm: number) => ({
    firingId,
    spots: [{ placementId: placements[i]!.id, shelf: 1, xMm, yMm: 10, turned: i === 1 }],
  });
  const answers = await Promise.all([
    studio.act('loading.arrange', spot(0, -80), studio.technician),
    studio.act('loading.arrange', spot(1, 90), studio.teacher),
  ]);
  expect(answers.every(({ ok }) => ok)).toBe(true);
  const after = await listPlacements(studio.db, { firingId });
  expect(after.map(({ xMm }) => xMm).sort()).toEqual([-80, 90]);
  await studio.must('loading.stand-on', {
    firingId,
    placementIds: placements.map(({ id }) => id),
    setting: 'waster',
  });
  await studio.must('firings.move', { firingId, from: 'planned', to: 'loaded' });
  await studio.must('firings.move', { firingId, from: 'loaded', to: 'firing' });
  expect(await studio.act('loading.arrange', spot(0, 0))).toMatchObject({ ok: false });
});

test('schedules: kept, refused segment by segment, not overwritten unseen, put away', async () => {
  const fields = {
    name: 'Six',
    notes: '',
    segments: [{ rate: 100, target: 1200, holdMinutes: 10 }],
  };
  const { id } = await studio.must<{ id: string }>('kilns.save-schedule', { id: null, fields });
  expect(await studio.act('kilns.save-schedule', { id: null, fields })).toMatchObject({
    problem: { code: 'conflict' },
  });
  expect(
    await studio.act('kilns.save-schedule', {
      id: null,
      fields: { ...fields, name: 'F', segments: [{ rate: 100, target: 2232, holdMinutes: -1 }] },
    }),
  ).toMatchObject({
    problem: {
      fields: {
        'fields.segments.0.target': expect.stringContaining('1400') as string,
        'fields.segments.0.holdMinutes': expect.any(String) as string,
      },
    },
  });
  const change = (revision: number, notes: string) =>
    studio.act('kilns.save-schedule', { id, revision, fields: { ...fields, notes } });
  expect((await change(1, 'first')).ok).toBe(true);
  expect(await change(1, 'second')).toMatchObject({ problem: { code: 'conflict' } });
  await studio.must('kilns.archive-schedule', { id, archived: true });
});

test('the calendar: what is to come, what waits, and as iCalendar with the day to bring work', async () => {
  const { firingId } = await loaded({}, { plannedFor: '2026-12-05' });
  await studio.must('firings.set-run', {
    firingId,
    onDuty: studio.teacher.id,
    bringBy: '2026-12-03',
    notice: 'Oxidation this once.',
  });
  await makePieces(studio, [pitch()], { count: 4 });
  const calendar = await firingCalendar(studio.db);
  expect(calendar.coming.find(({ firing }) => firing.id === firingId)).toMatchObject({
    pieces: 1,
    duty: 'Teach',
  });
  expect(calendar.waiting.find(({ cone }) => cone === '6')).toMatchObject({
    waitsFor: 'glaze',
    atmosphere: 'oxidation',
  });
  const text = asICalendar('Yard', calendar.coming);
  expect(text).toMatch(/^BEGIN:VCALENDAR/);
  expect(text).toContain('DTSTART;VALUE=DATE:20261205');
  expect(text).toContain('DTSTART;VALUE=DATE:20261203');
  expect(text.replace(/\r\n[ \t]/g, '')).toContain('On duty: Teach');
  expect(text.split('BEGIN:VEVENT').length - 1).toBeGreaterThanOrEqual(2);
});

test('two firings compared: what differed, and what the same stack did', async () => {
  const inMarta = { kilnId: studio.kiln };
  const [a, b] = [
    await fired(studio, [layer(studio.version('tarn'), 0.1, 1)], {}, inMarta),
    await fired(studio, [layer(studio.version('tarn'), 0.1, 1)], {}, inMarta),
  ];
  await studio.must('opening.record', recordInput(a.firingId, a.ids, { surface: 'gloss' }));
  await studio.must(
    'opening.record',
    recordInput(b.firingId, b.ids, {
      surface: 'matt',
      signs: [{ sign: 'pit', severity: 2, wanted: false }],
    }),
  );
  const found = await compareFirings(
    studio.db,
    (await findFiring(studio.db, a.firingId))!,
    (await findFiring(studio.db, b.firingId))!,
    { temperature: 'C', length: 'mm', mass: 'g' },
  );
  expect(found.shared).toBe(1);
  expect(found.stacks).toEqual([{ stack: 'Tarn', body: 'Peat', a: 'gloss', b: 'matt, pits' }]);
  expect(found.same).toEqual(expect.arrayContaining(['Kiln', 'Target', 'Atmosphere']));
  expect(found.byCone).toBeNull();
});
