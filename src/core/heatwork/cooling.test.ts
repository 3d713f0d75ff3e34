import { coldKiln, ELECTRIC, fire, step, type Kiln } from '../../../stand-ins/kiln';
import { coolingCurve, coolingPart, fitCooling, timeToCool, type CoolingFit, type Reading } from './index';

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
  const to = timeToCool(fitCooling(log.slice(0, 21))!, 100)!;
  const truth = (Math.log(800 / 80) / 0.08 - 20) * 0.25;
  expect(Math.abs(to.hours / truth - 1)).toBeLessThan(0.05);
  expect(to.low).toBeLessThan(truth);
  expect(to.high).toBeGreaterThan(truth);
  // ln of the rate of one exponential is the same at any heat: 0.32 an hour.
  for (const [, y] of coolingCurve(log)!) expect(y).toBeCloseTo(Math.log(0.32), 2);
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
  const earlier = [0.9, 1, 1.1].map((load) => coolingCurve(cooled({ ...ELECTRIC, chamber: 60 * load }))!);
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
  expect(coolingCurve([])).toBeNull();
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

test('a hold on the way down is no cooling: it is passed over, and what follows speaks', () => {
  const log = cooled(ELECTRIC);
  const at = passed(log, 760);
  const held = [
    ...log.filter(({ t }) => t <= at),
    ...Array.from({ length: 12 }, (_, i) => ({ t: at + (i + 1) * 300, c: 760 })),
    ...log.filter(({ t }) => t > at).map(({ t, c }) => ({ t: t + 3600, c })),
  ];
  const until = (celsius: number): Reading[] =>
    held.filter(({ t }) => t <= held.find((one) => one.t > at && one.c <= celsius)!.t);
  // While it is held nobody can say when that ends.
  expect(fitCooling(held.filter(({ t }) => t <= at + 3600 + 300))).toBeNull();
  const now = until(450);
  const told = timeToCool(fitCooling(now)!, 100)!;
  const truth = (held.find(({ c, t }) => c <= 100 && t > at)!.t - now.at(-1)!.t) / 3600;
  expect(told.low).toBeLessThanOrEqual(truth);
  expect(told.high).toBeGreaterThanOrEqual(truth);
  // What it keeps of the cooling has no crawl in it at 760 °C.
  const [kept, free] = [coolingCurve(held)!, coolingCurve(log)!];
  const near = (curve: typeof kept): number =>
    curve.reduce((best, point) =>
      Math.abs(point[0] - Math.log(7.4)) < Math.abs(best[0] - Math.log(7.4)) ? point : best,
    )[1];
  expect(Math.abs(near(kept) - near(free))).toBeLessThan(0.4);
});

test('the same readings give the same forecast', () => {
  const now = upTo(cooled(ELECTRIC), 300);
  expect(timeToCool(fitCooling(now)!, 100)).toEqual(timeToCool(fitCooling(now)!, 100));
});
