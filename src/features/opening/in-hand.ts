/** Puts a fired piece on record that was never planned: piece, firing and look in one act. */
import { chartAddress } from '@/core/axes';
import { facesOfForm, formNamed, type FormFace } from '@/core/designs';
import { EVERYWHERE } from '@/core/zones';
import { createBody, listBodies } from '@/data/bodies';
import { tallestCell } from '@/data/board';
import { refreshCells } from '@/data/cells';
import { createCoating, listCoatings } from '@/data/coatings';
import { findFiring } from '@/data/firings';
import { newId } from '@/data/ids';
import { settleJourneys } from '@/data/journey';
import type { LayerFields } from '@/data/layers';
import { appendObservations } from '@/data/observations';
import { unrecordedFiring } from '@/data/past-firings';
import { createPieces, listPieces } from '@/data/pieces';
import { placeFound } from '@/data/placements';
import { operation, type Act } from '@/platform/operation';
import { found, refuse } from '@/platform/refusal';
import { putIn } from '../loading/server';
import { newLayer } from '../pieces/server';
import { permit } from '../people';
import { plainBody, plainCoating } from '../store/server';
import type { z } from 'zod';
import { inHand as contract, join as joining, type inHandSchema } from './in-hand-contracts';

type Taken = z.output<typeof inHandSchema>;
type Named = Taken['body'];

const same = (a: string, b: string): boolean => a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();

/** The entry that is meant: by its id, by a name that the store has, or made under a new name. */
export async function entryFor(
  entries: readonly { id: string; name: string; mergedInto: string | null }[],
  wanted: Named,
  make: (id: string) => Promise<unknown>,
): Promise<string> {
  const held = entries.find(({ id, name }) =>
    wanted.id === null ? same(name, wanted.name) : id === wanted.id,
  );
  if (held !== undefined) return held.mergedInto ?? held.id;
  if (wanted.id !== null) throw refuse('This was taken out of the store meanwhile. Choose again.');
  const id = newId();
  await make(id);
  return id;
}

async function layersOf(
  { trx, now }: Act,
  coats: NonNullable<Taken['coats']>,
  faces: readonly FormFace[],
): Promise<LayerFields[]> {
  const layers: LayerFields[] = [];
  for (const one of coats) {
    const id = await entryFor(await listCoatings(trx), one.coating, (made) =>
      createCoating(trx, made, plainCoating(one.coating.name), now),
    );
    const version = (await listCoatings(trx)).find((coating) => coating.id === id)?.versions.at(-1);
    layers.push({
      ...newLayer(found(version, 'This coating').id, 1),
      coats: one.coats,
      region: {
        ...EVERYWHERE,
        face: faces.find(({ surface }) => surface !== null && surface === one.surface)?.no ?? null,
        stretch: one.stretch,
      },
    } as LayerFields);
  }
  return layers;
}

const saysAnything = ({ signs, note, refire: _, healed: __, ...facts }: Taken['seen']): boolean =>
  signs.length > 0 || note !== '' || Object.values(facts).some((fact) => fact !== null);

export async function firingFor(act: Act, { firing }: Pick<Taken, 'firing'>): Promise<string> {
  if (firing.id === null) return unrecordedFiring(act.trx, firing, act.person.id, act.now);
  const held = found(await findFiring(act.trx, firing.id, true), 'This firing');
  if (held.status !== 'opened')
    throw refuse(`${held.kilnName} ${held.no} is ${held.status}: nothing came out of it yet.`);
  return held.id;
}

export const inHand = operation({
  contract,
  permit: permit('keep records'),
  run: async (act, taken) => {
    const { trx, person, now } = act;
    const bodyId = await entryFor(await listBodies(trx), taken.body, (id) =>
      createBody(trx, id, plainBody(taken.body.name)),
    );
    // Ware has its surfaces; of a tile's other faces nobody said anything.
    const faces = formNamed(taken.form)?.kind === 'ware' ? facesOfForm(taken.form) : facesOfForm('');
    const layers = taken.coats === null ? [] : await layersOf(act, taken.coats, faces);
    const firingId = await firingFor(act, taken);
    const [code] = await createPieces(
      trx,
      [
        {
          id: taken.pieceId,
          mark: taken.mark === '' ? null : taken.mark,
          kind: formNamed(taken.form)?.kind ?? 'tile',
          bodyId,
          form: taken.form,
          heightMm: null,
          lotId: null,
          ownerId: null,
          madeOn: null,
          notes: '',
          madeFor: 'glaze',
          been: [
            {
              kind: 'glaze',
              status: 'opened',
              order: 0,
              verdict: taken.seen.verdict,
              refire: taken.seen.refire ?? null,
            },
          ],
          wantedCone: null,
          wantedAtmosphere: null,
          faces: faces.map((face) => ({ ...face, slipVersionId: null })),
          meant: [],
          done: layers,
          keyKnown: taken.coats === null ? 'lost' : taken.likely ? 'likely' : 'sure',
        },
      ],
      person.id,
      now,
    );
    await placeFound(trx, firingId, [taken.pieceId], person.id, now);
    if (saysAnything(taken.seen))
      await appendObservations(
        trx,
        [
          {
            id: taken.observationId,
            pieceId: taken.pieceId,
            firingId,
            zone: null,
            seenAt: now,
            place: 'desk',
            ...taken.seen,
          },
        ],
        person.id,
        now,
      );
    await refreshCells(trx, [{ pieceId: taken.pieceId, firingId }]);
    await settleJourneys(trx, [taken.pieceId]);
    const cell = await tallestCell(trx, taken.pieceId);
    return { code: code!, firingId, chart: cell === null ? null : chartAddress(cell) };
  },
});

/** A piece with a code joins a firing it was on no list of. */
export const join = operation({
  contract: joining,
  permit: permit('keep records'),
  run: async (act, { firingId, code }) => {
    const [piece] = await listPieces(act.trx, { codes: [code] });
    const { id } = found(piece, `Piece ${code}`);
    return putIn(act, { firingId, pieceIds: [id], shelf: null, position: '', setting: 'unknown' });
  },
});
