/** A recipe while it is typed: amounts stay as typed until they are read. */
import type { Swap } from '@/core/chemistry';
import { percentOf } from '@/core/slurry';
import { fieldNumber } from '@/core/units';
import type { Recipe } from '@/data/recipes';

export type EditLine = {
  key: number;
  materialId: string | null;
  amount: string;
  addition: boolean;
  supply: string;
};
type Named = { id: string; name: string };

/** To the hundredth, as amounts are written. */
export const tidy = (value: number): number => Number(value.toFixed(2));

/** What was typed for an amount: a number from 0 on, or null when it is none. */
export function amountOf(line: EditLine): number | null {
  const amount = fieldNumber(line.amount);
  return amount !== null && amount >= 0 ? amount : null;
}

export const editable = (recipe: Recipe | null): EditLine[] =>
  (recipe?.lines ?? []).map((line, i) => ({
    key: i + 1,
    materialId: line.materialId,
    amount: String(line.amount),
    addition: line.addition,
    supply: line.supply,
  }));

const nextKey = (lines: readonly EditLine[]): number => 1 + Math.max(0, ...lines.map(({ key }) => key));

/** The lines with an empty one at their end. */
export const withBlank = (lines: readonly EditLine[]): EditLine[] => [
  ...lines,
  { key: nextKey(lines), materialId: null, amount: '', addition: false, supply: '' },
];

/** Each line in percent of the base; nulls when the base sums to nothing. */
export function percentsOf(lines: readonly EditLine[]): (number | null)[] {
  try {
    return percentOf(
      lines.map((line) => ({ name: '', amount: amountOf(line) ?? 0, addition: line.addition })),
    ).map(({ percent }) => percent);
  } catch {
    return lines.map(() => null);
  }
}

/** The lines with their base made to sum to 100, additions in proportion. */
export function madeHundred(lines: readonly EditLine[]): EditLine[] {
  const percents = percentsOf(lines);
  return lines.map((line, i) => {
    const percent = percents[i] ?? null;
    return percent === null ? line : { ...line, amount: String(tidy(percent)) };
  });
}

/** Takes a line out and puts what stands in for it in its place, or on top of lines that have it. */
export function swapIn(
  lines: readonly EditLine[],
  out: EditLine,
  found: Swap,
  materials: readonly Named[],
): EditLine[] {
  const at = lines.findIndex(({ key }) => key === out.key);
  const next = lines.filter(({ key }) => key !== out.key);
  let key = nextKey(lines);
  for (const { name, amount } of found.amounts) {
    const materialId = materials.find((one) => one.name === name)?.id ?? null;
    const there = next.findIndex((line) => line.materialId === materialId && line.addition === out.addition);
    const held = next[there];
    if (held === undefined)
      next.splice(at, 0, {
        key: key++,
        materialId,
        amount: String(tidy(amount)),
        addition: out.addition,
        supply: '',
      });
    else next[there] = { ...held, amount: String(tidy((amountOf(held) ?? 0) + amount)) };
  }
  return next;
}

/** What differs per 100 of base: "Silica 20 → 25 g, Talc 0 → 3 g"; the same when nothing does. */
export function differenceInWords(
  before: Recipe,
  lines: readonly EditLine[],
  materials: readonly Named[],
): string {
  const add = (sums: Map<string, number>, name: string, percent: number): void => {
    sums.set(name, (sums.get(name) ?? 0) + percent);
  };
  const [was, now] = [new Map<string, number>(), new Map<string, number>()];
  for (const { name, percent } of percentOf(before.lines)) add(was, name, percent);
  percentsOf(lines).forEach((percent, i) => {
    const name = materials.find(({ id }) => id === lines[i]?.materialId)?.name;
    if (name !== undefined) add(now, name, percent ?? 0);
  });
  const changed = [...new Set([...was.keys(), ...now.keys()])].flatMap((name) => {
    const [a, b] = [tidy(was.get(name) ?? 0), tidy(now.get(name) ?? 0)];
    return Math.abs(a - b) < 0.02 ? [] : [`${name} ${a} → ${b} g`];
  });
  return changed.length === 0 ? 'the same amounts.' : `${changed.join(', ')}.`;
}
