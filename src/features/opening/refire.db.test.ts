import { v7 } from 'uuid';
import { findFiring } from '@/data/firings';
import { waitingGroups } from '@/data/journey';
import { loadPieces } from '@/data/pieces';
import { loadOf } from '../loading/server';
import { openingRoom } from './queries';
import {
  advance,
  fired,
  layer,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const REFIRE = { why: 'pinholes', todo: 'another coat', cone: '5½', atmosphere: null };
const PINHOLES = { sign: 'pinhole', severity: 2, wanted: false };

const room = async (firingId: string) => openingRoom(studio.db, (await findFiring(studio.db, firingId))!);

test('a refire waits for what it is for, its opening shows the piece before, and undo takes it all back', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const look = recordInput(firingId, ids, {
    surface: 'gloss',
    verdict: 'refire',
    refire: REFIRE,
    signs: [PINHOLES],
  });
  await studio.must('opening.record', look);
  const piece = async () => (await loadPieces(studio.db, { ids }))[0]!;
  expect(await piece()).toMatchObject({
    waitingFor: 'refire',
    wantedCone: '6',
    wantedNext: { cone: '5.5', atmosphere: 'oxidation' },
    refireTodo: 'another coat',
  });
  // Bench and queue gather it by that cone, and a firing at it suits: not the one it was made for.
  expect(await waitingGroups(studio.db, new Date())).toEqual([
    expect.objectContaining({ waitsFor: 'refire', cone: '5.5', count: 1 }),
  ]);
  const suited = async (targetCone: string): Promise<boolean | undefined> => {
    const id = await planFiring(studio, { kind: 'refire', targetCone });
    const { waiting } = await loadOf(studio.db, (await findFiring(studio.db, id))!);
    return waiting.find((one) => one.id === ids[0])?.suits;
  };
  expect([await suited('5.5'), await suited('6')]).toEqual([true, false]);

  // A coat for it is no deviation of the first, here nor at the first opening.
  await studio.must('pieces.correct-layers', {
    pieceIds: ids,
    layers: [
      layer(studio.version('tarn')),
      layer(studio.version('pitch'), 0, 1, { generation: 2, stage: 'glaze-fired' }),
    ],
  });
  const again = await planFiring(studio, { kind: 'refire', targetCone: '5.5' });
  await studio.must('loading.place', { firingId: again, pieceIds: ids, shelf: 1 });
  await advance(studio, again, 'opened');
  const [now] = (await room(again)).pieces;
  expect(now).toMatchObject({
    generation: 2,
    otherwise: [],
    before: {
      surface: 'gloss',
      signs: [PINHOLES],
      refire: { why: 'pinholes', todo: 'another coat', cone: '5.5' },
    },
  });
  expect((await room(firingId)).pieces[0]).toMatchObject({ before: null, otherwise: [] });

  // Healed is said in a look that found nothing: it went over the surface all the same.
  await studio.must('opening.record', recordInput(again, ids, { healed: ['pinhole'] }));
  const [sighting] = await studio
    .db('sighting')
    .where({ piece_id: ids[0], firing_id: again })
    .select('signs');
  expect(sighting.signs).toEqual([]);
  const [kept] = await studio.db('observation').where({ firing_id: again }).select('healed');
  expect(kept.healed).toEqual(['pinhole']);
});

test('taking the look back takes the intention with it; another verdict ends it', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const look = recordInput(firingId, ids, { verdict: 'refire', refire: REFIRE });
  await studio.must('opening.record', look);
  const next = async () => {
    const [piece] = await loadPieces(studio.db, { ids });
    return [piece!.waitingFor, piece!.wantedNext.cone, piece!.refireTodo];
  };
  expect(await next()).toEqual(['refire', '5.5', 'another coat']);
  await studio.must('opening.withdraw', {
    observationIds: look.pieces.map(({ observationId }) => observationId),
  });
  expect(await next()).toEqual([null, '6', '']);
  await studio.must('opening.record', {
    ...look,
    pieces: ids.map((pieceId) => ({ pieceId, observationId: v7(), corrects: null })),
  });
  await studio.must('opening.record', recordInput(firingId, ids, { verdict: 'keep' }));
  expect(await next()).toEqual([null, '6', '']);
});

test('a cone that is none is refused beside its field; an intention without the verdict is not kept', async () => {
  const { ids, firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const answer = await studio.act(
    'opening.record',
    recordInput(firingId, ids, { verdict: 'refire', refire: { ...REFIRE, cone: '77' } }),
  );
  expect(answer).toMatchObject({
    ok: false,
    problem: { fields: { 'seen.refire.cone': expect.any(String) } },
  });
  await studio.must('opening.record', recordInput(firingId, ids, { verdict: 'keep', refire: REFIRE }));
  const [row] = await studio.db('observation').where({ firing_id: firingId });
  expect(row.refire_why).toBeNull();
});
