import type { Paints } from './Silhouette';

/** A coating as a drawing needs it; blends of a question have their own names by version. */
export type Painted = {
  slug: string;
  name: string;
  colour: string;
  blends?: Record<number, string>;
};

/** What a drawing needs from the store: colours and names by slug, and what the body is called. */
export function paintsOf(
  bodyColour: string,
  coatings: readonly Painted[],
  bodyName: string | null = null,
): Paints {
  const bySlug = new Map(coatings.map((coating) => [coating.slug, coating]));
  return {
    body: bodyColour,
    bodyName,
    coat: (slug, version) => {
      const coating: Omit<Painted, 'slug'> = bySlug.get(slug) ?? { colour: '#8c8c8c', name: slug };
      const blend = version === undefined ? undefined : coating.blends?.[version];
      return blend === undefined ? coating : { ...coating, name: blend };
    },
  };
}
