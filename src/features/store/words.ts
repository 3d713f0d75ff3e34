const LOW = '₀₁₂₃₄₅₆₇₈₉';

/** An oxide as it is written: "Al2O3" → "Al₂O₃". */
export const formula = (text: string): string => text.replace(/\d/g, (digit) => LOW[Number(digit)] as string);
