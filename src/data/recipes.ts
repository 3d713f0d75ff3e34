import { insertMany, type Row, type Source } from './database';

export type RecipeLineFields = {
  materialId: string;
  amount: number;
  addition: boolean;
  /** Supplier, lot, or what it stands in for. */
  supply: string;
};

export type Recipe = {
  versionId: string;
  unit: 'percent' | 'parts';
  notes: string;
  lines: (RecipeLineFields & { name: string })[];
};

/** The recipes of these coating versions, by version id; a version without lines has none. */
export async function recipesOf(src: Source, versionIds: readonly string[]): Promise<Map<string, Recipe>> {
  const rows: Row[] = await src('recipe_line')
    .join('material', 'material.id', 'recipe_line.material_id')
    .join('coating_version', 'coating_version.id', 'recipe_line.coating_version_id')
    .whereIn('coating_version_id', versionIds)
    .orderBy(['recipe_line.coating_version_id', 'recipe_line.seq'])
    .select('recipe_line.*', 'material.name', 'coating_version.recipe_unit', 'coating_version.recipe_notes');
  const found = new Map<string, Recipe>();
  for (const row of rows) {
    const recipe: Recipe = found.get(row.coating_version_id) ?? {
      versionId: row.coating_version_id,
      unit: row.recipe_unit,
      notes: row.recipe_notes,
      lines: [],
    };
    recipe.lines.push({
      materialId: row.material_id,
      name: row.name,
      amount: row.amount,
      addition: Boolean(row.addition),
      supply: row.supply,
    });
    found.set(row.coating_version_id, recipe);
  }
  return found;
}

/** Puts a recipe in the place of the version's old one. */
export async function setRecipe(
  src: Source,
  versionId: string,
  recipe: { unit: Recipe['unit']; notes: string; lines: readonly RecipeLineFields[] },
): Promise<void> {
  await src('coating_version')
    .where({ id: versionId })
    .update({ recipe_unit: recipe.unit, recipe_notes: recipe.notes });
  await src('recipe_line').where({ coating_version_id: versionId }).delete();
  await insertMany(
    src,
    'recipe_line',
    recipe.lines.map((line, i) => ({
      coating_version_id: versionId,
      seq: i + 1,
      material_id: line.materialId,
      amount: line.amount,
      addition: line.addition,
      supply: line.supply,
    })),
  );
}

/** Which of these versions are on a piece that has been fired: those may not change any more. */
export async function firedVersions(src: Source, versionIds: readonly string[]): Promise<Set<string>> {
  const rows: Row[] = await src('layer')
    .join('placement', 'placement.piece_id', 'layer.piece_id')
    .join('firing', 'firing.id', 'placement.firing_id')
    .whereIn('layer.coating_version_id', versionIds)
    .where('layer.intent', 'done')
    .whereNull('layer.superseded_at')
    .whereNot('firing.kind', 'bisque')
    .whereIn('firing.status', ['firing', 'cooling', 'opened'])
    .distinct('layer.coating_version_id');
  return new Set(rows.map((row) => row.coating_version_id as string));
}
