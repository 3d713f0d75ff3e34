/** Puts the demo studio into an empty database. */
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import {
  createBody,
  createCoating,
  createKiln,
  addVersion,
  listCoatings,
} from '../src/data/catalogue';
import { rebuildCells } from '../src/data/cells';
import { insertMany, transact, type Database, type Transaction } from '../src/data/database';
import { setHistory } from '../src/data/firings';
import { place } from '../src/data/placements';
import { followCones } from '../src/data/witnesses';
import { appendObservations } from '../src/data/observations';
import { footprintOf, NOWHERE, packLoad, shelfOf } from '../src/core/load';
import { addEntry, setRun } from '../src/data/firing-log';
import { addUpkeep } from '../src/data/kiln-care';
import { insertReadings } from '../src/data/readings';
import { createSchedule } from '../src/data/schedules';
import { learnFrom } from '../src/features/kilns/server';
import { demoLog, SCHEDULES, UPKEEP } from './logs';
import { createPerson } from '../src/data/people';
import { createPhotos } from '../src/data/photos';
import { createLot, createPieces, setMade } from '../src/data/pieces';
import { raiseFlag } from '../src/data/flags';
import type { LayerFields } from '../src/data/layers';
import { createStudio } from '../src/data/studio';
import { hashPassword } from '../src/platform/passwords';
import { demoHistory, type DemoFiring, type DemoHistory } from './history';
import { paintAll } from './paint-all';
import { Random } from './random';
import { askQuestions } from './questions';
import { writeShelves } from './store';
import { BODIES, COATINGS, DEMO_PASSWORD, KILNS, PEOPLE, STUDIO } from './studio';
import type { Layer } from '../src/core/zones';

export type DemoReport = { pieces: number; firings: number; pictures: number };

/** Loads everything; `pictures: false` leaves the painting out (for tests that need none). */
export async function loadDemo(
  db: Database,
  dataDirectory: string,
  options: { now?: Date; pictures?: boolean; progress?: (said: string) => void } = {},
): Promise<DemoReport> {
  const now = options.now ?? new Date();
  const say = options.progress ?? (() => {});
  const history = demoHistory(now);
  const pictures = options.pictures ?? true;
  const kept = pictures
    ? await paintAll(
        history.scenes.map(({ scene }) => scene),
        join(dataDirectory, 'pictures'),
        Math.min(4, availableParallelism()),
        (done) => {
          if (done % 50 === 0 || done === history.scenes.length)
            say(`painting pictures: ${done} of ${history.scenes.length}`);
        },
      )
    : [];
  say('writing records');
  await transact(db, async (trx) => {
    const random = new Random(7);
    const ids = await writeStore(trx, random, now);
    await writeRecords(trx, history, ids, random);
    await writeShelves(trx, ids.people, random, now);
    await writeKilns(trx, history, ids, random, now);
    await createPhotos(
      trx,
      kept.map((picture, i) => ({
        id: random.id(now),
        ...picture,
        pieceId: history.scenes[i]!.pieceId,
        firingId: history.scenes[i]!.firingId,
        originalName: `tile-${i + 1}.jpg`,
      })),
      ids.people[0]!,
      now,
    );
    await rebuildCells(trx);
  });
  await askQuestions(db, now);
  return { pieces: history.pieces.length, firings: history.firings.length, pictures: kept.length };
}

type Ids = {
  people: string[];
  bodies: Map<string, string>;
  kilns: Map<string, string>;
  versions: Map<string, string>;
};

async function writeStore(trx: Transaction, random: Random, now: Date): Promise<Ids> {
  const since = new Date(now.getTime() - 760 * 86_400_000);
  await createStudio(trx, STUDIO, since);
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  const ids: Ids = { people: [], bodies: new Map(), kilns: new Map(), versions: new Map() };
  for (const person of PEOPLE) {
    const id = random.id(since);
    await createPerson(trx, { id, ...person, passwordHash }, since);
    ids.people.push(id);
  }
  for (const body of BODIES) {
    const id = random.id(since);
    ids.bodies.set(await createBody(trx, id, body), id);
  }
  for (const kiln of KILNS) {
    const id = random.id(since);
    ids.kilns.set(await createKiln(trx, id, kiln), id);
  }
  for (const coating of COATINGS) {
    const id = random.id(since);
    await createCoating(trx, id, coating, since);
    if (coating.name === 'Foxglove') {
      for (const [i, step] of ['first', 'second', 'third'].entries()) {
        await addVersion(
          trx,
          id,
          `Crazing ladder, ${step} step: +${1.25 * (i + 1)} silica, +${i + 1} kaolin`,
          new Date(since.getTime() + (i + 1) * 86_400_000),
        );
      }
    }
  }
  for (const coating of await listCoatings(trx))
    for (const version of coating.versions)
      ids.versions.set(`${coating.slug}#${version.no}`, version.id);
  return ids;
}

async function writeRecords(
  trx: Transaction,
  history: DemoHistory,
  ids: Ids,
  random: Random,
): Promise<void> {
  const [iben, tomasz] = ids.people as [string, string];
  const fields = (layers: readonly Layer[]): LayerFields[] =>
    layers.map(({ coat, ...layer }) => ({
      ...layer,
      coatingVersionId: ids.versions.get(`${coat.slug}#${coat.version}`)!,
    }));
  const lotIds = history.lots.map(({ at }) => random.id(at));
  for (const [i, lot] of history.lots.entries())
    await createLot(
      trx,
      { id: lotIds[i]!, kind: lot.spec.kind, name: lot.spec.name },
      iben,
      lot.at,
    );
  const pieces = [...history.pieces].sort((a, b) => a.madeAt.getTime() - b.madeAt.getTime());
  await createPieces(
    trx,
    pieces.map((piece) => ({
      id: piece.id,
      mark: piece.spec.mark ?? null,
      kind: piece.spec.kind,
      bodyId: ids.bodies.get(piece.spec.body)!,
      form: piece.spec.form,
      heightMm: piece.spec.heightMm,
      lotId: lotIds[piece.lot]!,
      ownerId: piece.owner === null ? null : ids.people[piece.owner]!,
      madeOn: piece.madeAt.toISOString().slice(0, 10),
      notes: '',
      waitingFor: piece.waitingFor,
      wantedCone: piece.cone,
      wantedAtmosphere: piece.atmosphere,
      faces: piece.faces.map((face) => ({
        no: face.no,
        kind: face.kind,
        slipVersionId: face.slip ? ids.versions.get(`${face.slip.slug}#1`)! : null,
      })),
      meant: fields(piece.meant),
      done: fields(piece.done),
    })),
    iben,
    new Date(),
  );
  await setMade(
    trx,
    pieces.map((piece) => ({ id: piece.id, at: piece.madeAt })),
  );
  for (const piece of pieces)
    if (piece.spec.flag)
      await raiseFlag(
        trx,
        { id: random.id(piece.madeAt), pieceId: piece.id, text: piece.spec.flag },
        tomasz,
        piece.madeAt,
      );
  for (const firing of history.firings) await writeFiring(trx, firing, ids, iben, random);
  await appendObservations(trx, history.observations, iben);
}

/** What is in a kiln now is drawn on its shelves; of the past only the shelf is known. */
function shelfPlan(firing: DemoFiring): Pick<ReturnType<typeof packLoad>, 'spots' | 'turned'> {
  const kiln = KILNS.find(({ name }) => name.toLowerCase() === firing.kiln)!;
  const shelf = shelfOf(kiln);
  if (
    shelf === null ||
    (firing.status === 'opened' && firing.writtenUp) ||
    firing.kind === 'bisque'
  )
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
async function writeKilns(
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
      await addEntry(trx, firing.id, { id: random.id(entry.at), ...entry }, iben);
    await learnFrom(trx, firing.id);
  }
}

async function writeFiring(
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
        ...(spot
          ? { xMm: spot.xMm, yMm: spot.yMm, turned: planned.turned.has(piece.id) }
          : NOWHERE),
        open: firing.status !== 'opened',
      };
    }),
    by,
    firing.at,
  );
}
