/**
 * Alarms held against kilns that know nothing of them (stand-ins/watched). Seeds from 6,000,001 on
 * were not looked at while the detector was made.
 */
import { byHand, fireFaulty, fireWatched, type Shown, type Watched } from '../../../stand-ins/watched/firing';
import { FAULTS, RANGES, type Fault } from '../../../stand-ins/watched/ranges';
import { figure, percent, sized } from '../../../test-support/worlds';
import { judgeReadings, type Reading } from '../heatwork';
import { Watch, type Change } from './index';

const SEEDS = 6_000_001;
const DOUBTED = 2;

/**
 * Every alarm of a firing, or question too, and its moment, reading by reading, believed as the application
 * believes.
 */
function alarmsAlong(fired: Watched, read: readonly Shown[], until = Infinity, asked = false): number[] {
  const { firer, top, said } = fired;
  const watch = new Watch({
    segments: firer.kind === 'controller' ? firer.segments : null,
    top,
    electric: firer.kind !== 'gas',
    coolsFrom: said,
  });
  const raised: number[] = [];
  let last: Reading | null = null;
  let jumped: Reading[] = [];
  let doubted = 0;
  let known: Change | null = null;
  for (const one of read) {
    if (one.t > until) break;
    const [doubt] = judgeReadings([one], last, jumped, one.t);
    if (doubt === null) {
      [last, jumped, doubted] = [one, [], 0];
      watch.read(one);
    } else {
      if (doubt === 'jump') jumped.push(one);
      doubted++;
    }
    const change = watch.change(one.t) ?? (asked ? watch.question(one.t) : null);
    if (change !== null && change !== known) raised.push(change.at);
    known = change;
    if (doubted >= DOUBTED) raised.push(one.t);
  }
  return raised;
}

const SOUND = sized(300, 1000);

test(`none of ${SOUND} sound firings raises an alarm, from lighting to cold`, () => {
  const false_: number[] = [];
  let hands = 0;
  for (let seed = SEEDS; seed < SEEDS + SOUND; seed++) {
    const fired = fireWatched(seed);
    // Three in ten are read by hand.
    const hand = seed % 10 < 3;
    if (hand) hands++;
    const read = hand ? byHand(seed, fired.shown).read : fired.shown;
    if (alarmsAlong(fired, read).length > 0) false_.push(seed);
  }
  figure('watch', `sound firings that raise an alarm, of ${SOUND}`, `${false_.length}`, '0');
  expect(hands).toBe((3 * SOUND) / 10);
  expect(RANGES.elements[0]).toBeLessThan(0.7);
  expect(false_).toEqual([]);
});

/** Of `count` faulty firings the share that is found in time, and how soon: minutes, or readings by hand. */
function found(
  fault: Fault,
  reading: 'minutes' | 'hand',
  count: number,
  wanted: number,
  asked = false,
): { share: number; soon: number } {
  let tried = 0;
  const waits: number[] = [];
  for (let seed = SEEDS; tried < count; seed++) {
    const fired = fireFaulty(seed, fault, reading);
    if (fired === null) continue;
    const read = reading === 'hand' ? byHand(seed, fired.shown).read : fired.shown;
    const first = read.findIndex(({ t }) => t >= fired.shows);
    const limit = reading === 'hand' ? read[first + 1]?.t : fired.shows + 600;
    if (first < 0 || limit === undefined || read.at(-1)!.t < limit) continue;
    tried++;
    const at = alarmsAlong(fired, read, limit, asked).find((moment) => moment >= fired.shows - 240);
    if (at === undefined) continue;
    if (reading === 'minutes') waits.push((at - fired.shows) / 60);
    else waits.push(at >= read[first + 1]!.t ? 2 : 1);
  }
  const share = waits.length / tried;
  const soon = waits.reduce((sum, one) => sum + one, 0) / waits.length;
  const how = asked ? 'asked about or found' : 'found';
  figure(
    'watch',
    `${fault}, read by ${reading}, ${how}, of ${count}`,
    percent(share),
    `≥ ${percent(wanted)}`,
  );
  figure(
    'watch',
    `${fault}, read by ${reading}, ${how} after, ${reading === 'hand' ? 'readings' : 'minutes'}`,
    soon.toFixed(2),
    '',
  );
  return { share, soon };
}

/** 95 % was promised; what is reached beyond it is not to be lost unseen. */
const WANTED: Record<Fault, number> = { relay: 0.97, power: 0.95, thermocouple: 0.99, door: 0.99 };
/** 93 %, and 80 % of lost power. */
const WANTED_BY_HAND: Record<Fault, number> = { relay: 0.98, power: 0.84, thermocouple: 0.96, door: 0.96 };

describe.each(FAULTS)('%s', (fault) => {
  const wanted = WANTED[fault];
  test(`found within ten minutes of its first effect at a reading a minute, in ${100 * wanted} %`, () => {
    expect(found(fault, 'minutes', 150, wanted).share).toBeGreaterThanOrEqual(wanted);
  });

  // Power lost between two readings by hand is not always told from a fire turned down or a
  // program gone on: docs/HEATWORK.md.
  const byHand = WANTED_BY_HAND[fault];
  test(`read by hand, found by the second reading, in ${100 * byHand} %`, () => {
    expect(found(fault, 'hand', 100, byHand).share).toBeGreaterThanOrEqual(byHand);
  });
});

test('power lost between two readings by hand is alarmed or asked about by the second, in 95 %', () => {
  expect(found('power', 'hand', sized(20, 250), 0.95, true).share).toBeGreaterThanOrEqual(0.95);
});

test('a sound firing read by hand is asked about in fewer than one of four', () => {
  let asked = 0;
  const count = sized(40, 200);
  for (let seed = SEEDS; seed < SEEDS + count; seed++) {
    const fired = fireWatched(seed);
    if (alarmsAlong(fired, byHand(seed, fired.shown).read, Infinity, true).length > 0) asked++;
  }
  figure('watch', `sound, read by hand, asked about, of ${count}`, percent(asked / count), '< 25 %');
  expect(asked / count).toBeLessThan(0.25);
});

describe.each(sized([3], [2, 3, 5, 6]))('read every %i minutes', (every) => {
  const thinned = ({ shown }: Watched): Shown[] => shown.filter((_, i) => i % every === 0);

  const sound = sized(30, 150);
  test(`no sound firing of ${sound} raises an alarm`, () => {
    const seeds = Array.from({ length: sound }, (_, i) => SEEDS + i);
    const alarmed = seeds.filter((seed) => {
      const fired = fireWatched(seed);
      return alarmsAlong(fired, thinned(fired)).length > 0;
    });
    figure('watch', `sound, read every ${every} minutes, alarms of ${sound}`, `${alarmed.length}`, '0');
    expect(alarmed).toEqual([]);
  });

  test.each(FAULTS)(
    '%s: found by the third reading that shows it, or within ten minutes, in 85 %',
    (fault) => {
      let [tried, seen] = [0, 0];
      for (let seed = SEEDS; tried < sized(12, 60); seed++) {
        const fired = fireFaulty(seed, fault);
        if (fired === null) continue;
        const read = thinned(fired);
        const third = read[read.findIndex(({ t }) => t >= fired.shows) + 2];
        if (third === undefined || third.t < fired.shows) continue;
        tried++;
        const limit = Math.max(third.t, fired.shows + 600);
        if (alarmsAlong(fired, read, limit).some((at) => at >= fired.shows - 60 * every - 240)) seen++;
      }
      figure(
        'watch',
        `${fault}, read every ${every} minutes, found, of ${tried}`,
        percent(seen / tried),
        '≥ 85.0 %',
      );
      expect(seen / tried).toBeGreaterThanOrEqual(0.85);
    },
  );
});
