import { distance } from 'fastest-levenshtein';

/** Words that tell one thing of a studio from another no better than silence. */
const IDLE = new Set(['the', 'body', 'clay', 'glaze', 'slip', 'kiln', 'mr', 'mrs', 'ms']);

const bare = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== '' && !IDLE.has(word))
    .join('');

/**
 * Names that may mean one thing: the same but for case, spaces and words like "glaze", or a slip of
 * the pen apart (one letter, two in long names). Figures count: "Clear 1" and "Clear 2" are two.
 */
export function likelyDoubles<T extends { name: string }>(entries: readonly T[]): [T, T][] {
  const found: [T, T][] = [];
  entries.forEach((a, i) => {
    for (const b of entries.slice(i + 1)) {
      const [x, y] = [bare(a.name), bare(b.name)];
      const figures = (text: string): string => text.replace(/\D/g, '');
      if (x === '' || y === '' || figures(x) !== figures(y)) continue;
      const slack = Math.min(x.length, y.length) >= 8 ? 2 : Math.min(x.length, y.length) >= 4 ? 1 : 0;
      if (distance(x, y) <= slack) found.push([a, b]);
    }
  });
  return found;
}
