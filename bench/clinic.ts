import { COMPLAINTS, diagnose } from '../src/core/diagnosis';
import type { Row } from '../src/data/database';
import { evidenceOf } from '../src/features/clinic/evidence';
import { readRates } from '../src/features/clinic/rates';
import { clock, median, note, ratio, type Bench } from './measure';
import { bring, csv, studio } from './studio';

/**
 * A ranking, which has to follow a touch; the evidence of a piece and what goes with a fault in a studio of
 * 50,000.
 */
export const benchClinic: Bench = async (server, sized) => {
  const rounds = sized(20, 2);
  const pieces = sized(50_000, 700);
  const facts = { thickness: 'worse-thick', heat: 'upper', bisque: 'fast' };
  const each = COMPLAINTS.map(({ id }) => {
    const one = { findings: [{ sign: id }], facts };
    diagnose(one);
    return median(Array.from({ length: rounds }, () => clock(() => diagnose(one))));
  });
  const two = { findings: [{ sign: 'pinhole' }, { sign: 'crawling' }], facts };
  const both = median(Array.from({ length: rounds }, () => clock(() => diagnose(two))));
  note(
    `A ranking with what to ask and try: median ${median([...each]).toFixed(1)} ms, worst complaint ${Math.max(...each).toFixed(1)} ms, two complaints ${both.toFixed(1)} ms (wanted: under 5)`,
  );
  const db = await studio(server, 'bench_clinic');
  await bring(db, csv(pieces));
  const pairs = (await db('sighting').limit(200).select('piece_id', 'firing_id', 'cell_id')) as Row[];
  const at = (i: number): Row => pairs[Math.abs(i) % pairs.length]!;
  await ratio(
    `Evidence of one piece of ${pieces}, against the SQL for its rows`,
    3,
    sized(40, 2),
    (i) => evidenceOf(db, { pieceId: at(i).piece_id, firingId: at(i).firing_id, complaint: 'pit' }),
    // The floor: the rows that it is made of, read bare.
    async (i) => {
      const of = at(i);
      const cell = (await db('cell').where({ id: of.cell_id }).first()) as Row;
      const columns = ['sighting.signs', 'sighting.piece_id', 'cell.stack_key', 'cell.body_id'];
      const seen = () => db('sighting').join('cell', 'cell.id', 'sighting.cell_id').select(columns);
      await Promise.all([
        db('piece').where({ id: of.piece_id }),
        db('face').where({ piece_id: of.piece_id }),
        db('layer').where({ piece_id: of.piece_id }),
        db('flag').where({ piece_id: of.piece_id }),
        db('firing').where({ id: of.firing_id }),
        db('observation').where({ piece_id: of.piece_id }),
        db('placement').where({ piece_id: of.piece_id }),
        seen().where('sighting.firing_id', of.firing_id),
        seen()
          .whereIn('cell.id', db('cell_coat').where({ slug: cell.base_slug }).select('cell_id'))
          .limit(4000),
        seen()
          .where({ 'cell.body_id': cell.body_id, 'cell.cone': cell.cone })
          .whereRaw('JSON_CONTAINS(sighting.signs, ?)', ['{"sign":"pit","wanted":false}'])
          .limit(4000),
      ]);
    },
  );
  const sign = JSON.stringify({ sign: 'pit', wanted: false });
  await ratio(
    `What goes with a fault, over ${pieces} pieces, against one scan`,
    2,
    sized(8, 2),
    // Not the kept answer: what it costs when something was written.
    () => readRates(db, 'pit', {}),
    // The floor: one scan of what was seen, with the fault looked for in each.
    () =>
      db('sighting')
        .join('cell', 'cell.id', 'sighting.cell_id')
        .groupBy('sighting.cell_id', 'sighting.firing_id')
        .select('sighting.cell_id', 'sighting.firing_id')
        .select(db.raw('COUNT(*) AS n, SUM(JSON_CONTAINS(sighting.signs, ?)) AS shown', [sign])),
  );
  await db.destroy();
};
