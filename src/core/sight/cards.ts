/** A card as a studio states it: the lightness L* of its steps, dark to light. */
export type Card = readonly number[];

/**
 * Cards that are tried where nobody says which there is: black, 18 % grey and white of the trade, and plain
 * ones. From memory.
 */
export const USUAL_CARDS: readonly Card[] = [
  [20.5, 49.5, 95.3],
  [30, 60, 90],
  [39, 62, 85],
  [50, 90],
];
