const LOW = '₀₁₂₃₄₅₆₇₈₉';

/** An oxide as it is written: "Al2O3" → "Al₂O₃". */
export const formula = (text: string): string =>
  text.replace(/\d/g, (digit) => LOW[Number(digit)] as string);

/** Grams as a person weighs them: "1.25 kg" from a kilogram on, "12.5 g" below. */
export const weight = (grams: number): string =>
  grams >= 1000
    ? `${Number((grams / 1000).toFixed(3))} kg`
    : `${Number(grams.toFixed(grams < 10 ? 2 : 1))} g`;
