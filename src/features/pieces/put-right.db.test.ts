import { v7 } from 'uuid';
import { createBody } from '@/data/bodies';
import { loadPieces } from '@/data/pieces';
import type { PutRight } from './contracts';
import {
  fired,
  layer,
  makePieces,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const cellsOf = async (pieceId: string): Promise<string[]> =>
  (
    await studio
      .db('sighting')
      .join('cell', 'cell.id', 'sighting.cell_id')
      .where('sighting.piece_id', pieceId)
      .select('cell.body_id')
  ).map((row) => row.body_id as string);

test('ten mugs that were glazed otherwise: one act, what was meant stays, and undo', async () => {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'), 0, 1)], { count: 10 });
  const [right] = (await makePieces(studio, [layer(studio.version('tarn'), 0, 1)])).ids;
  const { before } = await studio.must<{ before: PutRight['changes'] }>('pieces.put-right', {
    changes: [{ pieceIds: ids, to: { layersLike: right!, form: 'mug', wantedCone: '5' } }],
  });
  const now = await loadPieces(studio.db, { ids });
  for (const piece of now) {
    expect(piece).toMatchObject({ form: 'mug', kind: 'ware', wantedCone: '5' });
    // Tile faces do not stay on ware, which has surfaces.
    expect(piece.faces.map(({ kind, surface }) => [kind, surface])).toEqual([
      ['bare', 'outside'],
      ['bare', 'inside'],
      ['bare', 'rim'],
      ['bare', 'foot'],
    ]);
    expect(piece.done.map(({ coat }) => coat.slug)).toEqual(['tarn']);
    expect(piece.meant.map(({ coat }) => coat.slug)).toEqual(['pitch']);
  }
  await studio.must('pieces.put-back', { changes: before });
  const back = await loadPieces(studio.db, { ids });
  for (const piece of back) {
    expect(piece.done.map(({ coat }) => coat.slug)).toEqual(['pitch']);
    expect(piece.form).not.toBe('mug');
    expect(piece.wantedCone).not.toBe('5');
  }
});

test('a series of marks goes on in one act, in order', async () => {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'), 0, 1)], { count: 3 });
  await studio.must('pieces.put-right', {
    changes: ids.map((id, i) => ({ pieceIds: [id], to: { mark: `M${i + 1}` } })),
  });
  const marks = new Map((await loadPieces(studio.db, { ids })).map(({ id, mark }) => [id, mark]));
  expect(ids.map((id) => marks.get(id))).toEqual(['M1', 'M2', 'M3']);
});

test('a body put right moves what was seen to its own cells, and back', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('pitch'), 0, 1)]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  const [piece] = await loadPieces(studio.db, { ids });
  const other = { id: v7() };
  await createBody(studio.db, other.id, {
    name: 'Chalk',
    kind: 'stoneware',
    coneLow: '4',
    coneHigh: '7',
    ground: 'light',
    ironBearing: false,
    colour: '#eeeeee',
    notes: '',
    cautions: '',
    traits: [],
  });
  expect(new Set(await cellsOf(ids[0]!))).toEqual(new Set([piece!.bodyId]));
  const { before } = await studio.must<{ before: PutRight['changes'] }>('pieces.put-right', {
    changes: [{ pieceIds: ids, to: { bodyId: other.id } }],
  });
  expect(new Set(await cellsOf(ids[0]!))).toEqual(new Set([other.id]));
  await studio.must('pieces.put-back', { changes: before });
  expect(new Set(await cellsOf(ids[0]!))).toEqual(new Set([piece!.bodyId]));
});

test('a face that bears a layer is not taken away; a body that is none is refused', async () => {
  const onTwo = layer(studio.version('pitch'), 0, 1);
  const { ids } = await makePieces(studio, [
    { ...onTwo, region: { ...(onTwo as { region: object }).region, face: 2 } },
  ]);
  const answer = await studio.act('pieces.put-right', {
    changes: [{ pieceIds: ids, to: { faces: [{ no: 1, kind: 'bare', slipVersionId: null }] } }],
  });
  expect(answer.ok ? '' : answer.problem.message).toMatch(/layer on face 2/);
  const none = await studio.act('pieces.put-right', {
    changes: [{ pieceIds: ids, to: { bodyId: ids[0] } }],
  });
  expect(none.ok).toBe(false);
});
