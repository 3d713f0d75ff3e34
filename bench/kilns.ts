/** Kilns: readings of fifty at once, a firing of 100,000 readings, heat work, packing. */
import { v7 } from 'uuid';
import { createFiring, findFiring, setLit } from '../src/data/firings';
import { setHistory } from '../src/data/past-firings';
import { addToken } from '../src/data/kiln-care';
import { insertReadings, keepReadings } from '../src/data/readings';
import { packLoad, UNMEASURED } from '../src/core/load';
import { predictedOrdinal, workOf, type Reading } from '../src/core/heatwork';
import type { Database } from '../src/data/database';
import { clock, median, note, ratio, report, type Bench, type Sized } from './measure';
import { studio, technician } from './studio';
import { firingRoom, ingestRequest } from '../src/features/firelog/server';
import { createKiln, listKilns } from '../src/data/kilns';

const KILN = {
  energy: 'electric',
  control: 'controller',
  volumeL: 100,
  shelves: 3,
  notes: '',
  ...UNMEASURED,
} as const;

/** A kiln with a firing under way, and the token of its device. */
async function hotKiln(db: Database, at: Date): Promise<{ firingId: string; secret: string }> {
  const [kilnId, firingId, secret] = [v7(), v7(), v7()];
  await createKiln(db, kilnId, { ...KILN, name: `Kiln ${kilnId}` });
  const fields = {
    kilnId,
    kind: 'glaze',
    targetCone: '6',
    atmosphere: 'oxidation',
    plannedFor: null,
    notes: '',
  } as const;
  await createFiring(db, firingId, fields, technician.id, at);
  await db('firing').where({ id: firingId }).update({ status: 'firing' });
  await setLit(db, firingId, at);
  await addToken(db, { id: v7(), kilnId, name: 'bench', secret }, technician.id, at);
  return { firingId, secret };
}

/** Many kilns, a reading a second each, for a minute: how long each post takes, and is any lost? */
async function benchIngest(db: Database, sized: Sized): Promise<void> {
  const many = sized(50, 3);
  const seconds = sized(60, 2);
  const lit = new Date(Date.now() - 2 * 3_600_000);
  const kilns = await Promise.all(Array.from({ length: many }, () => hotKiln(db, lit)));
  const times: number[] = [];
  const floorTimes: number[] = [];
  const began = Date.now();
  for (let second = 0; second < seconds; second++) {
    await Promise.all(
      kilns.map(async ({ secret }, i) => {
        // Spread over the second, as kilns do.
        await new Promise((go) => setTimeout(go, Math.max(0, began + second * 1000 + i * 20 - Date.now())));
        const sent = performance.now();
        const one = {
          at: new Date(lit.getTime() + 3_600_000 + second * 1000).toISOString(),
          celsius: 600 + second * 0.04,
        };
        await ingestRequest(db, secret, () => Promise.resolve({ readings: [one] }));
        times.push(performance.now() - sent);
      }),
    );
  }
  const kept = Number(
    (await db('reading')
      .whereIn(
        'firing_id',
        kilns.map(({ firingId }) => firingId),
      )
      .count({ n: '*' })
      .first())!.n,
  );
  for (let i = 0; i < sized(300, 10); i++) {
    const sent = performance.now();
    await keepReadings(
      db,
      kilns[i % many]!.firingId,
      [{ at: new Date(lit.getTime() + i * 1000), celsius: 20, probeMv: null, doubt: null }],
      'device',
      null,
      lit,
    );
    floorTimes.push(performance.now() - sent);
  }
  const sorted = times.sort((a, b) => a - b);
  const p95 = sorted[Math.floor(sorted.length * 0.95)]!;
  note(
    `Ingest of ${many} kilns × 1 reading a second × ${seconds} s: ${many * seconds - kept} lost, p50 ${median([...times]).toFixed(1)} ms, p95 ${p95.toFixed(1)} ms (wanted: none lost, p95 under 50 ms); the bare insert's median is ${median(floorTimes).toFixed(1)} ms`,
  );
}

/** A firing page of 100,000 readings against the SQL that fetches them. */
async function benchRoom(db: Database, sized: Sized): Promise<void> {
  const readings = sized(100_000, 2000);
  const [kilnId, firingId] = [v7(), v7()];
  const name = `Long ${kilnId}`;
  await createKiln(db, kilnId, { ...KILN, name });
  const at = new Date(Date.now() - 30 * 3_600_000);
  await setHistory(
    db,
    {
      id: firingId,
      kilnId,
      kind: 'glaze',
      targetCone: '6',
      atmosphere: 'oxidation',
      plannedFor: null,
      notes: '',
      status: 'firing',
      at,
      writtenUp: false,
    },
    technician.id,
  );
  await insertReadings(
    db,
    Array.from({ length: readings }, (_, i) => ({
      firingId,
      at: new Date(at.getTime() + i * 1000),
      celsius: Math.min(1210, 20 + i * 0.03),
      source: 'device' as const,
    })),
  );
  const kiln = (await listKilns(db)).find((one) => one.name === name)!;
  const firing = (await findFiring(db, firingId))!;
  await ratio(
    `A firing of ${readings} readings, against the SQL for them`,
    1.5,
    sized(9, 2),
    () => firingRoom(db, firing, kiln, { crackAtC: 100, unloadAtC: 40 }),
    () =>
      db('reading').where({ firing_id: firingId }).whereNull('doubt').orderBy('at').select('at', 'celsius'),
  );
}

/** Heat work of a ten-hour log at 1 Hz against the bare loop over it; packing of 80 pieces. */
function benchComputing(sized: Sized): void {
  const rounds = sized(9, 2);
  const log: Reading[] = Array.from({ length: sized(36_000, 600) }, (_, i) => ({
    t: i,
    c: Math.min(1210, 20 + i * 0.034),
  }));
  const bare = (): number => {
    let sum = 0;
    for (let i = 1; i < log.length; i++)
      sum += Math.exp(-80_000 * (1 / (log[i]!.c + 273.15) - 1 / 1495)) * (log[i]!.t - log[i - 1]!.t);
    return sum;
  };
  predictedOrdinal(log);
  const times = Array.from({ length: rounds }, () => [
    clock(() => workOf('6', log)),
    clock(() => predictedOrdinal(log)),
    clock(bare),
  ]);
  const of = (i: number): number => median(times.map((round) => round[i]!));
  report('Heat work of one cone over ten hours at 1 Hz, against a bare loop', null, of(0), of(2));
  report('The cone of ten hours at 1 Hz, several cones’ work, against a bare loop', null, of(1), of(2));
  const pieces = Array.from({ length: 80 }, (_, i) => ({
    id: `p${i}`,
    footprint: {
      round: i % 3 !== 0,
      widthMm: 50 + ((i * 37) % 90),
      depthMm: i % 3 === 0 ? 50 : 50 + ((i * 37) % 90),
      heightMm: 40 + ((i * 53) % 160),
    },
  }));
  const shelf = { shape: 'rectangle', widthMm: 480, depthMm: 480 } as const;
  const packing = median(Array.from({ length: rounds }, () => clock(() => packLoad(pieces, shelf, 5, 900))));
  note(`Packing 80 pieces on 5 shelves: ${packing.toFixed(1)} ms (wanted: under 1000 ms)`);
}

export const benchKilns: Bench = async (server, sized) => {
  benchComputing(sized);
  const db = await studio(server, 'bench_kilns');
  await benchRoom(db, sized);
  await benchIngest(db, sized);
  await db.destroy();
};
