import fc from 'fast-check';
import { WHOLE_CONES, coneOrdinal, endPoint } from '../cones';
import {
  allFits,
  baselineOf,
  bendOf,
  checkSchedule,
  climbTo,
  endOfClimb,
  endPointFor,
  GAS_CONSTANT,
  holdFor,
  kineticsOf,
  lnTemperatureIntegral,
  plannedAt,
  predictedOrdinal,
  profileOf,
  readSchedule,
  shareOfBend,
  withHoldFor,
  workAlong,
  workOf,
  type Segment,
} from './index';

const fahrenheit = (f: number): number => ((f - 32) * 5) / 9;

describe('the fit of the cones', () => {
  // The cone maker's published end points (core/cones/end-points.ts, from memory).
  test('brings the end points at 60 °C/h back exactly, the other columns within 7 °C', () => {
    for (const { cone, residuals } of allFits()) {
      expect(residuals.length).toBe(endPoint(cone, 15) === null ? 2 : 3);
      for (const { rate, table, fitted } of residuals)
        expect([cone, Math.abs(fitted - table) < (rate === 60 ? 0.001 : 7)]).toEqual([cone, true]);
    }
    const all = allFits().flatMap(({ residuals }) => residuals.map(({ table, fitted }) => fitted - table));
    expect(Math.sqrt(all.reduce((sum, one) => sum + one * one, 0) / all.length)).toBeLessThan(2.4);
  });

  test('cones 1 to 12 have energies between about 650 and 1150 kJ/mol', () => {
    for (const cone of ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11', '12']) {
      expect(kineticsOf(cone).e).toBeGreaterThan(650_000);
      expect(kineticsOf(cone).e).toBeLessThan(1_170_000);
    }
  });

  // Composite Simpson quadrature of the same integrand, as a reference of another kind.
  test('the temperature integral agrees with quadrature', () => {
    for (const [e, t] of [
      [250_000, 1050],
      [700_000, 1495],
      [1_560_000, 1640],
    ] as const) {
      const t0 = t - 10;
      const n = 20_000;
      const from = t / 2;
      const at = (x: number): number => Math.exp((-e / GAS_CONSTANT) * (1 / x - 1 / t0));
      let sum = at(from) + at(t);
      for (let i = 1; i < n; i++) sum += (i % 2 ? 4 : 2) * at(from + ((t - from) * i) / n);
      const quadrature = (sum * (t - from)) / n / 3;
      expect(Math.exp(lnTemperatureIntegral(e, t, t0)) / quadrature).toBeCloseTo(1, 4);
    }
  });

  // By the table alone: 17 °C of climb at 60 °C/h lie between the two.
  test('when cone 6 is just down, cone 7 has done about half of its work', () => {
    expect(baselineOf('7')).toBeCloseTo(0.51, 2);
  });
});

describe('work', () => {
  // From memory, the same table: 2167 °F at 60 °C/h is cone 5 exactly.
  test('a peak of 2167 °F at 60 °C/h is cone 5', () => {
    const log = climbTo(fahrenheit(2167), 60);
    expect(Math.abs(predictedOrdinal(log) - 5)).toBeLessThan(0.02);
    expect(workOf('5', log)).toBeGreaterThan(0.93);
    expect(workOf('5', log)).toBeLessThan(1.07);
  });

  // A studio's observation, to illustrate: cone 6 nearly flat after 2188 °F and 13 minutes.
  test('2188 °F and 13 minutes is cone 6 only for a thermocouple that reads some 13 °C low', () => {
    const peak = fahrenheit(2188);
    const log = [...climbTo(peak, 60)];
    log.push({ t: log[1]!.t + 13 * 60, c: peak });
    expect(predictedOrdinal(log)).toBeLessThan(5.5);
    expect(predictedOrdinal(log, 13)).toBeGreaterThan(5.85);
  });

  // Common practice, no source: cone 10 lies at 2300–2350 °F.
  test('cone 10 is reached between 2300 and 2350 °F at the usual rates', () => {
    for (const rate of [25, 40, 60]) {
      const end = endPointFor('10', rate);
      expect(end).toBeGreaterThan(fahrenheit(2290));
      expect(end).toBeLessThan(fahrenheit(2350));
    }
  });

  test('a climb at a rate of the table ends where the fit says', () => {
    for (const cone of ['06', '04', '6', '10'])
      for (const rate of [15, 60, 150])
        expect(endPointFor(cone, rate)).toBeCloseTo(endOfClimb(kineticsOf(cone), rate), 0);
  });

  test('however finely a history is written down, the work is the same', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('04', '6', '10'),
        fc.array(fc.tuple(fc.integer({ min: 5, max: 90 }), fc.integer({ min: -60, max: 90 })), {
          minLength: 2,
          maxLength: 12,
        }),
        (cone, steps) => {
          let [t, c] = [0, kineticsOf(cone).t0 - 273.15 - 120];
          const coarse = [{ t, c }];
          for (const [minutes, degrees] of steps) {
            t += minutes * 60;
            c = Math.min(c + degrees, kineticsOf(cone).t0 - 273.15 + 60);
            coarse.push({ t, c });
          }
          const fine = coarse.flatMap((one, i) => {
            const next = coarse[i + 1];
            if (next === undefined) return [one];
            return Array.from({ length: 50 }, (_, k) => ({
              t: one.t + ((next.t - one.t) * k) / 50,
              c: one.c + ((next.c - one.c) * k) / 50,
            }));
          });
          const [a, b] = [workOf(cone, coarse), workOf(cone, fine)];
          expect(Math.abs(a - b)).toBeLessThan(1e-3 * Math.max(a, 0.1));
          expect(workAlong(cone, coarse).at(-1)).toBeCloseTo(a, 10);
        },
      ),
    );
  });

  test('hotter, longer or a lower reading is never less work', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1000, max: 1280 }),
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 1, max: 30 }),
        (peak, rate, hold, more) => {
          const log = (top: number, minutes: number) => {
            const climb = climbTo(top, rate);
            return [...climb, { t: climb[1]!.t + 60 * (minutes + 1), c: top }];
          };
          const base = predictedOrdinal(log(peak, hold));
          expect(predictedOrdinal(log(peak + more, hold))).toBeGreaterThanOrEqual(base - 1e-9);
          expect(predictedOrdinal(log(peak, hold + more))).toBeGreaterThanOrEqual(base - 1e-9);
          expect(predictedOrdinal(log(peak, hold), more)).toBeGreaterThanOrEqual(base - 1e-9);
        },
      ),
    );
  });

  test('a cold kiln and an endless one stand at the ends of the scale', () => {
    expect(predictedOrdinal([{ t: 0, c: 20 }])).toBeLessThanOrEqual(coneOrdinal('022'));
    expect(
      predictedOrdinal([
        { t: 0, c: 20 },
        { t: 3600, c: 1450 },
        { t: 90_000, c: 1450 },
      ]),
    ).toBe(14);
  });

  test('the bend begins slowly, ends fast, and can be read backwards', () => {
    expect(bendOf(0)).toBe(0);
    expect(bendOf(1)).toBe(1);
    expect(bendOf(0.5)).toBeLessThan(0.35);
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (share) => {
        expect(shareOfBend(bendOf(share))).toBeCloseTo(share, 6);
      }),
    );
  });

  test('the end point of every cone of the table reads as that cone', () => {
    for (const cone of WHOLE_CONES) {
      const end = endOfClimb(kineticsOf(cone), 60);
      expect(Math.abs(predictedOrdinal(climbTo(end, 60)) - coneOrdinal(cone))).toBeLessThan(0.05);
    }
  });
});

const SLOW: Segment[] = [
  { rate: 80, target: 120, holdMinutes: 30 },
  { rate: 150, target: 1100, holdMinutes: 0 },
  { rate: 60, target: 1200, holdMinutes: 10 },
];

describe('schedules', () => {
  test('a schedule becomes corners in time', () => {
    const profile = profileOf(SLOW);
    expect(profile.map(({ c }) => c)).toEqual([20, 120, 120, 1100, 1200, 1200]);
    expect(profile.at(-1)!.t / 3600).toBeCloseTo(100 / 80 + 0.5 + 980 / 150 + 100 / 60 + 1 / 6, 6);
    expect(plannedAt(profile, 0)).toBe(20);
    expect(plannedAt(profile, 100 * 45)).toBeCloseTo(120, 0);
    expect(plannedAt(profile, 1e9)).toBeNull();
  });

  test('drops and segments at full speed take their time from the kiln', () => {
    const profile = profileOf([
      { rate: null, target: 1000, holdMinutes: 0 },
      { rate: null, target: 800, holdMinutes: 60 },
    ]);
    expect(profile.at(-1)!.t / 3600).toBeCloseTo(980 / 250 + 200 / 200 + 1, 6);
  });

  test('the hold that brings a cone down does bring it down', () => {
    const made = withHoldFor(SLOW, '6');
    expect(made).not.toBeNull();
    const reading = readSchedule(made!, { cone: '6' });
    expect(reading.work).toBeGreaterThan(0.96);
    expect(reading.work).toBeLessThan(1.04);
    expect(Math.abs(reading.ordinal - 6)).toBeLessThan(0.15);
    expect(withHoldFor(SLOW, '10')).toBeNull();
    expect(withHoldFor(SLOW, '04')).toBeNull();
    // A thermocouple that reads 15 °C low wants a shorter hold.
    expect(withHoldFor(SLOW, '6', 15)![2]!.holdMinutes).toBeLessThan(made![2]!.holdMinutes);
  });

  test('hold advice: how long, already there, or too cool for it', () => {
    const log = climbTo(1200, 60);
    const hold = holdFor('6', 1200, log);
    expect(hold.kind).toBe('hold');
    const held = [...log, { t: log[1]!.t + holdMinutes(hold) * 60, c: 1200 }];
    expect(workOf('6', held)).toBeCloseTo(1, 4);
    expect(holdFor('4', 1200, log).kind).toBe('already');
    expect(holdFor('10', 1150, climbTo(1150, 60)).kind).toBe('too cool');
  });

  // Common practice, no source: an hour at one cone's end point is worth something between
  // half of the next cone and well past it.
  test('an hour at an end point takes the next cone anywhere from half way to past', () => {
    const gains = ['04', '5', '6', '7', '9'].map((cone) => {
      const end = endOfClimb(kineticsOf(cone), 60);
      const log = climbTo(end, 60);
      return predictedOrdinal([...log, { t: log[1]!.t + 3600, c: end }]) - coneOrdinal(cone);
    });
    expect(Math.min(...gains)).toBeGreaterThan(0.3);
    expect(Math.max(...gains)).toBeLessThan(4);
    expect(Math.max(...gains) - Math.min(...gains)).toBeGreaterThan(0.5);
  });

  test('what cannot be fired is said segment by segment', () => {
    expect(checkSchedule(SLOW)).toEqual([]);
    expect(checkSchedule([{ rate: 0, target: 1222, holdMinutes: 0 }])[0]).toMatchObject({
      segment: 0,
      field: 'rate',
    });
    expect(checkSchedule([{ rate: 60, target: 2232, holdMinutes: -1 }])).toHaveLength(2);
  });
});

const holdMinutes = (hold: ReturnType<typeof holdFor>): number =>
  hold.kind === 'already' ? 0 : hold.minutes;
