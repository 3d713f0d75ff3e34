/** Kilns: readings of fifty at once, a firing of 100,000 readings, heat work, packing. */
import { v7 } from 'uuid';
import { createFiring, findFiring, setLit } from '../src/data/firings';
import { setHistory } from '../src/data/past-firings';
import { addToken } from '../src/data/kiln-care';
import { insertReadings, keepReadings } from '../src/data/readings';
import { packLoad, UNMEASURED } from '../src/core/load';
import { predictedOrdinal, workOf, type Reading } from '../src/core/heatwork';
import type { Database } from '../src/data/database';
import type { Reached } from '../src/keeper/server';
import { clock, median, ratio, report } from './measure';
import { studio, technician } from './studio';
import { firingRoom, ingestRequest } from '../src/features/firelog/server';
import { createKiln, listKilns } from '../src/data/kilns';

const KILNS = 50;
const SECONDS = 60;
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

/** Fifty kilns, a reading a second each, for a minute: how long each post takes, and is any lost? */
async function benchIngest(db: Database): Promise<void> {
  const lit = new Date(Date.now() - 2 * 3_600_000);
  const kilns = await Promise.all(Array.from({ length: KILNS }, () => hotKiln(db, lit)));
  const times: number[] = [];
  const floorTimes: number[] = [];
  const began = Date.now();
  for (let second = 0; second < SECONDS; second++) {
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
  for (let i = 0; i < 300; i++) {
    const sent = performance.now();
    await keepReadings(
      db,
      kilns[i % KILNS]!.firingId,
      [{ at: new Date(lit.getTime() + i * 1000), celsius: 20, probeMv: null, doubt: null }],
      'device',
      null,
      lit,
    );
    floorTimes.push(performance.now() - sent);
  }
  const sorted = times.sort((a, b) => a - b);
  const p95 = sorted[Math.floor(sorted.length * 0.95)]!;
  console.log(
    `Ingest of ${KILNS} kilns × 1 reading a second × ${SECONDS} s: ${KILNS * SECONDS - kept} lost, p50 ${median([...times]).toFixed(1)} ms, p95 ${p95.toFixed(1)} ms (wanted: none lost, p95 under 50 ms); the bare insert's median is ${median(floorTimes).toFixed(1)} ms`,
  );
}

/** A firing page of 100,000 readings against the SQL that fetches them. */
async function benchRoom(db: Database): Promise<void> {
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
    Array.from({ length: 100_000 }, (_, i) => ({
      firingId,
      at: new Date(at.getTime() + i * 1000),
      celsius: Math.min(1210, 20 + i * 0.03),
      source: 'device' as const,
    })),
  );
  const kiln = (await listKilns(db)).find((one) => one.name === name)!;
  const firing = (await findFiring(db, firingId))!;
  await ratio(
    'A firing of 100,000 readings',
    2,
    9,
    () => firingRoom(db, firing, kiln, { crackAtC: 100, unloadAtC: 40 }),
    () =>
      db('reading').where({ firing_id: firingId }).whereNull('doubt').orderBy('at').select('at', 'celsius'),
  );
}

/** Heat work of a ten-hour log at 1 Hz against the bare loop over it; packing of 80 pieces. */
function benchComputing(): void {
  const log: Reading[] = Array.from({ length: 36_000 }, (_, i) => ({
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
  const rounds = Array.from({ length: 9 }, () => [
    clock(() => workOf('6', log)),
    clock(() => predictedOrdinal(log)),
    clock(bare),
  ]);
  const of = (i: number): number => median(rounds.map((round) => round[i]!));
  report('Heat work of one cone over ten hours at 1 Hz', 0, of(0), of(2));
  report('The cone of ten hours at 1 Hz', 0, of(1), of(2));
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
  const packing = median(Array.from({ length: 9 }, () => clock(() => packLoad(pieces, shelf, 5, 900))));
  console.log(`Packing 80 pieces on 5 shelves: ${packing.toFixed(1)} ms (wanted: under 1000 ms)`);
}

export async function benchKilns(server: Reached): Promise<void> {
  benchComputing();
  const db = await studio(server, 'bench_kilns');
  await benchRoom(db);
  await benchIngest(db);
  await db.destroy();
}
