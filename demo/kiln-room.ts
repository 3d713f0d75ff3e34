/**
 * What the kiln room left behind: looks that are due, where things lie, and six cups that nobody registered.
 */
import { facesOfForm } from '../src/core/designs';
import { dayAfter } from '../src/core/looks';
import { NOWHERE } from '../src/core/load';
import { transact, type Database } from '../src/data/database';
import { refreshCells } from '../src/data/cells';
import { listFirings } from '../src/data/firings';
import { setCollectFrom } from '../src/data/handing';
import { appendObservations } from '../src/data/observations';
import { unrecordedFiring } from '../src/data/past-firings';
import { createLot, createPieces } from '../src/data/pieces';
import { listPlacements, place } from '../src/data/placements';
import { askAgain } from '../src/data/second-looks';
import { settleJourneys } from '../src/data/journey';
import { Random } from './random';

const DAY = 86_400_000;
/** So many pieces of a load are to be looked at again after a week. */
const LOOKED_AT_AGAIN = 5;
const SURFACES = ['gloss', 'satin', 'gloss', 'matt', 'gloss', 'satin'] as const;

/** Cups that nobody registered. */
export const NOBODY_REGISTERED = SURFACES.length;

export async function writeKilnRoom(db: Database, now: Date): Promise<void> {
  const random = new Random(37);
  const iben = (await db('person').where({ login: 'iben' }).first('id')).id as string;
  await transact(db, async (trx) => {
    const opened = await listFirings(trx, { statuses: ['opened'], limit: 60 });
    const weekOld = opened.find(
      ({ kind, openedAt, writtenUpAt }) =>
        kind === 'glaze' &&
        writtenUpAt !== null &&
        openedAt !== null &&
        now.getTime() - openedAt.getTime() > 8 * DAY,
    );
    if (weekOld !== undefined) {
      await setCollectFrom(trx, weekOld.id, 'the low rack by the kiln room door');
      const held = await listPlacements(trx, { firingId: weekOld.id });
      await askAgain(
        trx,
        {
          firingId: weekOld.id,
          pieceIds: held.slice(0, LOOKED_AT_AGAIN).map(({ pieceId }) => pieceId),
          days: 7,
          // Due since yesterday, however long ago the kiln was opened.
          opened: dayAfter(now.toISOString().slice(0, 10), -8),
        },
        iben,
        now,
      );
    }
    const body = await trx('body').whereNull('archived_at').orderBy('name').first('id');
    const kiln = await trx('kiln')
      .where({ nobody_knows: false })
      .whereNull('archived_at')
      .orderBy('name')
      .first('id');
    const day = new Date(now.getTime() - 3 * DAY);
    const firingId = await unrecordedFiring(
      trx,
      {
        kilnId: kiln.id,
        on: day.toISOString().slice(0, 10),
        cone: '6',
        shown: false,
        atmosphere: 'oxidation',
      },
      iben,
      day,
    );
    const lotId = random.id(day);
    await createLot(trx, { id: lotId, kind: 'alike', name: 'Out of the kiln: 6 × mug' }, iben, day);
    const pieceIds = SURFACES.map(() => random.id(day));
    await createPieces(
      trx,
      pieceIds.map((id, i) => ({
        id,
        mark: String(i + 1),
        kind: 'ware' as const,
        bodyId: body.id,
        form: 'mug',
        heightMm: null,
        lotId,
        ownerId: null,
        madeOn: null,
        notes: '',
        madeFor: 'glaze' as const,
        been: [{ kind: 'glaze' as const, status: 'opened' as const, order: 0, verdict: null, refire: null }],
        wantedCone: null,
        wantedAtmosphere: null,
        faces: facesOfForm('mug').map((face) => ({ ...face, slipVersionId: null })),
        meant: [],
        done: [],
        keyKnown: 'lost' as const,
      })),
      iben,
      day,
    );
    await place(
      trx,
      pieceIds.map((pieceId) => ({
        id: random.id(day),
        firingId,
        pieceId,
        shelf: null,
        position: '',
        setting: 'unknown' as const,
        generation: 1,
        open: false,
        late: true,
        ...NOWHERE,
      })),
      iben,
      day,
    );
    await appendObservations(
      trx,
      pieceIds.map((pieceId, i) => ({
        id: random.id(day),
        pieceId,
        firingId,
        zone: null,
        seenAt: day,
        place: 'kiln' as const,
        surface: SURFACES[i]!,
        opacity: null,
        colour: null,
        movementMm: null,
        met: null,
        rating: null,
        verdict: 'study' as const,
        note: '',
        signs:
          i === 2
            ? [
                {
                  sign: 'pit',
                  severity: 1 as const,
                  wanted: false,
                  points: [{ face: 1, sha: null, x: 0.4, y: 0.1 }],
                },
              ]
            : [],
      })),
      iben,
      day,
    );
    await refreshCells(
      trx,
      pieceIds.map((pieceId) => ({ pieceId, firingId })),
    );
    await settleJourneys(trx, pieceIds);
  });
}
