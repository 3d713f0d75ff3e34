import type { Paints } from './Silhouette';

/** What a drawing needs from the store: colours and names by slug. */
export function paintsOf(
  bodyColour: string,
  coatings: readonly { slug: string; name: string; colour: string }[],
): Paints {
  const bySlug = new Map(coatings.map((coating) => [coating.slug, coating]));
  return {
    body: bodyColour,
    coat: (slug) => bySlug.get(slug) ?? { colour: '#8c8c8c', name: slug },
  };
}
