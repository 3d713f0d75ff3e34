import type { Analysis, Hazard } from '@/core/chemistry';
import type { Row, Source } from './database';
import { slugOf } from './ids';

export const MATERIAL_KINDS = ['theoretical', 'typical', 'own'] as const;

export type MaterialFields = {
  name: string;
  analysis: Analysis | null;
  density: number | null;
  hazards: Hazard[];
  stockG: number | null;
  pricePerKg: number | null;
  notes: string;
};

export type Material = MaterialFields & {
  id: string;
  slug: string;
  kind: (typeof MATERIAL_KINDS)[number];
  revision: number;
  archived: boolean;
};

const material = (row: Row): Material => ({
  id: row.id,
  slug: row.slug,
  name: row.name,
  kind: row.kind,
  analysis: row.analysis,
  density: row.density,
  hazards: row.hazards,
  stockG: row.stock_g,
  pricePerKg: row.price_per_kg,
  notes: row.notes,
  revision: row.revision,
  archived: row.archived_at !== null,
});

const columns = (fields: MaterialFields): Record<string, unknown> => ({
  name: fields.name,
  analysis: fields.analysis === null ? null : JSON.stringify(fields.analysis),
  density: fields.density,
  hazards: JSON.stringify(fields.hazards),
  stock_g: fields.stockG,
  price_per_kg: fields.pricePerKg,
  notes: fields.notes,
});

/** All materials by name. */
export async function listMaterials(src: Source): Promise<Material[]> {
  return (await src('material').orderBy('name')).map(material);
}

/** A studio's own material. */
export async function createMaterial(src: Source, id: string, fields: MaterialFields): Promise<string> {
  const slug = slugOf(fields.name);
  const taken = new Set((await src('material').select('slug')).map((row: Row) => row.slug));
  let free = slug;
  for (let n = 2; taken.has(free); n++) free = `${slug}-${n}`;
  await src('material').insert({ id, slug: free, kind: 'own', ...columns(fields) });
  return free;
}

/**
 * What a studio says of a shipped material makes it the studio's own. False when it was changed meanwhile.
 */
export async function updateMaterial(
  src: Source,
  id: string,
  fields: MaterialFields,
  revision: number,
): Promise<boolean> {
  const before = await src('material').where({ id }).first();
  const same = before !== undefined && JSON.stringify(before.analysis) === JSON.stringify(fields.analysis);
  return (
    (await src('material')
      .where({ id, revision })
      .update({
        ...columns(fields),
        ...(same ? {} : { kind: 'own' }),
        revision: revision + 1,
      })) === 1
  );
}

/** Takes weighed-out grams off the shelf; never below nothing, and not where stock is not kept. */
export async function takeMaterials(
  src: Source,
  used: readonly { id: string; grams: number }[],
): Promise<void> {
  for (const { id, grams } of used)
    await src('material')
      .where({ id })
      .whereNotNull('stock_g')
      .update({ stock_g: src.raw('GREATEST(0, stock_g - ?)', [grams]) });
}
