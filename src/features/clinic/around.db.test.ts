/**
 * What the work around a fault answers, out of the records: neighbours with chrome, the bisque, whose it is,
 * the diary.
 */
import { v7 } from 'uuid';
import { lit, finish, ownKiln } from '../../../test-support/kiln';
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
import { evidenceOf } from './evidence';
import { firingEvidence } from './evidence-wide';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const fact = (told: readonly Told[], name: string): Told | undefined => told.find((one) => one.fact === name);
const sign = (name: string) => ({ surface: 'gloss', signs: [{ sign: name, severity: 2, wanted: false }] });
const tarn = () => [layer(studio.version('tarn'))];
const pitch = () => [layer(studio.version('pitch'))];

describe('something with chrome in the load', () => {
  let firingId: string;
  let white: string;
  let near: string;
  beforeAll(async () => {
    [white] = (await makePieces(studio, tarn())).ids as [string];
    [near] = (await makePieces(studio, pitch())).ids as [string];
    firingId = await planFiring(studio, {});
    await studio.must('loading.place', { firingId, pieceIds: [white, near], shelf: 1 });
    await advance(studio, firingId);
    await studio.must('opening.record', recordInput(firingId, [white], sign('blush')));
  });
  const told = async (): Promise<Told | undefined> =>
    fact((await evidenceOf(studio.db, { pieceId: white, firingId, complaint: 'blush' })).told, 'chrome-near');
  const put = (pieceId: string, place: object) =>
    studio.db('placement').where({ piece_id: pieceId }).update(place);
  const says = (traits: string[]) =>
    studio
      .db('coating')
      .where({ slug: 'pitch' })
      .update({ traits: JSON.stringify(traits) });

  test('is not told while no recipe says what is in the load: nobody knows', async () => {
    expect(await told()).toBeUndefined();
  });

  test('is told by what the studio says of the coating: on its shelf, within a hand, or somewhere', async () => {
    await says(['chrome']);
    expect(await told()).toMatchObject({
      value: 'load',
      words: 'it stood on the same shelf',
      href: `/kilns/firings/${firingId}`,
    });
    await put(white, { x_mm: 0, y_mm: 0 });
    await put(near, { x_mm: 90, y_mm: 0 });
    expect(await told()).toMatchObject({ value: 'near', words: 'it stood 9 cm off' });
    await put(near, { x_mm: 300, y_mm: 0 });
    expect(await told()).toMatchObject({ value: 'load', words: 'it stood on the same shelf' });
    await put(near, { shelf: 2 });
    expect(await told()).toMatchObject({ value: 'load', words: 'there was some in the load' });
    await says([]);
  });

  test('is nowhere only where it is known what lies on everything', async () => {
    const material = await studio.db('material').where('name', 'Silica').first();
    const lines = (slug: string) => ({
      coating_version_id: studio.version(slug),
      seq: 1,
      material_id: material.id,
      amount: 100,
      addition: false,
      supply: '',
    });
    await studio.db('recipe_line').insert([lines('tarn'), lines('pitch')]);
    expect((await told())?.value).toBe('none');
    await studio.db('piece').where({ id: near }).update({ key_known: 'lost' });
    expect(await told()).toBeUndefined();
  });
});

test('pieces of another bisque, and of other people: told where there are enough of both', async () => {
  const bisque = await planFiring(studio, { kind: 'bisque', targetCone: '06' });
  const made = await fired(studio, tarn(), { count: 8 });
  const [mine, others] = [made.ids.slice(0, 4), made.ids.slice(4)];
  const raw = (pieceId: string, firingId: string) => ({
    id: v7(),
    firing_id: firingId,
    piece_id: pieceId,
    generation: 0,
    placed_by: studio.technician.id,
    placed_at: new Date(),
  });
  const second = await planFiring(studio, { kind: 'bisque', targetCone: '06' });
  await studio
    .db('placement')
    .insert([...mine.map((id) => raw(id, bisque)), ...others.map((id) => raw(id, second))]);
  await studio.db('piece').whereIn('id', mine).update({ owner_id: studio.student.id });
  await studio.must('opening.record', recordInput(made.firingId, mine, sign('pinhole')));
  const read = async () =>
    (await evidenceOf(studio.db, { pieceId: mine[0]!, firingId: made.firingId, complaint: 'pinhole' })).told;
  await studio.must('opening.record', recordInput(made.firingId, others.slice(0, 2), { surface: 'gloss' }));
  // Two are too few to compare with.
  expect(fact(await read(), 'other-bisque')).toBeUndefined();
  await studio.must('opening.record', recordInput(made.firingId, others.slice(2), { surface: 'gloss' }));
  expect(fact(await read(), 'other-bisque')).toMatchObject({
    value: 'clean',
    words: 'of this bisque 4 of 4, of another 0 of 4',
  });
  expect(fact(await read(), 'hand')).toMatchObject({
    value: 'one',
    words: 'all 4 are of one person; 4 of others are clean',
  });
  // No name is in what is told: a student reads it too.
  expect(JSON.stringify(await read())).not.toContain(studio.student.name);
});

test('the diary of a gas firing: hardly any reduction was late or weak, on the whole load and on a piece', async () => {
  const kiln = await ownKiln(studio, { energy: 'gas', control: 'by hand' });
  const { firingId, at } = await lit(studio, kiln, 12, { atmosphere: 'heavy reduction' });
  const rows = Array.from({ length: 40 }, (_, i) => ({
    firing_id: firingId,
    at: new Date(at.getTime() + i * 900_000),
    celsius: 40 + i * 31,
    source: 'hand',
  }));
  await studio.db('reading').insert(rows);
  const mark = (hours: number, atmosphere: string) => ({
    id: v7(),
    firing_id: firingId,
    at: new Date(at.getTime() + hours * 3_600_000),
    kind: 'atmosphere',
    atmosphere,
    text: '',
    by_person: studio.technician.id,
  });
  await studio.db('firing_entry').insert([mark(7, 'light reduction'), mark(7.2, 'oxidation')]);
  await finish(studio, firingId);
  const told = (await firingEvidence(studio.db, { firingId, complaint: 'celadon' })).told;
  expect(fact(told, 'reduction')).toMatchObject({
    value: 'late',
    words: expect.stringContaining('minutes of heavy reduction on record'),
    href: `/kilns/firings/${firingId}`,
  });
  expect(fact(told, 'air')?.value).toBe('reduction');
  // An electric kiln has no diary of the air to read.
  const electric = await fired(studio, tarn());
  const none = (await firingEvidence(studio.db, { firingId: electric.firingId, complaint: 'celadon' })).told;
  expect(fact(none, 'reduction')).toBeUndefined();
});
