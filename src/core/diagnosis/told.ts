/**
 * A fact as a record answers it: its value, with the words it was read from, and where that record stands.
 */
export type Told = { fact: string; value: string; words: string; href?: string };

export const told = (fact: string, value: string, words: string): Told => ({ fact, value, words });
