/**
 * What refires did in this studio, by fault and by what lay on the pieces: told before a piece goes in again.
 */
import { signOf } from '../signs';
import { wilson } from '../statistics';
import { becameOf } from './refired';
import type { SeenSign } from './looks';

type Sign = Pick<SeenSign, 'sign' | 'severity'>;

/**
 * One piece that went in again, with the faults that were seen before and after; each firing went over the
 * surface.
 */
export type RefirePassage = {
  firingId: string;
  /** What lay on it: the coats of each of its stacks, "pitch+tarn", without their amounts. */
  stacks: readonly string[];
  before: readonly Sign[];
  after: readonly Sign[];
};

/** Of so many pieces with a fault that were refired, what became of it, and in how many firings. */
export type RefireRecord = {
  sign: string;
  /** On these coats alone; null: on all. */
  stack: string | null;
  pieces: number;
  firings: number;
  healed: number;
  less: number;
  same: number;
  worse: number;
};

/** Faults that came new with a refire. */
export type CameNew = { sign: string; pieces: number; of: number };

function recordOf(passages: readonly RefirePassage[], sign: string, stack: string | null): RefireRecord {
  const own = passages.flatMap((passage) => {
    const became = becameOf(passage.before, passage.after).find((one) => one.sign === sign);
    return became === undefined ? [] : [{ ...became, firingId: passage.firingId }];
  });
  const n = (word: string): number => own.filter(({ became }) => became === word).length;
  return {
    sign,
    stack,
    pieces: own.length,
    firings: new Set(own.map(({ firingId }) => firingId)).size,
    healed: n('healed'),
    less: n('less'),
    same: n('same'),
    worse: n('worse'),
  };
}

/** Every fault that was ever refired, over all stacks and by each stack, the commonest first. */
export function refireRecords(passages: readonly RefirePassage[]): RefireRecord[] {
  const signs = new Set(passages.flatMap(({ before }) => before.map(({ sign }) => sign)));
  return [...signs]
    .flatMap((sign) => {
      const own = passages.filter(({ before }) => before.some((one) => one.sign === sign));
      const stacks = new Set(own.flatMap((passage) => passage.stacks));
      return [null, ...stacks].map((stack) =>
        recordOf(stack === null ? own : own.filter((passage) => passage.stacks.includes(stack)), sign, stack),
      );
    })
    .sort((a, b) => b.pieces - a.pieces);
}

/** What came that was not there before, of all refires; the commonest first. */
export function cameNew(passages: readonly RefirePassage[]): CameNew[] {
  const counts = new Map<string, number>();
  for (const { before, after } of passages)
    for (const { sign } of after)
      if (!before.some((one) => one.sign === sign)) counts.set(sign, (counts.get(sign) ?? 0) + 1);
  return [...counts]
    .map(([sign, pieces]) => ({ sign, pieces, of: passages.length }))
    .sort((a, b) => b.pieces - a.pieces || (a.sign < b.sign ? -1 : 1));
}

const name = (sign: string): string => signOf(sign)?.name.toLowerCase() ?? sign;
const percent = (share: number): number => Math.round(100 * share);

/** Below this many firings a share would say more than is known: pieces of one firing share their fate. */
const FIRINGS_FOR_A_SHARE = 3;

/** "Pinholes: of 9 refired in 4 firings 5 healed, 2 the same, 2 worse (healed: 27 to 81 %)". */
export function refireWords(record: RefireRecord): string {
  const { sign, pieces, firings, healed, less, same, worse } = record;
  const counts = [
    [healed, 'healed'],
    [less, 'milder'],
    [same, 'the same'],
    [worse, 'worse'],
  ] as const;
  const said = counts
    .filter(([n]) => n > 0)
    .map(([n, word]) => `${n} ${word}`)
    .join(', ');
  const { low, high } = wilson(healed, pieces);
  const share =
    firings < FIRINGS_FOR_A_SHARE
      ? `${firings === 1 ? 'one firing' : `${firings} firings`}: too few for a share`
      : `healed: ${percent(low)} to ${percent(high)} %`;
  return `${name(sign)}: of ${pieces} refired${firings < FIRINGS_FOR_A_SHARE ? '' : ` in ${firings} firings`} ${said} (${share})`;
}

/** "2 of 14 refires brought blisters"; what came once is told too: it is a risk. */
export const cameNewWords = ({ sign, pieces, of }: CameNew): string =>
  `${pieces} of ${of} refires brought ${name(sign)}`;
