/** What to beware of in a material, and the usual words about it. Never says that something is safe. */
export const HAZARDS = {
  'silica dust':
    'Respirable crystalline silica: fitted respirator, wet cleaning, never sweep or blow.',
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

/** The hazards of several materials together, each once, in a fixed order, with who brings it. */
export function hazardsOf(
  materials: readonly { name: string; hazards: readonly string[] }[],
): { hazard: Hazard; words: string; from: string[] }[] {
  return HAZARD_NAMES.flatMap((hazard) => {
    const from = materials.filter((one) => one.hazards.includes(hazard)).map((one) => one.name);
    return from.length === 0 ? [] : [{ hazard, words: HAZARDS[hazard], from }];
  });
}
