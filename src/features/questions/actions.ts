import { count } from '@/core/units';
import { formNamed, planTiles, placesFor, type Design } from '@/core/designs';
import { EVERYWHERE } from '@/core/zones';
import { newId } from '@/data/ids';
import { listMaterials } from '@/data/materials';
import { createLot, createPieces, listPieces, type NewPiece } from '@/data/pieces';
import type { LayerFields } from '@/data/layers';
import { addTiles, concludeQuestion, createQuestion, listQuestions, updateQuestion } from '@/data/questions';
import { recipesOf, setRecipe } from '@/data/recipes';
import {
  addBodyTest,
  dropFormCard,
  listFormCards,
  moveTiles as writeMove,
  saveFormCard,
  tileStock,
} from '@/data/stock';
import { operation, type Act } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import { mixKey, recipeOfMix } from './mixes';
import { blendNotes, named, namedFactors } from './name';
import * as contracts from './contracts';
import { type Mix, type PlannedTile } from '@/core/designs/terms';
import { createTrial, listCoatings, addVersion } from '@/data/coatings';
import { listBodies } from '@/data/bodies';

/** Names of everything a design speaks of, by id. */
async function namesIn({ trx }: Act): Promise<Map<string, string>> {
  const names = new Map<string, string>();
  for (const body of await listBodies(trx)) names.set(body.id, body.name);
  for (const material of await listMaterials(trx)) names.set(material.id, material.name);
  for (const coating of await listCoatings(trx))
    for (const version of coating.versions)
      names.set(version.id, version.no === 1 ? coating.name : `${coating.name} v${version.no}`);
  return names;
}

function planned(design: Design): PlannedTile[] {
  try {
    return planTiles(design);
  } catch (error) {
    if (error instanceof RangeError) throw refuse(error.message);
    throw error;
  }
}

/** A test coating of the question's own, with a version and a recipe for every mix of it. */
async function makeMixes(
  { trx, now }: Act,
  no: number,
  text: string,
  mixes: readonly { no: number; mix: Mix; label: string }[],
): Promise<Map<string, string>> {
  const recipes = await recipesOf(trx, [...new Set(mixes.flatMap(({ mix }) => Object.keys(mix.shares)))]);
  const coatings = await listCoatings(trx);
  const corner = coatings.find((one) => one.versions.some(({ id }) => id in (mixes[0]?.mix.shares ?? {})));
  const coatingId = newId();
  await createTrial(trx, coatingId, {
    name: `Question ${no}`,
    kind: corner?.kind ?? 'glaze',
    coneLow: corner?.coneLow ?? null,
    coneHigh: corner?.coneHigh ?? null,
    colour: corner?.colour ?? '#9b9b96',
    atmosphereNotes: '',
    whatItDoes: text,
    cautions: corner?.cautions ?? '',
    traits: corner?.traits ?? [],
  });
  const versions = new Map<string, string>();
  for (const { mix, label } of mixes) {
    const key = mixKey(mix);
    if (versions.has(key)) continue;
    const tiles = mixes.filter((one) => mixKey(one.mix) === key).map((one) => one.no);
    const id = (await addVersion(trx, coatingId, blendNotes(tiles, label), now)).id;
    versions.set(key, id);
    const lines = recipeOfMix(mix, recipes);
    if (lines !== null) await setRecipe(trx, id, { unit: 'percent', notes: label, lines });
  }
  return versions;
}

export const ask = operation({
  contract: contracts.ask,
  permit: permit('keep records'),
  run: async (act, { fields, design, sheet, shelves, seed, ...tile }) => {
    const { trx, person, now } = act;
    if (
      fields.targetPieceId !== null &&
      (await listPieces(trx, { ids: [fields.targetPieceId] })).length === 0
    )
      throw notFound('The piece to be matched');
    const tiles = design === null ? [] : planned(design);
    if (tiles.length > 1000)
      throw refuse(`This design makes ${count(tiles.length, 'tile')}; at most 1000. Make it smaller.`);
    const names = await namesIn(act);
    for (const one of tiles)
      for (const ref of [
        one.body,
        ...one.layers.flatMap(({ coat }) => coat ?? []),
        ...Object.keys({ ...one.mix?.shares, ...one.mix?.additions }),
      ])
        if (!names.has(ref)) throw notFound('A coating, body or material of this design');
    const id = newId();
    const no = await createQuestion(trx, { id, ...fields, design, seed, sheet }, person.id, now);
    if (tiles.length === 0) return { id, no, codes: [] };

    const ofMixes = tiles.flatMap(({ no, mix, label, layers }) =>
      mix !== null && layers.length > 0 ? [{ no, mix, label: named(label, names) }] : [],
    );
    const versions =
      ofMixes.length === 0 ? new Map<string, string>() : await makeMixes(act, no, fields.text, ofMixes);
    const lotId = newId();
    await createLot(
      trx,
      { id: lotId, kind: 'design', name: `Question ${no}: ${fields.text}`.slice(0, 160) },
      person.id,
      now,
    );
    const pieces = tiles.map((one): NewPiece => {
      const layers = one.layers.map((layer, i): LayerFields => ({
        coatingVersionId: layer.coat ?? (versions.get(mixKey(one.mix as Mix)) as string),
        method: layer.method,
        coats: layer.coats,
        weight: layer.weight,
        thicknessMm: null,
        seconds: layer.seconds,
        stage: layer.stage,
        driedBefore: i > 0 ? true : null,
        region: { ...EVERYWHERE, stretch: layer.stretch },
        generation: 1,
      }));
      return {
        id: newId(),
        mark: `${no}-${one.no}`,
        kind: formNamed(tile.form)?.kind ?? 'tile',
        bodyId: one.body,
        form: tile.form,
        heightMm: tile.heightMm,
        lotId,
        ownerId: null,
        madeOn: now.toISOString().slice(0, 10),
        notes: one.layers.length === 0 ? named(one.label, names) : '',
        madeFor: tile.waitingFor,
        wantedCone: tile.wantedCone,
        wantedAtmosphere: tile.wantedAtmosphere,
        faces: tile.faces,
        meant: layers,
        done: layers,
      };
    });
    const codes = await createPieces(trx, pieces, person.id, now);
    const places = new Map(placesFor(tiles, shelves, seed).map((place) => [place.no, place]));
    await addTiles(
      trx,
      id,
      tiles.map((one, i) => ({
        no: one.no,
        label: named(one.label, names),
        role: one.role,
        row: one.row,
        column: one.column,
        factors: namedFactors(one.factors, names),
        mix: one.mix,
        pieceId: (pieces[i] as NewPiece).id,
        shelf: places.get(one.no)?.shelf ?? 1,
        place: places.get(one.no)?.place ?? one.no,
      })),
    );
    await takeFromStock(act, tiles, tile.form, tile.faces.map(({ kind }) => kind).join(', '));
    return { id, no, codes };
  },
});

/** Blanks that are kept count of go down by what the design uses; never below nothing. */
async function takeFromStock(
  { trx, person, now }: Act,
  tiles: readonly PlannedTile[],
  form: string,
  faces: string,
): Promise<void> {
  const stock = await tileStock(trx, now);
  for (const bodyId of new Set(tiles.map(({ body }) => body))) {
    const kept = stock.find((one) => one.bodyId === bodyId && one.form === form && one.faces === faces);
    const used = Math.min(kept?.number ?? 0, tiles.filter(({ body }) => body === bodyId).length);
    if (used > 0)
      await writeMove(trx, { id: newId(), bodyId, form, faces, number: -used, why: 'used' }, person.id, now);
  }
}

export const edit = operation({
  contract: contracts.edit,
  permit: permit('keep records'),
  run: async ({ trx }, { id, revision, fields }) => {
    if (!(await updateQuestion(trx, id, fields, revision)))
      throw conflict('Somebody else changed this question meanwhile. Your words are still here.');
  },
});

/** Writes a conclusion down; null opens the question again (also the undo). */
export const conclude = operation({
  contract: contracts.conclude,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { id, conclusion }) => {
    if ((await listQuestions(trx, { id })).length === 0) throw notFound('This question');
    await concludeQuestion(trx, id, conclusion, person.id, now);
  },
});

export const moveTiles = operation({
  contract: contracts.moveTiles,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { number, why, ...kind }) => {
    const held =
      (await tileStock(trx, now)).find(
        (one) => one.bodyId === kind.bodyId && one.form === kind.form && one.faces === kind.faces,
      )?.number ?? 0;
    if ((why === 'used' || why === 'broken') && number > held)
      throw refuse(`Only ${held} are on record. Count them, then say so.`, {
        number: `Only ${held} on record.`,
      });
    const change = why === 'made' ? number : why === 'counted' ? number - held : -number;
    if (change !== 0) await writeMove(trx, { id: newId(), ...kind, number: change, why }, person.id, now);
  },
});

export const testBody = operation({
  contract: contracts.testBody,
  permit: permit('keep records'),
  run: ({ trx, person, now }, test) => addBodyTest(trx, { id: newId(), ...test }, person.id, now),
});

export const saveForm = operation({
  contract: contracts.saveFormCard,
  permit: permit('keep records'),
  run: ({ trx, person, now }, card) => saveFormCard(trx, card, person.id, now),
});

export const dropForm = operation({
  contract: contracts.dropFormCard,
  permit: permit('keep records'),
  run: async ({ trx }, { id }) => {
    const card = (await listFormCards(trx)).find((one) => one.id === id);
    if (card === undefined) throw notFound('This form');
    await dropFormCard(trx, id);
    return card;
  },
});
