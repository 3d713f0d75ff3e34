import { createMaterial, listMaterials, updateMaterial } from '@/data/materials';
import { firedVersions, setRecipe } from '@/data/recipes';
import { operation } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import * as contracts from './contracts';
import { saveNamed } from '@/platform/saving';
import { addVersion, holdVersion } from '@/data/coatings';

export const saveMaterial = operation({
  contract: contracts.saveMaterial,
  permit: permit('keep records'),
  run: ({ trx }, { id, revision, fields }) =>
    saveNamed(
      'material',
      id,
      (made) => createMaterial(trx, made, fields),
      (own) => updateMaterial(trx, own, fields, revision),
    ),
});

export const saveRecipe = operation({
  contract: contracts.saveRecipe,
  permit: permit('keep records'),
  run: async ({ trx, now }, { coatingId, versionId, changed, unit, notes, lines }) => {
    const known = new Set((await listMaterials(trx)).map(({ id }) => id));
    if (!lines.every((line) => known.has(line.materialId))) throw notFound('One of these materials');
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
