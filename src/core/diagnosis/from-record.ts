/**
 * What the records answer by themselves: facts with the words they were read from. Counts that are too few
 * say nothing; thresholds are judgement.
 */
import type { OxideAmounts } from '../chemistry';
import { count } from '../units';
import { coatsOfKey, type Method, type Stage } from '../zones';
import { PIECE_READINGS, type Reading } from './from-piece';
import { readRecipe, type Recipe } from './from-recipe';
import type { Pin } from './from-pins';
import { told, type Told } from './told';

/** One stack on one piece after one firing. */
export type SeenStack = {
  pieceId: string;
  firingId: string;
  bodyId: string;
  slips: string;
  stackKey: string;
  cone: string;
  refired: boolean;
  shelf: number | null;
  surface: string | null;
  /** Seconds in the bucket, all its coats together; null where nobody wrote them down. */
  seconds: number | null;
  faults: readonly string[];
};

export type Range = { low: string | null; high: string | null };

/** What lies around a fault on a piece. */
export type CaseRecord = {
  /** The sign it is on record as. */
  sign: string;
  pieceId: string;
  firingId: string;
  bodyId: string;
  cone: string;
  shelf: number | null;
  generation: number;
  /** Was the fault absent after the firing before? Null: not looked, or there was none. */
  cleanBefore: boolean | null;
  /** Days from the opening to the first look that has it, and whether an earlier look had not. */
  seenAfterDays: number | null;
  cleanAtFirst: boolean;
  surface: string | null;
  movementMm: number | null;
  /** The zones of the piece after that firing. */
  zones: readonly { stackKey: string; has: boolean }[];
  /** Where somebody pinned the fault on it. */
  pins: readonly Pin[];
  load: readonly SeenStack[];
  /** Stacks with any of its coats. */
  kin: readonly SeenStack[];
  /** What shows the fault on its body at its cone. */
  onBody: readonly SeenStack[];
  reached: number | null;
  /** By what that is known: "the cones at its shelf". */
  reachedBy: string;
  target: string | null;
  coatings: readonly ({ name: string; slug: string } & Range)[];
  body: Range & { ground: 'white' | 'buff' | 'dark' | null; red: boolean; porcelain: boolean };
  absorption: number | null;
  layers: readonly {
    method: Method;
    coats: number;
    driedBefore: boolean | null;
    stage: Stage;
    slip: boolean;
  }[];
  air: string;
  /** Fired mass % of the glazes of its stacks; null where a recipe or an analysis is missing. */
  oxides: OxideAmounts | null;
  /** What they are weighed out of; empty where one of them has no recipe here. */
  recipes: readonly Recipe[];
  /** Glaze less body, 10⁻⁶/K. */
  gap: number | null;
};

/** A record of which nothing is known. */
export const NOTHING_KNOWN: CaseRecord = {
  sign: '',
  pieceId: '',
  firingId: '',
  bodyId: '',
  cone: '',
  shelf: null,
  generation: 1,
  cleanBefore: null,
  seenAfterDays: null,
  cleanAtFirst: false,
  surface: null,
  movementMm: null,
  zones: [],
  pins: [],
  load: [],
  kin: [],
  onBody: [],
  reached: null,
  reachedBy: 'the cone of the firing',
  target: null,
  coatings: [],
  body: { low: null, high: null, ground: null, red: false, porcelain: false },
  absorption: null,
  layers: [],
  air: 'oxidation',
  oxides: null,
  recipes: [],
  gap: null,
};

type Parsed = {
  stack: string;
  coats: number;
  /** Which version of each coat. */
  versions: string;
};
/** A studio has some hundreds of stacks, and a record names them thousands of times. */
const parsed = new Map<string, Parsed>();
/** A stack key as its coats in order, their versions, and how many they are together. */
export function stackParts(key: string): Parsed {
  const known = parsed.get(key);
  if (known !== undefined) return known;
  const all = coatsOfKey(key);
  const one = {
    stack: all.map(({ slug }) => slug).join('>'),
    versions: all.map(({ version }) => version).join('>'),
    coats: all.reduce((sum, { amount }) => sum + Number(/×(\d+)/.exec(amount)?.[1] ?? 1), 0),
  };
  if (parsed.size > 10_000) parsed.clear();
  parsed.set(key, one);
  return one;
}
const coatsOf = (key: string): number => stackParts(key).coats;
const stackOf = (key: string): string => stackParts(key).stack;

/** Fewer than this say nothing. */
const FEW = 3;

type Share = { with: number; of: number };
function share(list: readonly SeenStack[], sign: string): Share {
  // A piece that was fired twice counts twice.
  const pieces = new Set<string>();
  const faulty = new Set<string>();
  for (const { pieceId, firingId, faults } of list) {
    const key = pieceId + firingId;
    pieces.add(key);
    if (faults.includes(sign)) faulty.add(key);
  }
  return { with: faulty.size, of: pieces.size };
}
const words = ({ with: k, of }: Share): string => `${k} of ${count(of, 'piece')}`;
const half = ({ with: k, of }: Share): boolean => of >= FEW && k / of >= 0.5;
const none = ({ with: k, of }: Share): boolean => of >= FEW && k === 0;
/** Hardly ever: one in ten, where there are enough to say so. */
const hardly = (one: Share): boolean => none(one) || (one.of >= 10 && one.with / one.of <= 0.1);

/** Pieces of as many coats that were held shorter and longer: the longer ones took more. */
function heldLong(alike: readonly SeenStack[], sign: string, coats: number): Told | null {
  const known = alike.filter((one) => one.seconds !== null && coatsOf(one.stackKey) === coats);
  const seconds = known.map((one) => one.seconds!);
  const [least, most] = [Math.min(...seconds), Math.max(...seconds)];
  // Less than half as long again is the same dip.
  if (known.length === 0 || most < least * 1.5) return null;
  const middle = (least + most) / 2;
  const long = share(
    known.filter((one) => one.seconds! > middle),
    sign,
  );
  const short = share(
    known.filter((one) => one.seconds! <= middle),
    sign,
  );
  if (long.of < FEW || short.of < FEW) return null;
  const said = `held long ${words(long)} show it, held short ${words(short)}`;
  if (long.with > 0 && short.with === 0) return told('thickness', 'only-thick', said);
  if (short.with > 0 && long.with === 0) return told('thickness', 'only-thin', said);
  return half(long) && half(short) ? told('thickness', 'alike', said) : null;
}

const thickness: Reading = ({ zones, kin, sign, bodyId, cone }) => {
  const [has, clean] = [zones.filter((one) => one.has), zones.filter((one) => !one.has)];
  const own = has[0];
  if (own === undefined) return null;
  const alike = (key: string): boolean => stackOf(key) === stackOf(own.stackKey);
  const same = clean.filter(({ stackKey }) => alike(stackKey));
  const total = coatsOf(own.stackKey);
  if (
    same.some(({ stackKey }) => coatsOf(stackKey) < total) &&
    has.every(({ stackKey }) => coatsOf(stackKey) >= total)
  )
    return told('thickness', 'only-thick', 'the thinner zone of the same piece is clean');
  if (same.some(({ stackKey }) => coatsOf(stackKey) > total))
    return told('thickness', 'only-thin', 'the thicker zone of the same piece is clean');
  const elsewhere = kin.filter(
    (one) => one.bodyId === bodyId && one.cone === cone && alike(one.stackKey) && !one.refired,
  );
  const thick = share(
    elsewhere.filter(({ stackKey }) => coatsOf(stackKey) > 1),
    sign,
  );
  const thin = share(
    elsewhere.filter(({ stackKey }) => coatsOf(stackKey) === 1),
    sign,
  );
  if (thick.of < FEW || thin.of < FEW) return heldLong(elsewhere, sign, total);
  const said = `with several coats ${words(thick)} show it, with one ${words(thin)}`;
  if (thick.with > 0 && thin.with === 0) return told('thickness', 'only-thick', said);
  if (thin.with > 0 && thick.with === 0) return told('thickness', 'only-thin', said);
  return half(thick) && half(thin) ? told('thickness', 'alike', said) : null;
};

const load: Reading = ({ load: all, pieceId, zones, sign }) => {
  const own = new Set(zones.map(({ stackKey }) => stackOf(stackKey)));
  const others = share(
    all.filter((one) => one.pieceId !== pieceId && !own.has(stackOf(one.stackKey))),
    sign,
  );
  if (others.of < 5) return null;
  const part = others.with / others.of;
  const said = `of other stacks of the load ${words(others)} show it`;
  return told('load', part >= 0.3 ? 'shared' : others.with > 0 ? 'some' : 'usual', said);
};

const place: Reading = ({ load: all, sign, shelf }) => {
  const on = all.filter((one) => one.shelf !== null);
  const with_ = on.filter(({ faults }) => faults.includes(sign));
  const shelves = new Set(with_.map((one) => one.shelf));
  const elsewhere = share(
    on.filter((one) => one.shelf !== shelf),
    sign,
  );
  if (shelf === null || share(with_, sign).of < FEW || elsewhere.of < FEW) return null;
  return shelves.size === 1
    ? told('place', 'one', `all that show it stood on shelf ${shelf}; elsewhere ${words(elsewhere)}`)
    : told('place', 'random', `it stood on ${count(shelves.size, 'shelf', 'shelves')}`);
};

const body: Reading = ({ kin, onBody, zones, sign, bodyId, cone }) => {
  const stacks = new Set(zones.filter(({ has }) => has).map(({ stackKey }) => stackOf(stackKey)));
  const there = share(
    kin.filter((one) => one.bodyId !== bodyId && one.cone === cone && stacks.has(stackOf(one.stackKey))),
    sign,
  );
  const here = onBody.filter((one) => !stacks.has(stackOf(one.stackKey)));
  const others = new Set(
    here.filter(({ faults }) => faults.includes(sign)).map(({ stackKey }) => stackOf(stackKey)),
  );
  if (there.of < FEW) return null;
  const said = `the same stack on other bodies: ${words(there)}; other stacks on this body with it: ${others.size}`;
  if (hardly(there) && others.size >= 2) return told('body', 'only', said);
  return half(there) ? told('body', 'every', said) : null;
};

const recipe: Reading = ({ kin, zones, sign }) => {
  const slugs = new Set(
    zones.filter(({ has }) => has).flatMap(({ stackKey }) => coatsOfKey(stackKey).map(({ slug }) => slug)),
  );
  for (const slug of slugs) {
    const alone = kin.filter(({ stackKey }) => stackOf(stackKey) === slug);
    const shown = alone.filter(({ faults }) => faults.includes(sign));
    const all = share(alone, sign);
    const bodies = new Set(shown.map((one) => one.bodyId)).size;
    const firings = new Set(shown.map((one) => one.firingId)).size;
    if (half(all) && bodies >= 2 && firings >= 2)
      return told(
        'recipe',
        'everywhere',
        `alone it shows it on ${bodies} bodies, in ${firings} firings: ${words(all)}`,
      );
  }
  return null;
};

const stack: Reading = ({ kin, zones, sign, bodyId, cone }) => {
  const own = zones.find(({ has }) => has);
  if (own === undefined) return null;
  const coats = coatsOfKey(own.stackKey);
  if (coats.length === 1) return told('stack', 'single', 'there is one coat');
  const alone = coats.map(({ slug }) => {
    const list = kin.filter(
      (one) => one.bodyId === bodyId && one.cone === cone && stackOf(one.stackKey) === slug && !one.refired,
    );
    return {
      all: share(list, sign),
      thick: share(
        list.filter((one) => coatsOf(one.stackKey) > 1),
        sign,
      ),
    };
  });
  if (alone.some(({ all }) => all.of >= FEW && all.with / all.of >= 0.3))
    return told(
      'stack',
      'alone',
      `one coat alone shows it: ${words(alone.find(({ all }) => all.with > 0)!.all)}`,
    );
  if (!alone.every(({ all }) => none(all))) return null;
  return alone.every(({ thick }) => none(thick))
    ? told('stack', 'together-thick', 'each coat alone is sound, double too')
    : told('stack', 'together', 'each coat alone is sound');
};

const order: Reading = ({ kin, zones, sign, bodyId }) => {
  const own = zones.find(({ has }) => has);
  if (own === undefined || coatsOfKey(own.stackKey).length !== 2) return null;
  const turned = coatsOfKey(own.stackKey)
    .map(({ slug }) => slug)
    .reverse()
    .join('>');
  const other = share(
    kin.filter((one) => one.bodyId === bodyId && stackOf(one.stackKey) === turned),
    sign,
  );
  if (other.of === 0) return told('order', 'not-tried', 'the other way round was never seen');
  if (none(other)) return told('order', 'one-order', `turned round: ${words(other)}`);
  return half(other) ? told('order', 'both', `turned round: ${words(other)}`) : null;
};

const READINGS: readonly Reading[] = [thickness, load, place, body, recipe, stack, order, ...PIECE_READINGS];

/**
 * Every fact that the records answer, with the words it was read from; what they do not answer is left out.
 */
export const readRecord = (record: CaseRecord): Told[] => [
  ...READINGS.flatMap((reading) => reading(record) ?? []),
  ...readRecipe(record),
];
