import { v7 } from 'uuid';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import { loadPieces } from '@/data/pieces';
import { circumstances } from '@/core/standing';
import {
  advance,
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  seen,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const WHOLE = { from: 0, to: 1 };
const input = (rest: object = {}, firing: object = {}) => ({
  pieceId: v7(),
  observationId: v7(),
  body: { id: studio.body, name: 'Peat' },
  form: 'L tile',
  mark: '',
  coats: [{ coating: { id: null, name: 'Tarn' }, coats: 2, stretch: WHOLE }],
  firing: {
    id: null,
    kilnId: null,
    on: null,
    cone: '6',
    shown: false,
    atmosphere: 'oxidation',
    ...firing,
  },
  seen: seen({ surface: 'gloss', signs: [{ sign: 'crazing', severity: 1, wanted: false }] }),
  ...rest,
});
type Answer = { code: string; firingId: string; chart: string | null };
const hold = (rest: object = {}, firing: object = {}) =>
  studio.must<Answer>('opening.in-hand', input(rest, firing));
const cells = () => studio.db('cell').select('stack_key', 'cone', 'standing', 'pieces', 'firings', 'surface');

test('a tile off the board is on the chart in one act; its cone was meant, not shown', async () => {
  const { code, chart, firingId } = await hold();
  const asked = new URL(chart!, 'http://studio').searchParams;
  expect(Object.fromEntries(asked)).toMatchObject({ body: 'peat', cone: '?6', at: 'tarn/' });
  expect(await cells()).toEqual([
    {
      stack_key: 'tarn#1 dip×2',
      cone: '?6',
      standing: 'once',
      pieces: 1,
      firings: 1,
      surface: 'gloss',
    },
  ]);
  const [piece] = await loadPieces(studio.db, { codes: [code] });
  // It waits for nothing more: it was fired and seen.
  expect(piece).toMatchObject({ waitingFor: null, keyKnown: 'sure' });
  const firing = await studio.db('firing').where({ id: firingId }).first();
  expect(firing).toMatchObject({ unrecorded: 1, status: 'opened' });
});

test('tiles of one unknown firing are no evidence of two: they share one', async () => {
  const [a, b, c] = [await hold(), await hold(), await hold({}, { cone: '9' })];
  expect(a.firingId).toBe(b.firingId);
  expect(c.firingId).not.toBe(a.firingId);
  // The same cone, but shown: that is another thing to know.
  const shown = await hold({}, { shown: true });
  expect(shown.firingId).not.toBe(a.firingId);
  expect(new URL(shown.chart!, 'http://studio').searchParams.get('cone')).toBe('6');
  const meant = (await cells()).find(({ cone }) => cone === '?6')!;
  expect(meant).toMatchObject({ pieces: 3, firings: 1, standing: 'repeated' });
});

test('which kiln it was is unknown, and is never taken for a circumstance', async () => {
  const { firingId } = await hold();
  const row = await studio.db('sighting').where({ firing_id: firingId }).first('variables');
  expect(row.variables).not.toHaveProperty('kiln');
  expect(row.variables).toHaveProperty('firing');
  const known = { firing: 'a', kind: 'glaze', shelf: null, setting: 'unknown', generation: 1 };
  expect(circumstances({ ...known, kiln: 'Marta', form: 'mug', lot: null, layers: [] }).kiln).toBe('Marta');
  const kilns = await studio.db('kiln').where({ nobody_knows: true });
  expect(kilns).toHaveLength(1);
  expect(kilns[0].archived_at).not.toBeNull();
});

test('a body and a coating the store lacks come with the tile; known names are not doubled', async () => {
  const before = [(await listBodies(studio.db)).length, (await listCoatings(studio.db)).length];
  const coat = (name: string, stretch = WHOLE) => ({
    coating: { id: null, name },
    coats: 1,
    stretch,
  });
  await hold({
    body: { id: null, name: ' Loft ' },
    coats: [coat('Ash Lane', { from: 0, to: 2 / 3 }), coat('pitch', { from: 1 / 3, to: 1 })],
  });
  await hold({ body: { id: null, name: 'loft' }, coats: [coat('ash lane')] });
  const after = [(await listBodies(studio.db)).length, (await listCoatings(studio.db)).length];
  expect(after).toEqual([before[0]! + 1, before[1]! + 1]);
  const loft = await studio
    .db('cell')
    .join('body', 'body.id', 'cell.body_id')
    .where('body.slug', 'loft')
    .pluck('stack_key');
  expect(loft.sort()).toEqual(['ash-lane#1 dip×1', 'ash-lane#1 dip×1 + pitch#1 dip×1', 'pitch#1 dip×1']);
});

test('what nobody knows lies on it is not bare: it stands in no cell until somebody says', async () => {
  const { code, chart } = await hold({ coats: null, body: { id: null, name: 'Wharf' } });
  expect(chart).toBeNull();
  const [piece] = await loadPieces(studio.db, { codes: [code] });
  const stands = () => studio.db('sighting').where({ piece_id: piece!.id });
  expect(await stands()).toEqual([]);
  const { before } = await studio.must<{ before: object }>('pieces.put-right', {
    changes: [{ pieceIds: [piece!.id], to: { layers: [layer(studio.version('pitch'))] } }],
  });
  expect(await stands()).toHaveLength(1);
  await studio.must('pieces.put-back', { changes: before });
  expect(await stands()).toEqual([]);
  expect((await loadPieces(studio.db, { codes: [code] }))[0]!.keyKnown).toBe('lost');
});

test('a repeat makes no second piece; nonsense is refused beside its field; students may not', async () => {
  const id = v7();
  const taken = input();
  const first = await studio.act<Answer>('opening.in-hand', taken, studio.technician, id);
  const second = await studio.act<Answer>('opening.in-hand', taken, studio.technician, id);
  expect(second).toEqual(first);
  expect(await studio.act('opening.in-hand', input({}, { cone: '47' }))).toMatchObject({
    ok: false,
    problem: { code: 'invalid', fields: { 'firing.cone': expect.any(String) } },
  });
  expect(await studio.act('opening.in-hand', input({ body: { id: null, name: '' } }))).toMatchObject({
    ok: false,
    problem: { message: 'Choose one, or give a name.' },
  });
  expect(await studio.act('opening.in-hand', input(), studio.student)).toMatchObject({ ok: false });
  const planned = await planFiring(studio);
  expect(await studio.act('opening.in-hand', input({}, { id: planned }))).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('nothing came out of it yet') },
  });
});

test('a pot that was in the kiln and on no list joins, and leaves again while nothing is said of it', async () => {
  const { firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const { ids, codes } = await makePieces(studio, [layer(studio.version('pitch'))]);
  const { placementIds } = await studio.must<{ placementIds: string[] }>('opening.join', {
    firingId,
    code: codes[0],
  });
  const [joined] = await loadPieces(studio.db, { ids });
  expect(joined!.waitingFor).not.toBe('glaze');
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'matt' }));
  expect(await studio.act('loading.take-out', { firingId, placementIds })).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('written up') },
  });
  const [look] = await studio.db('observation').where({ piece_id: ids[0] }).pluck('id');
  await studio.must('opening.withdraw', { observationIds: [look] });
  await studio.must('loading.take-out', { firingId, placementIds });
  expect((await loadPieces(studio.db, { ids }))[0]!.waitingFor).toBe('glaze');
  expect(await studio.db('placement').where({ piece_id: ids[0] })).toEqual([]);
  // It cannot have been in two kilns at once, and an unknown code is said.
  const other = await planFiring(studio);
  await studio.must('loading.place', { firingId: other, pieceIds: ids, shelf: null });
  await advance(studio, other, 'loaded');
  for (const code of [codes[0], 'ZZZZZ'])
    expect(await studio.act('opening.join', { firingId, code })).toMatchObject({ ok: false });
});
