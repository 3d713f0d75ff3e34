import { signOf } from '../signs';
import { figure } from '../units';
import type { Division } from './divisions';
import type { CellSummary, Standing } from './standing';

const WORDS: Record<Standing, string> = {
  untried: 'untried',
  once: 'seen once',
  repeated: 'repeated',
  settled: 'settled',
  depends: 'depends',
  contradictory: 'contradictory',
};

/** "seen once", "repeated" … */
export const describeStanding = (standing: Standing): string => WORDS[standing];

const isFact = (about: string): boolean => signOf(about) === undefined;

/** What a side shows: "gloss", "with pinholes", "without pinholes". */
export function sideWords(about: string, value: string): string {
  if (isFact(about)) return about === 'run' ? `ran ${value}` : value;
  const sign = signOf(about)!.name.toLowerCase();
  return `${value === 'present' ? 'with' : 'without'} ${sign}`;
}

/** "49 of 50 gloss": what most show, among those that say it. */
export function mostWords({ about, sides }: Pick<Division, 'about' | 'sides'>): string {
  const all = sides.reduce((sum, { count }) => sum + count, 0);
  const most = sides[0]!;
  return `${figure(most.count, 0)} of ${figure(all, 0)} ${sideWords(about, most.value)}`;
}

const list = (words: readonly string[], last: string): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} ${last} ${words.at(-1)}`;

/**
 * What tells the sides apart: "depends on seconds", "perhaps seconds, one of 14 looked at", or that nothing
 * does.
 */
export function toldWords({ told, looked }: Pick<Division, 'told' | 'looked'>): string {
  const names = told.map(({ variable }) => variable);
  if (told.some(({ sure }) => sure)) return `depends on ${list(names, 'and')}`;
  if (names.length > 0)
    return `perhaps ${list(names, 'or')}, ${names.length === 1 ? 'one' : names.length} of ${looked} looked at`;
  return looked === 0
    ? 'nothing recorded differs between them'
    : `nothing recorded tells them apart (${looked} looked at)`;
}

/**
 * How well a cell is known, in a few words: "3 agree so far", "settled: 49 of 50 gloss", "depends on
 * seconds".
 */
export function standingWords(cell: Pick<CellSummary, 'standing' | 'speaking' | 'divisions'>): string {
  const exceptions = cell.divisions.filter(({ weight }) => weight === 'exception').map(mostWords);
  switch (cell.standing) {
    case 'settled':
      return exceptions.length > 0 ? `settled: ${exceptions.join(', ')}` : 'settled';
    case 'repeated':
      if (exceptions.length > 0) return `${exceptions.join(', ')} so far`;
      return cell.speaking >= 3 ? `${cell.speaking} agree so far` : 'repeated';
    case 'depends': {
      const told = cell.divisions.flatMap((one) => (one.weight === 'depends' ? one.told : []));
      return `depends on ${list([...new Set(told.map(({ variable }) => variable))], 'and')}`;
    }
    default:
      return WORDS[cell.standing];
  }
}
