/**
 * What the record of the piece itself answers: the heat it got, how it was made and coated, how it came out.
 */
import { coneOrdinal, isCone } from '../cones';
import { count } from '../units';
import { valueOf } from './case';
import { whereByPins } from './from-pins';
import type { CaseRecord, Range } from './from-record';
import { told, type Told } from './told';

export type Reading = (record: CaseRecord) => Told | null;

const within = (reached: number, { low, high }: Range): string | null => {
  if (low === null || high === null || !isCone(low) || !isCone(high)) return null;
  const [from, to] = [coneOrdinal(low), coneOrdinal(high)];
  if (reached < from - 0.25) return 'below';
  if (reached > to + 0.25) return 'above';
  return reached < (from + to) / 2 ? 'lower' : 'upper';
};

const heat: Reading = ({ reached, reachedBy, coatings }) => {
  if (reached === null) return null;
  const found = coatings.map((one) => ({ one, at: within(reached, one) }));
  const far = found.find(({ at }) => at === 'above' || at === 'below') ?? found.find(({ at }) => at !== null);
  return far?.at == null
    ? null
    : told('heat', far.at, `${reachedBy} against ${far.one.name}, ${far.one.low} to ${far.one.high}`);
};
const bodyHeat: Reading = ({ reached, reachedBy, body: range }) => {
  const at = reached === null ? null : within(reached, range);
  return at === null
    ? null
    : told('body-heat', at, `${reachedBy} against the body, ${range.low} to ${range.high}`);
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
  return told(
    'first-seen',
    value,
    `clean at first, seen ${count(Math.round(days), 'day')} after the opening`,
  );
};

const surface: Reading = ({ surface: is }) =>
  is === null ? null : told('surface', is, `written up as ${is}`);
const moved: Reading = ({ movementMm: mm }) =>
  mm === null ? null : told('moved', mm === 0 ? 'still' : mm < 5 ? 'little' : 'ran', `moved ${mm} mm`);

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
    return told(
      'applied',
      brushed.coats < 3 ? 'few-coats' : 'brushed',
      `brushed, ${count(brushed.coats, 'coat')}`,
    );
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
const redBody: Reading = ({ body: { red } }) => (red ? told('red-body', 'yes', 'a red body') : null);
const porcelain: Reading = ({ body: is }) => (is.porcelain ? told('porcelain', 'yes', 'porcelain') : null);
const absorption: Reading = ({ absorption: percent }) =>
  percent === null ? null : told('absorption', valueOf('absorption', percent)!, `measured: ${percent} %`);
const air: Reading = ({ air: is }) =>
  told('air', is.includes('reduction') ? 'reduction' : 'oxidation', `fired in ${is}`);
const fit: Reading = ({ gap }) =>
  gap === null
    ? null
    : told(
        'fit',
        valueOf('fit', gap)!,
        `computed, ${gap > 0 ? '+' : '−'}${Math.abs(gap).toFixed(1)} × 10⁻⁶/K against the body, within about 15 %`,
      );

const pinned: Reading = ({ pins, zones }) => whereByPins(pins, zones);

export const PIECE_READINGS: readonly Reading[] = [
  pinned,
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
