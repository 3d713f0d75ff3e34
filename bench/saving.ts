import { v7 } from 'uuid';
import { OPERATIONS } from '../src/app/operations';
import { transact, type Row } from '../src/data/database';
import { perform } from '../src/platform/operation';
import { ratio, type Bench } from './measure';
import { bring, csv, studio, technician, writable } from './studio';

/** One look written down, in a studio of 20,000 pieces, against the bare transaction. */
export const benchSaving: Bench = async (server, sized) => {
  const rounds = sized(60, 2);
  const db = await studio(server, 'bench_saving');
  await bring(db, csv(sized(20_000, 700)));
  const placed: Row[] = await db('placement')
    .limit(2 * rounds + 8)
    .select('piece_id', 'firing_id');
  const seen = {
    surface: 'gloss',
    opacity: null,
    colour: null,
    movementMm: 1,
    met: null,
    rating: 4,
    verdict: 'study',
    note: '',
    signs: [],
  };
  await ratio(
    'Saving one observation',
    1.8,
    rounds,
    async (i) => {
      const { piece_id: pieceId, firing_id: firingId } = placed[i + 2]!;
      const answer = await perform(
        db,
        OPERATIONS.get('opening.record')!,
        {
          id: v7(),
          input: {
            firingId,
            zone: null,
            seen,
            pieces: [{ pieceId, observationId: v7(), corrects: null }],
          },
        },
        technician,
      );
      if (!answer.ok) throw new Error(answer.problem.message);
    },
    (i) =>
      transact(db, async (trx) => {
        // The floor: the same writes by hand, with nothing read and nothing computed.
        const { piece_id: pieceId, firing_id: firingId } = placed[i + rounds + 4]!;
        await trx('observation').insert({
          id: v7(),
          piece_id: pieceId,
          firing_id: firingId,
          seen_at: new Date(),
          arrived_at: new Date(),
          seen_by: technician.id,
          surface: 'gloss',
          movement_mm: 1,
          rating: 4,
          verdict: 'study',
          note: '',
        });
        const own = (await trx('sighting').where({ piece_id: pieceId, firing_id: firingId }))[0] as Row;
        await trx('sighting').where({ piece_id: pieceId, firing_id: firingId }).delete();
        await trx('sighting').insert(writable(own));
        await trx('cell').where({ id: own.cell_id }).update({ rating: 4, movement_mm: 1 });
        await trx('operation').insert({
          id: v7(),
          name: 'bench',
          person_id: technician.id,
          at: new Date(),
          result: 'null',
        });
      }),
  );
  await db.destroy();
};
