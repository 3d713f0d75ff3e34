/** Puts the demo studio into an empty database. */
import { mkdirSync } from 'node:fs';
import { rebuildSummaries } from '../src/data/summaries';
import { relearnAll } from '../src/features/kilns/server';
import { transact, type Database, type Transaction } from '../src/data/database';
import { writeLooks } from './looks';
import { createPerson } from '../src/data/people';
import { createLot, createPieces, setMade } from '../src/data/pieces';
import { raiseFlag } from '../src/data/flags';
import type { LayerFields } from '../src/data/layers';
import { controlOfCell, sayControl } from '../src/data/control';
import { sayGreyCard } from '../src/data/frames';
import { createStudio } from '../src/data/studio';
import { hashPassword } from '../src/platform/passwords';
import { demoHistory } from './history';
import { GREY_CARD } from './paint';
import { announcePictures, paintDemo } from './pictures';
import { Random } from './random';
import { askClinic } from './cases';
import { NOBODY_REGISTERED, writeKilnRoom } from './kiln-room';
import { glazedOn, writeThinBucket } from './glazing';
import { askQuestions } from './questions';
import { writeShelves } from './store';
import { BODIES, COATINGS, DEMO_PASSWORD, KILNS, PEOPLE, STUDIO } from './studio';
import type { Layer } from '../src/core/zones';
import { writeKilns, writeFiring } from './load-firings';
import { createBody } from '../src/data/bodies';
import { createCoating, listCoatings, addVersion } from '../src/data/coatings';
import { createKiln } from '../src/data/kilns';
import { type DemoHistory } from './history-terms';

export type DemoReport = { pieces: number; firings: number };

type Options = { now?: Date; progress?: (said: string) => void };

/** Loads everything; `pictures: false` leaves the painting out (for tests that need none). */
export async function loadDemo(
  db: Database,
  dataDirectory: string,
  options: Options & { pictures?: boolean } = {},
): Promise<DemoReport & { pictures: number }> {
  const { now = new Date(), pictures = true } = options;
  const report = await writeDemo(db, { ...options, now });
  if (!pictures) return { ...report, pictures: 0 };
  mkdirSync(dataDirectory, { recursive: true });
  announcePictures(dataDirectory, now);
  return { ...report, pictures: await paintDemo(db, dataDirectory, options) };
}

/** Everything but the pictures, which are painted when the studio is open (demo/pictures). */
export async function writeDemo(db: Database, options: Options = {}): Promise<DemoReport> {
  const now = options.now ?? new Date();
  const say = options.progress ?? (() => {});
  const history = demoHistory(now);
  say('writing records');
  await transact(db, async (trx) => {
    const random = new Random(7);
    const ids = await writeStore(trx, random, now);
    await writeRecords(trx, history, ids, random);
    await writeShelves(trx, ids.people, random, now);
    await writeThinBucket(trx, history, ids.people);
    await writeKilns(trx, history, ids, random, now);
    await relearnAll(trx, now);
    // Brought in at once: nobody saw anything move.
    await trx('cone_move').delete();
    await rebuildSummaries(trx);
    await nameControl(trx);
  });
  await askQuestions(db, now);
  await askClinic(db, now);
  await writeKilnRoom(db, now);
  return {
    pieces: history.pieces.length + NOBODY_REGISTERED,
    firings: history.firings.length,
  };
}

export type Ids = {
  people: string[];
  bodies: Map<string, string>;
  kilns: Map<string, string>;
  versions: Map<string, string>;
};

/** The stack by itself that went through most firings is the studio’s control. */
async function nameControl(trx: Transaction): Promise<void> {
  const { id } = await trx('cell')
    .where({ depth: 1, refired: false })
    .orderBy([{ column: 'firings', order: 'desc' }, { column: 'id' }])
    .first('id');
  await sayControl(trx, await controlOfCell(trx, id));
}

async function writeStore(trx: Transaction, random: Random, now: Date): Promise<Ids> {
  const since = new Date(now.getTime() - 760 * 86_400_000);
  await createStudio(trx, STUDIO, since);
  await sayGreyCard(trx, GREY_CARD);
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
    for (const version of coating.versions) ids.versions.set(`${coating.slug}#${version.no}`, version.id);
  return ids;
}

async function writeRecords(trx: Transaction, history: DemoHistory, ids: Ids, random: Random): Promise<void> {
  const [iben, tomasz] = ids.people as [string, string];
  const fields = (layers: readonly Layer[]): LayerFields[] =>
    layers.map(({ coat, ...layer }) => ({
      ...layer,
      coatingVersionId: ids.versions.get(`${coat.slug}#${coat.version}`)!,
    }));
  const lotIds = history.lots.map(({ at }) => random.id(at));
  for (const [i, lot] of history.lots.entries())
    await createLot(trx, { id: lotIds[i]!, kind: lot.spec.kind, name: lot.spec.name }, iben, lot.at);
  const raw = new Set(
    history.firings
      .filter(({ kind }) => kind === 'bisque')
      .flatMap((firing) => firing.pieces.map(({ piece }) => piece.id)),
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
      madeFor: raw.has(piece.id) || piece.waitingFor === 'bisque' ? 'bisque' : 'glaze',
      wantedCone: piece.cone,
      wantedAtmosphere: piece.atmosphere,
      faces: piece.faces.map((face) => ({
        no: face.no,
        kind: face.kind,
        surface: face.surface ?? null,
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
    pieces.map((piece) => ({ id: piece.id, at: piece.madeAt, glazedAt: glazedOn(history, piece) })),
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
  await writeLooks(trx, history.observations, { iben, tomasz }, random);
}
