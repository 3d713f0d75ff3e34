/** What to beware of in coats, wherever a stack is shown: the studio's words and what recipes hold. */
import type { CoatCaution } from '@/core/chemistry';
import type { Coat } from '@/core/zones';
import type { Row, Source } from './database';

const keyOf = ({ slug, version }: Pick<Coat, 'slug' | 'version'>): string => `${slug}#${version}`;

/** The cautions of these coats in one read each of coatings and recipes; look one up by its coat. */
export async function cautionsOf(
  src: Source,
  coats: readonly Pick<Coat, 'slug' | 'version'>[],
): Promise<(coat: Pick<Coat, 'slug' | 'version'>) => CoatCaution[]> {
  const slugs = [...new Set(coats.map(({ slug }) => slug))];
  const found = new Map<string, { name: string; words: string; materials: Map<string, string[]> }>();
  if (slugs.length > 0) {
    const rows: Row[] = await src('coating')
      .join('coating_version', 'coating_version.coating_id', 'coating.id')
      .leftJoin('recipe_line', 'recipe_line.coating_version_id', 'coating_version.id')
      .leftJoin('material', 'material.id', 'recipe_line.material_id')
      .whereIn('coating.slug', slugs)
      .orderBy(['coating.slug', 'coating_version.no', 'recipe_line.seq'])
      .select(
        'coating.slug',
        'coating_version.no',
        'coating.name',
        'coating.cautions',
        'material.name as material',
        'material.hazards',
      );
    for (const row of rows) {
      const key = keyOf({ slug: row.slug, version: row.no });
      const one = found.get(key) ?? { name: row.name, words: row.cautions, materials: new Map() };
      if (row.material !== null) one.materials.set(row.material, row.hazards ?? []);
      found.set(key, one);
    }
  }
  return (coat) => {
    const one = found.get(keyOf(coat));
    return one === undefined
      ? []
      : [
          {
            name: one.name,
            words: one.words,
            materials: [...one.materials].map(([name, hazards]) => ({ name, hazards })),
          },
        ];
  };
}

/** Every coat on a piece: its layers as done, and the slips of its faces. */
export const coatsOn = (piece: {
  faces: readonly { slip: Coat | null }[];
  layers: readonly { coat: Coat }[];
}): Coat[] => [...piece.faces.flatMap(({ slip }) => slip ?? []), ...piece.layers.map(({ coat }) => coat)];
