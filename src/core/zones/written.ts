/**
 * What lies on a piece, as people write it in a table or on a board: "Pitch x2 + Tarn", "Tarn over Pitch",
 * "none", "?".
 */

/** A field that says that nobody knows. */
export const UNKNOWN_WORD = /^(unknown|\?+|n\.?\/?a\.?|-+|–|not known|unsure|tbd|tba|todo)$/i;
/** Nothing lies there. */
export const BARE_WORD = /^(none|bare|nothing|unglazed|no glaze|no coat)$/i;
/** There was something, and nobody can read it any more. */
export const LOST_WORD =
  /^(lost|key lost|forgot(ten)?|illegible|unreadable|not legible|cannot read|nobody knows)$/i;
/** Said with a doubt. */
const MAYBE = /^(?:probably|prob\.?|perhaps|maybe|likely|possibly)\s+|\s*\(?\?+\)?$/gi;

/** Names that differ in capitals, spaces and marks only are one name: what they have in common. */
export const plainName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** A coat as it is written: `coats` is '' where no number stands with it. */
export type WrittenCoat = { coating: string; coats: string };

/**
 * Coats of one field, first on first: "Pitch x2 + Tarn", "2x Pitch, Tarn" or, the other way round, "Tarn over
 * Pitch".
 */
export function writtenStack(text: string): WrittenCoat[] {
  const parts = /\sover\s/i.test(text)
    ? text.split(/\s+over\s+/i).reverse()
    : text.split(/\s*(?:\+|;|>|→|,)\s*/);
  return parts
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map((part) => {
      const after = /^(.*?)\s*[x×*]\s*(\d+)$/i.exec(part);
      if (after) return { coating: after[1]!, coats: after[2]! };
      const before = /^(\d+)\s*[x×*]\s*(.*)$/i.exec(part);
      if (before) return { coating: before[2]!, coats: before[1]! };
      return { coating: part, coats: '' };
    });
}

/** The name of a coat without its doubt, whether it was doubted, and whether anybody knows it at all. */
export function writtenName(coating: string): { name: string; doubted: boolean; unknown: boolean } {
  const name = coating.replace(MAYBE, '').trim();
  return {
    name,
    doubted: name !== coating.trim(),
    unknown: name === '' || UNKNOWN_WORD.test(coating) || LOST_WORD.test(name),
  };
}
