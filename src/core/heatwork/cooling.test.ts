import { coldKiln, ELECTRIC, fire, step, type Kiln } from '../../../stand-ins/kiln';
import { coolingPart, fitCooling, timeToCool, type CoolingFit, type Reading } from './index';

const quiet = (): number => 0;
const FIRING = [{ rate: 180, target: 1210, holdMinutes: 10 }];

/** The cooling of a simulated kiln, as far as `to`, and when it truly passed each temperature. */
function cooled(kiln: Kiln): Reading[] {
  return fire(kiln, FIRING, quiet, { every: 300, coolTo: 38 }).truth;
}
const passed = (log: readonly Reading[], celsius: number): number =>
  coolingPart(log).find(({ c }) => c <= celsius)!.t;
const upTo = (log: readonly Reading[], celsius: number): Reading[] =>
  log.filter(({ t }) => t <= passed(log, celsius));

test('an exponential cooling is found again exactly, and its time', () => {
  const log = Array.from({ length: 60 }, (_, i) => ({
    t: i * 900,
    c: 20 + 800 * Math.exp(-0.08 * i),
  }));
  const fit = fitCooling(log)!;
  expect(fit.m).toBeCloseTo(0, 2);
  const [to] = [timeToCool({ ...fit, last: log[20]! }, 100)!];
  const truth = (Math.log(800 / 80) / 0.08 - 20) * 0.25;
  expect(to.hours).toBeCloseTo(truth, 1);
});

test('a brick kiln slows more than one exponential, and the forecast still meets the truth', () => {
  const log = cooled(ELECTRIC);
  for (const seen of [400, 250, 160]) {
    const fit = fitCooling(upTo(log, seen))!;
    expect(fit).not.toBeNull();
    const told = timeToCool(fit, 100)!;
    const truth = (passed(log, 100) - passed(log, seen)) / 3600;
    expect(told.low).toBeLessThanOrEqual(truth);
    expect(told.high).toBeGreaterThanOrEqual(truth);
  }
});

test('earlier coolings of the same kiln narrow the interval', () => {
  const earlier = [0.9, 1, 1.1].map((load) =>
    fitCooling(cooled({ ...ELECTRIC, chamber: 60 * load }))!,
  );
  const log = cooled(ELECTRIC);
  const now = upTo(log, 520);
  const width = (fit: CoolingFit | null): number => {
    const told = fit && timeToCool(fit, 100);
    return told ? told.high - told.low : Infinity;
  };
  const helped = fitCooling(now, 20, earlier);
  expect(width(helped)).toBeLessThan(width(fitCooling(now)));
  const told = timeToCool(helped!, 100)!;
  const truth = (passed(log, 100) - passed(log, 520)) / 3600;
  expect(Math.abs(told.hours - truth) / truth).toBeLessThan(0.25);
});

test('nothing is said too early, nor of the impossible', () => {
  const log = cooled(ELECTRIC);
  expect(fitCooling(upTo(log, 1150))).toBeNull();
  expect(fitCooling([])).toBeNull();
  const good = fitCooling(upTo(log, 200))!;
  expect(timeToCool(good, 21)).toBeNull();
  expect(timeToCool(good, 300)).toEqual({ hours: 0, low: 0, high: 0 });
});

test('a door that was opened and shut: nothing for a while, then by what came after', () => {
  const opened = (after: number): Reading[] => {
    let state = { ...coldKiln(ELECTRIC), chamber: 900, brick: 820 };
    const log: Reading[] = [];
    for (let i = 0; i < 60 + after; i++) {
      log.push({ t: state.t, c: state.chamber });
      state = step(ELECTRIC, { ...state, door: i > 50 && i < 56 }, 0, 300);
    }
    return log;
  };
  expect(fitCooling(opened(2))).toBeNull();
  const log = opened(400);
  const now = opened(60);
  const told = timeToCool(fitCooling(now)!, 100)!;
  const truth = (log.find(({ c, t }) => c <= 100 && t > 60 * 300)!.t - now.at(-1)!.t) / 3600;
  expect(told.low).toBeLessThanOrEqual(truth);
  expect(told.high).toBeGreaterThanOrEqual(truth);
});
