/**
 * What the records of the work around a firing answer: the bucket that day, the bisque, whose pieces they
 * are, what stood beside them, and how the reduction went. Thresholds are judgement; what is too thin says
 * nothing.
 */
import { STRENGTH } from '../atmosphere';
import { plannedAt, type Reading } from '../heatwork';
import { count } from '../units';
import { told, type Told } from './told';

const DAY = 86_400_000;
const HOUR = 3600;

/** A bucket as it was measured and stirred. */
export type BucketRecord = {
  name: string;
  /** How it is meant to be; null where nobody said. */
  wantedSg: number | null;
  entries: readonly { at: Date; kind: string; sg: number | null; seconds: number | null }[];
};

/** A reading of the bucket says how it was so many days before and after. */
const READ_WITHIN = 21;
/** Weights closer than this are the same bucket. */
const SAME_SG = 0.03;
/** At the right weight, a cup that takes so many times longer holds slurry that has gelled. */
const GELLED = 1.5;

const middle = (values: readonly number[]): number | null =>
  values.length === 0 ? null : [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** What one bucket was on the day of glazing, by its reading nearest in time. */
function bucketOn(
  { name, wantedSg, entries }: BucketRecord,
  glazed: Date,
): { told: Told; apart: number } | null {
  const [near] = entries
    .filter(({ sg }) => sg !== null)
    .map((entry) => ({ entry, apart: Math.abs(entry.at.getTime() - glazed.getTime()) }))
    .filter(({ apart }) => apart <= READ_WITHIN * DAY)
    .sort((a, b) => a.apart - b.apart);
  if (near === undefined) return null;
  const { entry, apart } = near;
  const others = entries.filter((one) => one !== entry);
  const wanted = wantedSg ?? middle(others.flatMap(({ sg }) => sg ?? []));
  if (wanted === null) return null;
  const by = entry.sg! - wanted;
  const days = Math.round(apart / DAY);
  const when = days === 0 ? 'that day' : `${count(days, 'day')} ${entry.at < glazed ? 'before' : 'after'}`;
  const words = `${name}: ${entry.sg!.toFixed(2)} against ${wanted.toFixed(2)}, measured ${when}`;
  const as = (value: string, more = ''): { told: Told; apart: number } => ({
    told: told('sg', value, words + more),
    apart,
  });
  if (by > SAME_SG) return as('high');
  if (by < -SAME_SG) return as('low');
  const usual = middle(others.flatMap(({ seconds }) => seconds ?? []));
  return entry.seconds !== null && usual !== null && entry.seconds > GELLED * usual
    ? as('gelled', `, but it ran ${entry.seconds} s through the cup, usually ${usual} s`)
    : as('usual');
}

/**
 * How the buckets of a coat were on the day of glazing: the one whose reading is nearest in time speaks.
 * Where several were in use and were not alike nobody knows out of which it came: null.
 */
export function readBucket(buckets: readonly BucketRecord[], glazed: Date): Told | null {
  const all = buckets.flatMap((one) => bucketOn(one, glazed) ?? []).sort((a, b) => a.apart - b.apart);
  const [first] = all;
  return first !== undefined && all.every(({ told: { value } }) => value === first.told.value)
    ? first.told
    : null;
}

/** A bisque: its log, what cone it was and what is usual there, as ordinals. */
export type BisqueRecord = {
  name: string;
  log: readonly Reading[];
  cone: number | null;
  usual: readonly number[];
};

/** Degrees an hour over the stretch in which carbon and sulphur have to go. */
function climb(log: readonly Reading[], from: number, to: number): number | null {
  const first = log.findIndex(({ c }) => c >= from);
  const last = log.findIndex(({ c }, i) => i > first && c >= to);
  if (first === -1 || last === -1) return null;
  const gap = log
    .slice(Math.max(0, first - 1), last + 1)
    .some(({ t }, i, part) => i > 0 && t - part[i - 1]!.t > 2 * HOUR);
  const seconds = log[last]!.t - log[first]!.t;
  return gap || seconds <= 0 ? null : ((log[last]!.c - log[first]!.c) * HOUR) / seconds;
}

/**
 * How it was bisqued: faster than 150 K/h from 300 to 900 °C is fast, under 80 is slow; and against its usual
 * cone.
 */
export function readBisque({ name, log, cone, usual }: BisqueRecord): Told[] {
  const rate = climb(log, 300, 900);
  const often = middle(usual);
  return [
    ...(rate === null
      ? []
      : [
          told(
            'bisque',
            rate > 150 ? 'fast' : rate < 80 ? 'slow' : 'usual',
            `${name}: 300 to 900 °C at ${Math.round(rate)} K/h`,
          ),
        ]),
    ...(cone === null || often === null || usual.length < 3
      ? []
      : [
          told(
            'bisque-cone',
            cone < often - 0.75 ? 'cooler' : cone > often + 0.75 ? 'hotter' : 'usual',
            `${name}, against ${count(usual.length, 'other bisque')}`,
          ),
        ]),
  ];
}

/** A piece of the load with the same stack. */
export type Twin = { bisque: string | null; person: string | null; has: boolean };

const FEW = 3;

/** Do pieces of another bisque show it too? */
export function readOtherBisque(own: string | null, twins: readonly Twin[]): Told | null {
  if (own === null) return null;
  const of = (same: boolean): Twin[] =>
    twins.filter(({ bisque }) => bisque !== null && (bisque === own) === same);
  const [mine, others] = [of(true), of(false)];
  if (mine.length < FEW || others.length < FEW) return null;
  const [here, there] = [mine, others].map((list) => list.filter(({ has }) => has).length) as [
    number,
    number,
  ];
  const words = `of this bisque ${here} of ${mine.length}, of another ${there} of ${others.length}`;
  if (there === 0 && here / mine.length >= 0.5) return told('other-bisque', 'clean', words);
  return there / others.length >= 0.5 ? told('other-bisque', 'alike', words) : null;
}

/** Whose pieces show it, among those of the same stack in the load. */
export function readHand(twins: readonly Twin[]): Told | null {
  const known = twins.filter(({ person }) => person !== null);
  const shown = known.filter(({ has }) => has);
  const people = new Set(shown.map(({ person }) => person));
  if (people.size > 1) return told('hand', 'all', `${count(people.size, 'person', 'people')} have it`);
  const [only] = people;
  const others = known.filter(({ person }) => person !== only);
  if (shown.length < FEW || others.length < FEW || others.some(({ has }) => has)) return null;
  return told('hand', 'one', `all ${shown.length} are of one person; ${others.length} of others are clean`);
}

/**
 * Something of the load that holds chrome: on which shelf, and how far from the piece where that is known,
 * mm.
 */
export type ChromeNear = { shelf: number | null; apartMm: number | null };

/** A hand’s breadth on a shelf, mm: so far chrome vapour carries most. */
const HAND = 200;

/** Did anything with chrome stand near? `known`: is it known of the whole load what lies on it? */
export function readChrome(all: readonly ChromeNear[], shelf: number | null, known: boolean): Told | null {
  const near = all.find(({ apartMm }) => apartMm !== null && apartMm <= HAND);
  if (near !== undefined)
    return told('chrome-near', 'near', `it stood ${Math.round(near.apartMm! / 10)} cm off`);
  const same = all.find((one) => one.shelf !== null && one.shelf === shelf);
  if (same !== undefined) return told('chrome-near', 'load', 'it stood on the same shelf');
  if (all.length > 0) return told('chrome-near', 'load', 'there was some in the load');
  return known ? told('chrome-near', 'none', 'nothing in the load holds chrome') : null;
}

/**
 * A mark of the diary: seconds from the start, and how strongly it reduced, as core/atmosphere puts airs in
 * order.
 */
export type AirMark = { t: number; strength: number };

const REDUCES = STRENGTH.reduction;
const HEAVY = STRENGTH['heavy reduction'];

/**
 * Body reduction begins at about 900 to 950 °C: earlier heavy smoke leaves carbon, later the iron is sealed
 * in. Common practice, no source.
 * @param short what says that it came out under-reduced; null where it did not.
 */
export function readReduction(
  marks: readonly AirMark[],
  log: readonly Reading[],
  short: string | null,
): Told | null {
  if (short !== null) return told('reduction', 'late', `the diary: ${short}`);
  const began = marks.find(({ strength }) => strength >= REDUCES);
  if (began === undefined || log.length < 5) return null;
  const from = plannedAt(log, began.t);
  if (from === null) return null;
  const words = `the diary: reduction from ${Math.round(from / 5) * 5} °C`;
  if (from > 960) return told('reduction', 'late', words);
  if (from < 850 && began.strength >= HEAVY) return told('reduction', 'early', `${words}, heavy`);
  const peak = Math.max(...log.map(({ c }) => c));
  const last = marks.findLast(({ t }) => (plannedAt(log, t) ?? 0) > peak - 60);
  return last !== undefined && last.strength >= HEAVY
    ? told('reduction', 'end', `${words}, heavy at the end`)
    : told('reduction', 'usual', words);
}
