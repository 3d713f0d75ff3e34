/** Cautions go wherever a stack is shown: opening, zoom, share link. */
import { firedCautions, HAZARDS } from '@/core/chemistry';
import { zoomHere } from '@/features/chart/server';
import { questionStudio } from '../../../test-support/questions';
import {
  advance,
  layer,
  makePieces,
  planFiring,
  recordInput,
  type TestStudio,
} from '../../../test-support/studio';
import { cautionsOf, coatsOn } from '@/data/cautions';
import { listFirings } from '@/data/firings';
import { loadPieces } from '@/data/pieces';
import { openingRoom } from './queries';

let studio: TestStudio;
beforeAll(async () => {
  const room = await questionStudio();
  studio = room.studio;
  await room.write('tarn', [
    ['Potash feldspar', 60],
    ['Silica', 38],
    ['Copper carbonate', 2],
  ]);
  await studio.db('coating').where({ slug: 'pitch' }).update({ cautions: 'Runs off a rim.' });
});
afterAll(() => studio.db.destroy());

const HOLDS = `Holds copper carbonate (Tarn). ${HAZARDS['not on food ware']}`;

test('by coat and version; a coating that nobody knows has none', async () => {
  const coats = [
    { slug: 'tarn', version: 1 },
    { slug: 'ghost', version: 1 },
  ];
  const known = await cautionsOf(studio.db, coats);
  expect(firedCautions(coats.flatMap(known))).toEqual([HOLDS]);
  expect(known({ slug: 'tarn', version: 9 })).toEqual([]);
  expect((await cautionsOf(studio.db, []))({ slug: 'tarn', version: 1 })).toEqual([]);
});

test('opening says what is on the piece in hand; the zoom what is on the cell, and not besides it', async () => {
  const { ids } = await makePieces(studio, [
    layer(studio.version('pitch'), 0, 2 / 3),
    layer(studio.version('tarn'), 1 / 3, 1),
  ]);
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  const [firing] = await listFirings(studio.db, { ids: [firingId] });
  const { pieces } = await openingRoom(studio.db, firing!);
  expect(pieces[0]!.cautions).toEqual(['Pitch: Runs off a rim.', HOLDS]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  const [piece] = await loadPieces(studio.db, { ids });
  expect(coatsOn({ faces: piece!.faces, layers: piece!.done }).map(({ slug }) => slug)).toEqual([
    'pitch',
    'tarn',
  ]);
  const cell = (await studio
    .db('cell')
    .where('stack_key', 'like', '%tarn%')
    .where('stack_key', 'like', 'pitch%')
    .first('id')) as { id: string };
  const board = {
    body: (await studio.db('body').where({ id: studio.body }).first('slug')).slug as string,
    cone: firing!.coneBand,
    atmosphere: firing!.atmosphere,
    slips: '',
  };
  const both = await zoomHere(studio.db, board, { cell: cell.id });
  expect(both.cautions).toEqual(['Pitch: Runs off a rim.', HOLDS]);
  const alone = await zoomHere(studio.db, board, { base: 'pitch', over: null });
  expect(alone.pieces.length).toBeGreaterThan(0);
  expect(alone.cautions).toEqual(['Pitch: Runs off a rim.']);
});
