/** Designs name coatings, materials and bodies by id; people read names. */
export const named = (text: string, names: ReadonlyMap<string, string>): string =>
  text.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, (id) => names.get(id) ?? id);

/** The same for the names and values of a tile's variables. */
export const namedFactors = (
  factors: Record<string, string>,
  names: ReadonlyMap<string, string>,
): Record<string, string> =>
  Object.fromEntries(
    Object.entries(factors).map(([name, value]) => [named(name, names), named(value, names)]),
  );

/** What a blend is called beside its question: "tile 12: A 50, C 50". */
export const blendNotes = (tiles: readonly number[], label: string): string =>
  `${tiles.length === 1 ? 'tile' : 'tiles'} ${tiles.join(', ')}: ${label}`.slice(0, 400);
