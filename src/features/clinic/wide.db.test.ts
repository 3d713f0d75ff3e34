/**
 * Cases that are wider than a piece: what is read for them, what proposes them, and where an address leads.
 */
import { v7 } from 'uuid';
import {
  advance,
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import type { Told } from '@/core/diagnosis';
import { listCases } from '@/data/clinic';
import { openFirings } from '@/data/firings';
import { caseView } from './queries';
import { ratesOf } from './rates';
import { proposedLines } from './rooms/ProposedLines';
import { subjectOf } from './subject';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const sign = (name: string, rest: object = {}) => ({
  surface: 'gloss',
  signs: [{ sign: name, severity: 2, wanted: false }],
  ...rest,
});
const view = async (id: string) => caseView(studio.db, (await listCases(studio.db, { id }))[0]!, new Date());
const open = async (input: object) =>
  ((await studio.must('clinic.open', { complaints: ['pit'], ...input })) as { id: string }).id;
const fact = (told: readonly Told[], name: string) => told.find((one) => one.fact === name);

async function bucket(name: string, sg: number): Promise<string> {
  const id = v7();
  await studio.db('bucket').insert({
    id,
    coating_version_id: studio.version('tarn'),
    name,
    advice: JSON.stringify({ dips: null, seconds: null, dryingSign: '', restirMinutes: null, sg: 1.48 }),
    mixed_by: studio.technician.id,
    mixed_at: new Date(),
  });
  await studio.db('bucket_entry').insert({
    id: v7(),
    bucket_id: id,
    kind: 'measured',
    sg,
    note: '',
    by_person: studio.technician.id,
    at: new Date(),
  });
  return id;
}

test('a case of one bucket reads that bucket; of a piece nobody knows out of which of two it came', async () => {
  const made = await fired(studio, [layer(studio.version('tarn'))], { count: 3 });
  await studio.must('opening.record', recordInput(made.firingId, made.ids, sign('pit')));
  const [thick, right] = [await bucket('grey lid', 1.58), await bucket('blue lid', 1.48)];
  const of = async (bucketId: string) => fact((await view(await open({ bucketId }))).told, 'sg');
  expect(await of(thick)).toMatchObject({ value: 'high', href: `/store/buckets/${thick}` });
  expect(await of(right)).toMatchObject({ value: 'usual', href: `/store/buckets/${right}` });
  const piece = await view(await open({ pieceId: made.ids[0], firingId: made.firingId }));
  expect(fact(piece.told, 'sg')).toBeUndefined();
});

test('what a coating goes through is counted by pieces, not by the stretches that were written up', async () => {
  const tarn = studio.version('tarn');
  // Two stretches of the same coat, and one where it lies double.
  const made = await fired(studio, [layer(tarn, 0, 0.9), layer(tarn, 0.3, 0.6)], { count: 4 });
  await studio.must('opening.record', recordInput(made.firingId, made.ids, sign('crazing')));
  const stretches = await studio.db('sighting').where({ firing_id: made.firingId }).count({ n: '*' }).first();
  const found = (await ratesOf(studio.db, 'crazing', { slugs: ['tarn'] }))!;
  expect(Number(stretches!.n)).toBeGreaterThan(4);
  expect(found.all).toMatchObject({ with: 4, of: 7 });
});

test('a surface is a complaint of its own stack alone, and a colour that is off is named as it is on record', async () => {
  const made = await fired(studio, [layer(studio.version('pitch'))], { count: 5 });
  const matt = made.ids.slice(0, 2);
  await studio.must('opening.record', recordInput(made.firingId, matt, { surface: 'matt' }));
  await studio.must('opening.record', recordInput(made.firingId, made.ids.slice(2), sign('off-colour')));
  const own = (await ratesOf(studio.db, 'matt', { slugs: ['pitch'], stack: 'pitch' }))!;
  expect([own.name, own.all.with, own.all.of]).toEqual(['Matt instead of gloss', 2, 5]);
  // Over more than one stack nobody knows which was meant to be matt.
  expect(await ratesOf(studio.db, 'matt', { slugs: ['pitch'] })).toBeNull();
  const celadon = (await ratesOf(studio.db, 'celadon', {}))!;
  expect([celadon.name, celadon.all.with]).toEqual(['Colour off', 3]);
});

test('the day sheet proposes a case while an opening is under way, and none where nothing is shared', async () => {
  const proposed = async () =>
    proposedLines(
      studio.db,
      (await openFirings(studio.db)).filter(({ firing }) => firing.status === 'opened'),
    );
  const before = (await proposed()).length;
  const [tarn, pitch] = [studio.version('tarn'), studio.version('pitch')];
  const ids: string[] = [];
  for (const stack of [[layer(tarn)], [layer(pitch)], [layer(tarn, 0, 0.6), layer(pitch, 0.3, 1)]])
    ids.push(...(await makePieces(studio, stack)).ids);
  const firingId = await planFiring(studio, {});
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  await studio.must('opening.record', recordInput(firingId, ids, sign('dry', { surface: 'dry' })));
  const lines = await proposed();
  expect(lines).toHaveLength(before + 1);
  expect(lines.map(({ key }) => key)).toContain(`shared/${firingId}`);
  await studio.must('opening.finish', { firingId, done: true });
  expect(await proposed()).toHaveLength(before);
});

test('an address says what a new case is to be of; what is not there is nothing', async () => {
  const coating = await studio.db('coating').where({ slug: 'tarn' }).first();
  const firing = await studio.db('firing').first();
  const of = (query: Record<string, string>) => subjectOf(studio.db, query);
  expect(await of({ coating: coating.id })).toEqual({
    name: coating.name,
    of: { kind: 'coating', id: coating.id },
  });
  expect((await of({ body: studio.body }))?.of.kind).toBe('body');
  expect((await of({ bucket: await bucket('red lid', 1.5) }))?.name).toBe('red lid');
  expect((await of({ firing: firing.id }))?.name).toMatch(/^the whole load of .* \d+$/);
  for (const query of [
    {},
    { coating: 'tarn' },
    { coating: v7() },
    { bucket: v7() },
    { firing: v7() },
    { kiln: studio.kiln },
  ])
    expect(await of(query as Record<string, string>)).toBeNull();
});
