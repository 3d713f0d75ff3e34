import { addVersion, holdVersion } from '@/data/catalogue';
import { newId } from '@/data/ids';
import { createMaterial, listMaterials, updateMaterial } from '@/data/materials';
import { firedVersions, setRecipe } from '@/data/recipes';
import { operation } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import { nameFree, STALE } from './saving';
import { saveMaterialSchema, saveRecipeSchema } from './recipe-schema';

export const saveMaterial = operation({
  name: 'store.save-material',
  permit: permit('keep records'),
  input: saveMaterialSchema,
  run: ({ trx }, { id, revision, fields }) =>
    nameFree('material', async () => {
      if (id === null) {
        const made = newId();
        return { id: made, slug: await createMaterial(trx, made, fields) };
      }
      if (!(await updateMaterial(trx, id, fields, revision))) throw conflict(STALE);
      return { id };
    }),
});

export const saveRecipe = operation({
  name: 'store.save-recipe',
  permit: permit('keep records'),
  input: saveRecipeSchema,
  run: async ({ trx, now }, { coatingId, versionId, changed, unit, notes, lines }) => {
    const known = new Set((await listMaterials(trx)).map(({ id }) => id));
    if (!lines.every((line) => known.has(line.materialId)))
      throw notFound('One of these materials');
    if (versionId === null) {
      const version = await addVersion(trx, coatingId, changed, now);
      await setRecipe(trx, version.id, { unit, notes, lines });
      return version;
    }
    const own = await holdVersion(trx, versionId);
    if (own === null || own.coatingId !== coatingId) throw notFound('This version');
    if ((await firedVersions(trx, [versionId])).has(versionId))
      throw refuse(
        `Version ${own.no} has been fired and cannot change any more. Save this as the next version.`,
      );
    await setRecipe(trx, versionId, { unit, notes, lines });
    return { id: versionId, no: own.no };
  },
});
