/** Firings of the demo: their loads, logs and diaries. */
import { insertMany, type Transaction } from '../src/data/database';
import { setHistory } from '../src/data/past-firings';
import { place } from '../src/data/placements';
import { followCones } from '../src/data/witnesses';
import { footprintOf, NOWHERE, packLoad, shelfOf } from '../src/core/load';
import { addEntry, setRun } from '../src/data/firing-log';
import { addUpkeep } from '../src/data/kiln-care';
import { insertReadings } from '../src/data/readings';
import { createSchedule } from '../src/data/schedules';
import { keepLesson } from '../src/features/kilns/server';
import { demoLog, SCHEDULES, UPKEEP } from './logs';
import { Random } from './random';
import { KILNS } from './studio';
import { type Ids } from './load';
import { type DemoFiring, type DemoHistory } from './history-terms';

/** What is in a kiln now is drawn on its shelves; of the past only the shelf is known. */
function shelfPlan(firing: DemoFiring): Pick<ReturnType<typeof packLoad>, 'spots' | 'turned'> {
  const kiln = KILNS.find(({ name }) => name.toLowerCase() === firing.kiln)!;
  const shelf = shelfOf(kiln);
  if (shelf === null || (firing.status === 'opened' && firing.writtenUp) || firing.kind === 'bisque')
    return { spots: new Map(), turned: new Set() };
  return packLoad(
    firing.pieces.map(({ piece }) => ({
      id: piece.id,
      footprint: footprintOf(piece.spec.form, piece.spec.heightMm),
    })),
    shelf,
    kiln.shelves,
    kiln.chamberMm,
  );
}

/** Logs, diaries, schedules and upkeep, and what all of it teaches. */
export async function writeKilns(
  trx: Transaction,
  history: DemoHistory,
  ids: Ids,
  random: Random,
  now: Date,
): Promise<void> {
  const [iben, tomasz] = ids.people as [string, string];
  for (const schedule of SCHEDULES) await createSchedule(trx, random.id(now), schedule, iben, now);
  for (const one of UPKEEP)
    await addUpkeep(
      trx,
      {
        id: random.id(now),
        kilnId: ids.kilns.get(one.kiln)!,
        kind: one.kind,
        doneOn: new Date(now.getTime() - one.daysAgo * 86_400_000).toISOString().slice(0, 10),
        note: one.note,
        shelf: null,
      },
      iben,
      now,
    );
  for (const [i, firing] of history.firings.entries()) {
    const log = demoLog(firing, i, now);
    if (firing.status === 'planned')
      await setRun(trx, firing.id, {
        onDuty: tomasz,
        bringBy: new Date(firing.at.getTime() - 86_400_000).toISOString().slice(0, 10),
        notice:
          firing.kind === 'bisque'
            ? 'Bone-dry work only: cold to the cheek means wet.'
            : 'Foot wiped, name on the slip. Slack Tide on a waster, please.',
      });
    if (firing.status === 'planned' && firing.kind === 'glaze')
      await setRun(trx, firing.id, {
        schedule: { name: SCHEDULES[0]!.name, segments: SCHEDULES[0]!.segments },
        readEveryS: 60,
      });
    if (log === null) continue;
    await setRun(trx, firing.id, {
      schedule: log.schedule,
      readEveryS: log.readEveryS,
      nextTime: log.nextTime,
      energyUsed: log.energyUsed,
      onDuty: iben,
    });
    await insertReadings(
      trx,
      log.readings.map((one) => ({ ...one, firingId: firing.id, source: log.source })),
    );
    for (const entry of log.entries)
      await addEntry(trx, firing.id, { id: random.id(entry.at), ...entry }, iben, entry.at);
    await keepLesson(trx, firing.id);
  }
}

export async function writeFiring(
  trx: Transaction,
  firing: DemoFiring,
  ids: Ids,
  by: string,
  random: Random,
): Promise<void> {
  await setHistory(
    trx,
    {
      id: firing.id,
      kilnId: ids.kilns.get(firing.kiln)!,
      kind: firing.kind,
      targetCone: firing.target,
      atmosphere: firing.atmosphere,
      plannedFor: firing.at.toISOString().slice(0, 10),
      notes: firing.notes,
      status: firing.status,
      at: firing.at,
      writtenUp: firing.writtenUp && firing.status === 'opened',
    },
    by,
  );
  await insertMany(
    trx,
    'witness_cone',
    firing.cones.map((cone) => ({
      id: random.id(firing.at),
      firing_id: firing.id,
      cone: cone.cone,
      role: cone.role,
      place: cone.place,
      bend_degrees: cone.bend,
      read_by: cone.bend === null ? null : by,
      read_at: cone.bend === null ? null : firing.at,
    })),
  );
  await followCones(trx, firing.id);
  const planned = shelfPlan(firing);
  await place(
    trx,
    firing.pieces.map(({ piece, shelf, generation, setting }) => {
      const spot = planned.spots.get(piece.id);
      return {
        id: random.id(firing.at),
        firingId: firing.id,
        pieceId: piece.id,
        shelf: spot?.shelf ?? shelf,
        position: '',
        setting,
        generation,
        ...(spot ? { xMm: spot.xMm, yMm: spot.yMm, turned: planned.turned.has(piece.id) } : NOWHERE),
        open: firing.status !== 'opened',
      };
    }),
    by,
    firing.at,
  );
}
