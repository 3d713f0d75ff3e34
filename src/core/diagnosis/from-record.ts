/**
 * What the records answer by themselves: facts with the words they were read from. Counts that are too few say
 * nothing; thresholds are judgement.
 */
import { coneOrdinal, isCone } from '../cones';
import type { OxideAmounts } from '../chemistry';
import { count } from '../units';
import { coatsOfKey, type Method, type Stage } from '../zones';
import { readRecipe } from './from-recipe';
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
  load: readonly SeenStack[];
  /** Stacks with any of its coats. */
  kin: readonly SeenStack[];
  /** What shows the fault on its body at its cone. */
  onBody: readonly SeenStack[];
  reached: number | null;
  target: string | null;
  coatings: readonly ({ name: string; slug: string } & Range)[];
  body: Range & { ground: 'white' | 'buff' | 'dark' | null; red: boolean; porcelain: boolean };
  absorption: number | null;
  layers: readonly { method: Method; coats: number; driedBefore: boolean | null; stage: Stage; slip: boolean }[]; // prettier-ignore
  air: string;
  /** Fired mass % of the glazes of its stacks; null where a recipe or an analysis is missing. */
  oxides: OxideAmounts | null;
  /** Names of what is in them. */
  materials: readonly string[];
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
  load: [],
  kin: [],
  onBody: [],
  reached: null,
  target: null,
  coatings: [],
  body: { low: null, high: null, ground: null, red: false, porcelain: false },
  absorption: null,
  layers: [],
  air: 'oxidation',
  oxides: null,
  materials: [],
  gap: null,
};

type Parsed = { stack: string; coats: number };
/** A studio has some hundreds of stacks, and a record names them thousands of times. */
const parsed = new Map<string, Parsed>();
/** A stack key as its coats in order, and how many they are together. */
export function stackParts(key: string): Parsed {
  const known = parsed.get(key);
  if (known !== undefined) return known;
  const all = coatsOfKey(key);
  const one = {
    stack: all.map(({ slug }) => slug).join('>'),
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
const most = ({ with: k, of }: Share): boolean => of >= FEW && k / of >= 0.5;
const none = ({ with: k, of }: Share): boolean => of >= FEW && k === 0;

type Reading = (record: CaseRecord) => Told | null;
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
    // prettier-ignore
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
  if (thick.of < FEW || thin.of < FEW) return null;
  const said = `with several coats ${words(thick)} show it, with one ${words(thin)}`;
  if (thick.with > 0 && thin.with === 0) return told('thickness', 'only-thick', said);
  if (thin.with > 0 && thick.with === 0) return told('thickness', 'only-thin', said);
  return most(thick) && most(thin) ? told('thickness', 'alike', said) : null;
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
    ? told(
        'place',
        'one',
        `all that show it stood on shelf ${shelf}; elsewhere ${words(elsewhere)}`,
      )
    : told('place', 'random', `it stood on ${count(shelves.size, 'shelf', 'shelves')}`);
};

const body: Reading = ({ kin, onBody, zones, sign, bodyId, cone }) => {
  const stacks = new Set(zones.filter(({ has }) => has).map(({ stackKey }) => stackOf(stackKey)));
  const there = share(
    kin.filter(
      (one) => one.bodyId !== bodyId && one.cone === cone && stacks.has(stackOf(one.stackKey)),
    ),
    sign,
  );
  const here = onBody.filter((one) => !stacks.has(stackOf(one.stackKey)));
  const others = new Set(here.filter(({ faults }) => faults.includes(sign)).map(({ stackKey }) => stackOf(stackKey))); // prettier-ignore
  if (there.of < FEW) return null;
  const said = `the same stack on other bodies: ${words(there)}; other stacks on this body with it: ${others.size}`;
  if (none(there) && others.size >= 2) return told('body', 'only', said);
  return most(there) ? told('body', 'every', said) : null;
};

const recipe: Reading = ({ kin, zones, sign }) => {
  const slugs = new Set(zones.filter(({ has }) => has).flatMap(({ stackKey }) => coatsOfKey(stackKey).map(({ slug }) => slug))); // prettier-ignore
  for (const slug of slugs) {
    const alone = kin.filter(({ stackKey }) => stackOf(stackKey) === slug);
    const shown = alone.filter(({ faults }) => faults.includes(sign));
    const all = share(alone, sign);
    const bodies = new Set(shown.map((one) => one.bodyId)).size;
    const firings = new Set(shown.map((one) => one.firingId)).size;
    if (most(all) && bodies >= 2 && firings >= 2)
      return told('recipe', 'everywhere', `alone it shows it on ${bodies} bodies, in ${firings} firings: ${words(all)}`); // prettier-ignore
  }
  return null;
};

const stack: Reading = ({ kin, zones, sign, bodyId, cone }) => {
  const own = zones.find(({ has }) => has);
  if (own === undefined) return null;
  const coats = coatsOfKey(own.stackKey);
  if (coats.length === 1) return told('stack', 'single', 'there is one coat');
  const alone = coats.map(({ slug }) => {
    const list = kin.filter((one) => one.bodyId === bodyId && one.cone === cone && stackOf(one.stackKey) === slug && !one.refired); // prettier-ignore
    return { all: share(list, sign), thick: share(list.filter((one) => coatsOf(one.stackKey) > 1), sign) }; // prettier-ignore
  });
  if (alone.some(({ all }) => all.of >= FEW && all.with / all.of >= 0.3))
    return told('stack', 'alone', `one coat alone shows it: ${words(alone.find(({ all }) => all.with > 0)!.all)}`); // prettier-ignore
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
  const other = share(kin.filter((one) => one.bodyId === bodyId && stackOf(one.stackKey) === turned), sign); // prettier-ignore
  if (other.of === 0) return told('order', 'not-tried', 'the other way round was never seen');
  if (none(other)) return told('order', 'one-order', `turned round: ${words(other)}`);
  return most(other) ? told('order', 'both', `turned round: ${words(other)}`) : null;
};

const within = (reached: number, { low, high }: Range): string | null => {
  if (low === null || high === null || !isCone(low) || !isCone(high)) return null;
  const [from, to] = [coneOrdinal(low), coneOrdinal(high)];
  if (reached < from - 0.25) return 'below';
  if (reached > to + 0.25) return 'above';
  return reached < (from + to) / 2 ? 'lower' : 'upper';
};

const heat: Reading = ({ reached, coatings }) => {
  if (reached === null) return null;
  const found = coatings.map((one) => ({ one, at: within(reached, one) }));
  const far = found.find(({ at }) => at === 'above' || at === 'below') ?? found.find(({ at }) => at !== null); // prettier-ignore
  return far?.at == null
    ? null
    : told('heat', far.at, `the cone of the firing against ${far.one.name}, ${far.one.low} to ${far.one.high}`); // prettier-ignore
};
const bodyHeat: Reading = ({ reached, body: range }) => {
  const at = reached === null ? null : within(reached, range);
  return at === null ? null : told('body-heat', at, `the cone of the firing against the body, ${range.low} to ${range.high}`); // prettier-ignore
};
const range: Reading = ({ target, coatings }) => {
  if (target === null || !isCone(target)) return null;
  const known = coatings.filter(({ low }) => low !== null && isCone(low));
  if (known.length === 0) return null;
  const hotter = known.find(({ low }) => coneOrdinal(low!) > coneOrdinal(target) + 0.5);
  return hotter === undefined
    ? told('range', 'fits', `meant for cone ${target}, as all of it`)
    : told('range', 'hotter', `${hotter.name} is for cone ${hotter.low} and up`);
};

const generation: Reading = ({ generation: no, cleanBefore }) =>
  no <= 1
    ? told('generation', 'first', 'its first glaze firing')
    : cleanBefore === true
      ? told('generation', 'new-since', 'clean after the firing before')
      : told('generation', 'again', 'fired with glaze before');

const firstSeen: Reading = ({ seenAfterDays: days, cleanAtFirst }) => {
  if (days === null) return null;
  if (!cleanAtFirst) return days < 3 ? told('first-seen', 'opening', 'seen at the opening') : null;
  const value = days < 8 ? 'days' : days < 90 ? 'weeks' : 'years';
  return told('first-seen', value, `clean at first, seen ${count(Math.round(days), 'day')} after the opening`); // prettier-ignore
};

const surface: Reading = ({ surface: is }) =>
  is === null ? null : told('surface', is, `written up as ${is}`);
const moved: Reading = ({ movementMm: mm }) =>
  mm === null
    ? null
    : told('moved', mm === 0 ? 'still' : mm < 5 ? 'little' : 'ran', `moved ${mm} mm`);

const dried: Reading = ({ layers }) => {
  const said = layers.filter(({ driedBefore }) => driedBefore !== null);
  if (said.length === 0) return null;
  return said.some(({ driedBefore }) => driedBefore === false)
    ? told('dried-between', 'no', 'a coat went on before the one below was dry')
    : told('dried-between', 'yes', 'each coat was dry before the next');
};
const applied: Reading = ({ layers }) => {
  const glazes = layers.filter(({ slip }) => !slip);
  const brushed = glazes.find(({ method }) => method === 'brush');
  if (brushed !== undefined)
    return told('applied', brushed.coats < 3 ? 'few-coats' : 'brushed', `brushed, ${count(brushed.coats, 'coat')}`); // prettier-ignore
  const [first] = glazes;
  if (first === undefined) return null;
  if (first.method === 'spray') return told('applied', 'sprayed', 'sprayed');
  return first.method === 'dip' || first.method === 'pour'
    ? told('applied', 'dipped', first.method === 'dip' ? 'dipped' : 'poured')
    : null;
};
const slipStage: Reading = ({ layers }) => {
  const slip = layers.find((one) => one.slip);
  if (slip === undefined) return null;
  if (slip.stage === 'leather-hard') return told('slip-stage', 'leather', 'slip at leather-hard');
  return told('slip-stage', 'dry', `slip on ${slip.stage} clay`);
};

const ground: Reading = ({ body: { ground: is } }) =>
  is === null ? null : told('ground', is, `a ${is} body`);
const redBody: Reading = ({ body: { red } }) =>
  red ? told('red-body', 'yes', 'a red body') : null;
const porcelain: Reading = ({ body: is }) =>
  is.porcelain ? told('porcelain', 'yes', 'porcelain') : null;
const absorption: Reading = ({ absorption: percent }) =>
  percent === null
    ? null
    : told('absorption', percent < 1 ? 'tight' : percent < 3 ? 'low' : percent < 8 ? 'open' : 'porous', `measured: ${percent} %`); // prettier-ignore
const air: Reading = ({ air: is }) =>
  told('air', is.includes('reduction') ? 'reduction' : 'oxidation', `fired in ${is}`);
const fit: Reading = ({ gap }) =>
  gap === null
    ? null
    : told('fit', gap < -2 ? 'far-below' : gap < -0.5 ? 'below' : gap < 0.5 ? 'near' : 'above', `computed, ${gap > 0 ? '+' : '−'}${Math.abs(gap).toFixed(1)} × 10⁻⁶/K against the body, within about 15 %`); // prettier-ignore

const READINGS: readonly Reading[] = [
  thickness,
  load,
  place,
  body,
  recipe,
  stack,
  order,
  heat,
  bodyHeat,
  range,
  generation,
  firstSeen,
  surface,
  moved,
  dried,
  applied,
  slipStage,
  ground,
  redBody,
  porcelain,
  absorption,
  air,
  fit,
];

/** Every fact that the records answer, with the words it was read from; what they do not answer is left out. */
export const readRecord = (record: CaseRecord): Told[] => [
  ...READINGS.flatMap((reading) => reading(record) ?? []),
  ...readRecipe(record),
];
