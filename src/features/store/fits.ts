/** How glazes sit on the studio's bodies: measured, computed, and by what was seen craze or hold. */
import { analyse, expansion, fit } from '@/core/chemistry';
import { disagreement, placeBody, type Examined, type Own, type Placed } from '@/core/fit';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import { examinedPieces } from '@/data/examined';
import { recipesOf } from '@/data/recipes';
import { bodyTestsOf } from '@/data/stock';
import { recipeMaterials } from './queries';
import { linesOf } from './recipe';

export type BodyFit = {
  id: string;
  name: string;
  /** Its own expansion, 10⁻⁶/K, where somebody measured or settled on one. */
  value: number | null;
  /** Above which computed expansion glazes craze on it, by the records. */
  placed: Placed | null;
  /** Where record and computation disagree, by coating version ("slug#2"), newest words first. */
  against: { coating: string; name: string; says: string }[];
  /** Its pieces by coating version ("slug#2"). */
  own: Record<string, Own>;
};

/** Appen's expansion of every coating version that has a recipe, by "slug#2". */
async function computed(src: Source): Promise<Map<string, { name: string; appen: number }>> {
  const [coatings, materials] = await Promise.all([listCoatings(src), recipeMaterials(src)]);
  const recipes = await recipesOf(
    src,
    coatings.flatMap(({ versions }) => versions.map(({ id }) => id)),
  );
  const found = new Map<string, { name: string; appen: number }>();
  for (const { slug, name, versions } of coatings)
    for (const { id, no } of versions) {
      const recipe = recipes.get(id);
      if (recipe === undefined) continue;
      try {
        const chemistry = analyse(linesOf(recipe, materials));
        // A recipe of which a tenth has no analysis has no figure.
        if (chemistry !== null && chemistry.unknown.share < 0.1)
          found.set(`${slug}#${no}`, {
            name: no === 1 ? name : `${name} v${no}`,
            appen: expansion(chemistry).appen,
          });
      } catch {
        // A recipe that sums to nothing has none either.
      }
    }
  return found;
}

/** Every body with what is measured of it, and what its glazes say; `bodyId`: only that one. */
export async function bodyFits(src: Source, bodyId?: string): Promise<BodyFit[]> {
  const [bodies, figures, shown] = await Promise.all([
    listBodies(src),
    computed(src),
    examinedPieces(src, bodyId),
  ]);
  const fits: BodyFit[] = [];
  for (const body of bodies) {
    if (body.archived || (bodyId !== undefined && body.id !== bodyId)) continue;
    const tests = await bodyTestsOf(src, body.id);
    const newest = (kind: string): number | null =>
      tests.find((test) => test.kind === kind && test.value !== null)?.value ?? null;
    const value = newest('expansion');
    const pieces = shown.flatMap(({ slug, version, ...one }): Examined[] => {
      const glaze = `${slug}#${version}`;
      const figure = figures.get(glaze);
      return one.bodyId !== body.id || figure === undefined
        ? []
        : [{ ...one, glaze, expansion: figure.appen }];
    });
    const placed = placeBody(pieces, { measured: value, absorption: newest('absorption') });
    if (value === null && placed === null) continue;
    const against = [...new Set(pieces.map(({ glaze }) => glaze))].sort().flatMap((glaze) => {
      const { name, appen } = figures.get(glaze)!;
      const own = pieces.filter((one) => one.glaze === glaze);
      const says = value === null ? null : disagreement(fit(appen, value), own);
      return says === null ? [] : [{ coating: glaze, name, says }];
    });
    const own: Record<string, Own> = {};
    for (const { glaze, found } of pieces) {
      const one = (own[glaze] ??= { crazed: 0, pieces: 0 });
      one.pieces++;
      if (found !== 'sound') one.crazed++;
    }
    fits.push({ id: body.id, name: body.name, value, placed, against, own });
  }
  return fits;
}
