/** Marks that a studio gives its pieces in a row: "1–27", "T1-T9", or a pasted list. */

/** A series longer than this is a slip of the finger. */
const LONGEST = 500;
const RANGE = /^(.*?)(\d+)\s*[–—-]\s*(?:\1)?(\d+)$/;

/**
 * The marks that a text stands for, in order: a range counts up with its leading zeros, anything else
 * is a list by lines, commas, semicolons or tabs. Null for a range that goes down or on for ever.
 */
export function markSeries(text: string): string[] | null {
  const trimmed = text.trim();
  if (trimmed === '') return [];
  const range = RANGE.exec(trimmed);
  if (range !== null && !/[\n,;\t]/.test(trimmed)) {
    const [, before, first, last] = range as unknown as [string, string, string, string];
    const [from, to] = [Number(first), Number(last)];
    if (to < from || to - from >= LONGEST) return null;
    return Array.from({ length: to - from + 1 }, (_, i) =>
      `${before}${String(from + i).padStart(first.length, '0')}`.trim(),
    );
  }
  return trimmed
    .split(/[\n,;\t]/)
    .map((one) => one.trim())
    .filter((one) => one !== '');
}
