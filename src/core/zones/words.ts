import { describeRegion } from './region';
import type { Layer, StackEntry } from './types';

const CLASS_WORDS: Record<string, [one: string, many: string]> = {
  dip: ['dip', 'dips'],
  brush: ['coat', 'coats'],
  spray: ['sprayed coat', 'sprayed coats'],
  trail: ['trailed', 'trailed'],
  sponge: ['sponged coat', 'sponged coats'],
  inlay: ['inlaid', 'inlaid'],
  wiped: ['wiped back', 'wiped back'],
};

/** "dip×2 thin" → "2 dips, thin". */
export function describeAmount(amount: string): string {
  const match = /^([a-z-]+)×(\d+)(?: (.+))?$/.exec(amount);
  if (!match) return amount;
  const [, method, coats, weight] = match;
  const count = Number(coats);
  const [one, many] = CLASS_WORDS[method as string] ?? [method as string, `${method}s`];
  const bare = one === many && count === 1;
  return `${bare ? '' : `${count} `}${count === 1 ? one : many}${weight ? `, ${weight}` : ''}`;
}

/**
 * A stack as people say it, top first: "Tarn over Pitch".
 * @param name gives a coating's name for its slug.
 */
export function describeStack(
  stack: readonly StackEntry[],
  name: (slug: string) => string,
  options: { amounts: boolean } = { amounts: false },
): string {
  if (stack.length === 0) return 'bare';
  return [...stack]
    .reverse()
    .map((entry) =>
      options.amounts
        ? `${name(entry.coat.slug)} (${describeAmount(entry.amount)})`
        : name(entry.coat.slug),
    )
    .join(' over ');
}

/** What was done otherwise than meant, layer by layer, in words. Empty when nothing differs. */
export function deviations(
  meant: readonly Layer[],
  done: readonly Layer[],
  name: (slug: string) => string,
): string[] {
  const found: string[] = [];
  const count = Math.max(meant.length, done.length);
  for (let i = 0; i < count; i++) {
    const [a, b] = [meant[i], done[i]];
    const nth = `Layer ${i + 1}`;
    if (a === undefined && b !== undefined) {
      found.push(`${nth}: ${name(b.coat.slug)} was put on though it was not meant.`);
    } else if (a !== undefined && b === undefined) {
      found.push(`${nth}: ${name(a.coat.slug)} was meant but not put on.`);
    } else if (a !== undefined && b !== undefined) {
      const changes: string[] = [];
      if (a.coat.slug !== b.coat.slug)
        changes.push(`${name(b.coat.slug)} instead of ${name(a.coat.slug)}`);
      else if (a.coat.version !== b.coat.version) {
        changes.push(`${name(b.coat.slug)} version ${b.coat.version} instead of ${a.coat.version}`);
      }
      if (a.method !== b.method) changes.push(`${b.method} instead of ${a.method}`);
      if (a.coats !== b.coats)
        changes.push(`${b.coats} instead of ${a.coats} ${a.coats === 1 ? 'coat' : 'coats'}`);
      if (a.weight !== b.weight) changes.push(`${b.weight} instead of ${a.weight}`);
      if (b.seconds !== null && a.seconds !== null && a.seconds !== b.seconds) {
        changes.push(`${b.seconds} s instead of ${a.seconds} s`);
      }
      if (a.stage !== b.stage) changes.push(`on ${b.stage} instead of ${a.stage}`);
      if (a.driedBefore === true && b.driedBefore === false) changes.push('not dried before it');
      const [was, is] = [describeRegion(a.region), describeRegion(b.region)];
      if (was !== is) changes.push(`${is} instead of ${was}`);
      if (changes.length > 0) found.push(`${nth}: ${changes.join('; ')}.`);
    }
  }
  return found;
}
