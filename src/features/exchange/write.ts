import { count } from '@/core/units';
import type { Tell } from '@/platform/progress';
import { NOWHERE, UNMEASURED } from '@/core/load';
import { circumstances } from '@/core/standing';
import { EVERYWHERE } from '@/core/zones';
import { holdCells, placedSightings, sightingRow } from '@/data/cells';
import type { Fired } from '@/data/fired';
import { insertMany, type Transaction } from '@/data/database';
import { place } from '@/data/placements';
import { newId } from '@/data/ids';
import { appendObservations, type Observation } from '@/data/observations';
import { createLot, createPieces, type NewPiece } from '@/data/pieces';
import type { LayerFields } from '@/data/layers';
import { cameAs } from './came-as';
import type { ImportRow } from './interpret';
import { writeFirings } from './write-firings';
import { plainBody, plainCoating } from '../store/server';
import { firingKey, resolver, type Naming, type PlannedRows } from './plan';
import type { Imported, ImportOptions } from './contracts';
import { createBody, listBodies } from '@/data/bodies';
import { createCoating, listCoatings, type Coating } from '@/data/coatings';
import { createKiln, listKilns, type Kiln } from '@/data/kilns';
import { unknownKiln } from '@/data/past-firings';
import { summariseCells } from '@/data/cell-summaries';

/** Makes what the person said is new and gives every name its id. */
async function settle(
  namings: readonly Naming[],
  make: (name: string) => Promise<string>,
): Promise<Naming[]> {
  const settled: Naming[] = [];
  for (const one of namings) settled.push(one.id === 'new' ? { ...one, id: await make(one.name) } : one);
  return settled;
}

export type WriteOptions = Pick<ImportOptions, 'kilnForRest' | 'method' | 'conesShown'>;
/** What was made, and of each row taken, in their order, its piece and the firing it came out of. */
export type Written = { made: Imported; pieces: { pieceId: string; firingId: string }[] };

/** Writes a planned import in one transaction: all of its rows or none. */
export async function writeImport(
  trx: Transaction,
  plan: PlannedRows,
  options: WriteOptions,
  name: string,
  by: string,
  now: Date,
  tell: Tell = () => undefined,
): Promise<Written> {
  const bodyNames = await settle(plan.bodies, async (body) => {
    const id = newId();
    await createBody(trx, id, plainBody(body, 'Brought in with past tests.'));
    return id;
  });
  const coatingNames = await settle(plan.coatings, async (coating) => {
    const id = newId();
    await createCoating(trx, id, plainCoating(coating), now);
    return id;
  });
  const newKiln = async (kiln: string): Promise<string> => {
    const id = newId();
    await createKiln(trx, id, {
      name: kiln,
      energy: 'other',
      control: 'by hand',
      volumeL: null,
      shelves: 1,
      ...UNMEASURED,
      notes: 'Brought in with past tests.',
    });
    return id;
  };
  const kilnNames = await settle(plan.kilns, newKiln);
  const kilnForRest =
    plan.rowsWithoutKiln === 0
      ? null
      : options.kilnForRest === 'new'
        ? await unknownKiln(trx, now)
        : options.kilnForRest;

  const bodies = new Map((await listBodies(trx)).map((body) => [body.id, body]));
  const coatings = new Map((await listCoatings(trx)).map((coating) => [coating.id, coating]));
  const kilns = new Map((await listKilns(trx)).map((kiln) => [kiln.id, kiln]));
  const [bodyOf, coatingOf, kilnOf] = [resolver(bodyNames), resolver(coatingNames), resolver(kilnNames)];

  const rows = plan.rows.filter((row) => row.errors.length === 0);
  tell(0.2, 'Writing the firings');
  const firings = await writeFirings(
    trx,
    rows,
    (row) => kilns.get((row.kiln === null ? kilnForRest : kilnOf(row.kiln)) as string) as Kiln,
    options.conesShown,
    by,
    now,
  );

  const lotId = newId();
  await createLot(trx, { id: lotId, kind: 'import', name: name.slice(0, 160) }, by, now);
  const pieces: NewPiece[] = [];
  const observations: Observation[] = [];
  const placements = [];
  const fired: Fired[] = [];
  for (const row of rows) {
    const body = bodies.get(bodyOf(row.body as string) as string)!;
    const layers = row.coats.map((coat) =>
      layerOf(coat, coatings.get(coatingOf(coat.coating) as string) as Coating, options),
    );
    const firing = firings.get(firingKey(row))!;
    const id = newId();
    const faces = (row.faces ?? ['bare' as const]).map((kind, i) => ({ no: i + 1, kind, slip: null }));
    const form = row.form?.slice(0, 40) ?? 'not recorded';
    pieces.push({
      id,
      mark: row.mark ?? row.code,
      kind: 'tile',
      bodyId: body.id,
      form,
      heightMm: null,
      lotId,
      ownerId: null,
      madeOn: null,
      notes: '',
      madeFor: 'glaze',
      been: [{ kind: 'glaze', status: 'opened', order: 0, verdict: row.verdict }],
      wantedCone: null,
      wantedAtmosphere: null,
      faces: faces.map(({ no, kind }) => ({ no, kind, slipVersionId: null })),
      meant: [],
      done: layers.map(({ fields }) => fields),
      keyKnown: row.key,
      cameAs: cameAs(row),
    });
    placements.push({
      id: newId(),
      firingId: firing.id,
      pieceId: id,
      shelf: null,
      position: '',
      setting: 'unknown' as const,
      generation: 1,
      open: false,
      ...NOWHERE,
    });
    const seen = {
      zone: null,
      surface: row.surface,
      opacity: null,
      colour: row.colour,
      movementMm: row.movementMm,
      met: null,
      rating: row.rating,
      signs: row.signs,
    };
    const observation: Observation = {
      id: newId(),
      pieceId: id,
      firingId: firing.id,
      seenAt: firing.seenAt,
      place: 'kiln',
      verdict: row.verdict,
      note: row.note,
      ...seen,
    };
    observations.push(observation);
    const stack = layers.map(({ fields, coat }) => ({ ...fields, coat }));
    fired.push({
      pieceId: id,
      firingId: firing.id,
      generation: 1,
      body: body.slug,
      bodyId: body.id,
      firingStatus: 'opened',
      // What nobody knows of is no evidence: without faces it stands in no cell.
      faces: row.key === 'lost' ? [] : faces,
      form,
      layers: stack,
      cone: firing.band,
      coneKnown: firing.known,
      atmosphere: row.atmosphere,
      variables: circumstances({
        kiln: firing.nobodyKnows ? null : firing.kiln,
        firing: `${firing.kiln} ${firing.no}`,
        kind: 'glaze',
        shelf: null,
        setting: 'unknown',
        generation: 1,
        form,
        lot: name.slice(0, 160),
        layers: stack,
      }),
      openedAt: firing.seenAt,
      seen: [
        {
          ...seen,
          id: observation.id,
          by,
          verdict: row.verdict,
          seenAt: firing.seenAt.toISOString(),
        },
      ],
    });
  }
  tell(0.3, `Writing ${count(pieces.length, 'piece')}`);
  await createPieces(trx, pieces, by, now);
  tell(0.6, 'Putting them into their firings');
  await place(trx, placements, by, now);
  tell(0.7, 'Writing what was seen');
  await appendObservations(trx, observations, by, now);
  tell(0.8, 'Summing up for the chart');
  const placed = fired.flatMap(placedSightings);
  const ids = [...new Set(placed.map(({ id }) => id))];
  const cells = await holdCells(trx, placed, ids);
  await insertMany(trx, 'sighting', placed.map(sightingRow));
  await summariseCells(trx, cells);
  const made = (before: readonly Naming[]): number => before.filter(({ id }) => id === 'new').length;
  return {
    made: {
      lotId,
      coatingIds: coatingNames.flatMap(({ id }, i) => (plan.coatings[i]!.id === 'new' ? [id!] : [])),
      pieces: pieces.length,
      firings: firings.size,
      bodies: made(plan.bodies),
      coatings: made(plan.coatings),
      kilns: made(plan.kilns) + (options.kilnForRest === 'new' && plan.rowsWithoutKiln > 0 ? 1 : 0),
    },
    pieces: placements.map(({ pieceId, firingId }) => ({ pieceId, firingId })),
  };
}

function layerOf(coat: ImportRow['coats'][number], coating: Coating, options: WriteOptions) {
  const version = coating.versions.at(-1)!;
  const fields: LayerFields = {
    coatingVersionId: version.id,
    method: coat.method ?? options.method,
    coats: coat.coats,
    weight: 'normal',
    thicknessMm: null,
    seconds: null,
    stage: 'bisque',
    driedBefore: null,
    region: { ...EVERYWHERE, stretch: coat.stretch ?? EVERYWHERE.stretch },
    generation: 1,
  };
  return { fields, coat: { slug: coating.slug, version: version.no, kind: coating.kind } };
}
