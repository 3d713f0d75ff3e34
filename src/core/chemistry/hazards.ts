/** What to beware of in a material, and the usual words about it. Never says that something is safe. */
export const HAZARDS = {
  'silica dust': 'Respirable crystalline silica: fitted respirator, wet cleaning, never sweep or blow.',
  dust: 'Fine dust: fitted respirator when weighing or mixing dry, wet cleaning.',
  barium: 'Poisonous when swallowed or breathed: gloves, no food at the bench.',
  manganese: 'Harms the nerves as dust and as fume: respirator, gloves, kiln vented.',
  chromium: 'Dust harms lungs and skin, and firing may form chromium VI: respirator, gloves, vent.',
  cobalt: 'Dust harms lungs, skin may react: respirator, gloves.',
  nickel: 'Dust is known to cause cancer, skin may react: respirator, gloves.',
  copper: 'Harmful when swallowed or breathed, fumes in the kiln: gloves, vent.',
  lithium: 'Harmful when swallowed; extra care with children and in pregnancy: ask.',
  vanadium: 'Poisonous dust: respirator, gloves.',
  antimony: 'Poisonous dust and fume: respirator, gloves, vent.',
  lead: 'Poisonous, builds up in the body: not for studios with students; ask before use.',
  cadmium: 'Poisonous, builds up in the body, fumes when fired: ask before use.',
  selenium: 'Poisonous dust and fume: respirator, gloves, vent.',
  uranium: 'Poisonous and radioactive: not without a licence.',
  boron: 'May harm fertility in amounts: gloves, no dust.',
  caustic: 'Burns skin and eyes when wet: gloves and goggles.',
  fumes: 'Gives off fumes in the kiln: vent it, stay out of the room.',
  'not on food ware':
    'Not for the inside of food ware unless a laboratory leach test passes on this glaze, body and firing.',
} as const satisfies Record<string, string>;

export type Hazard = keyof typeof HAZARDS;
export const HAZARD_NAMES = Object.keys(HAZARDS) as Hazard[];

/** What is in a fired glaze still, and may come out of it. */
const IN_THE_GLAZE: readonly string[] = [
  'barium',
  'manganese',
  'chromium',
  'cobalt',
  'nickel',
  'copper',
  'lithium',
  'vanadium',
  'antimony',
  'lead',
  'cadmium',
  'selenium',
  'uranium',
  'not on food ware',
] satisfies Hazard[];

type Hazardous = { name: string; hazards: readonly string[] };

/**
 * Each material once, with all there is to beware of in it, in a fixed order; materials of which the
 * same is to be said share a line. Of a material without hazards nothing is said.
 */
export function hazardsByMaterial(
  materials: readonly Hazardous[],
  leaveOut: readonly Hazard[] = [],
): { from: string[]; words: string }[] {
  const lines = new Map<string, Set<string>>();
  for (const { name, hazards } of materials) {
    const words = HAZARD_NAMES.filter((one) => hazards.includes(one) && !leaveOut.includes(one))
      .map((one) => HAZARDS[one])
      .join(' ');
    if (words !== '') lines.set(words, (lines.get(words) ?? new Set()).add(name));
  }
  return [...lines].map(([words, from]) => ({ words, from: [...from] }));
}

/** A coat as its cautions are read: what the studio says of it, and what its recipe holds. */
export type CoatCaution = { name: string; words: string; materials: readonly Hazardous[] };

/**
 * What to beware of in the coats of a fired piece, each said once: the studio's own words, and the
 * materials that stay in the glaze. Silence is no clearance: a recipe may not be on record.
 */
export function firedCautions(coats: readonly CoatCaution[]): string[] {
  const said = coats.flatMap(({ name, words }) => (words.trim() === '' ? [] : [`${name}: ${words}`]));
  const held = coats.flatMap(({ name, materials }) =>
    materials
      .filter(({ hazards }) => hazards.some((one) => IN_THE_GLAZE.includes(one)))
      .map((one) => `${one.name.toLowerCase()} (${name})`),
  );
  const holds =
    held.length === 0 ? [] : [`Holds ${[...new Set(held)].join(', ')}. ${HAZARDS['not on food ware']}`];
  return [...new Set([...said, ...holds])];
}
