/**
 * Heat work as a thermally activated process. A cone's tip is down when
 *   ∫ A · exp(−E/R · (1/T − 1/T₀)) dt
 * over the firing reaches 1 (T in kelvin, t in seconds). E and A are fitted for every cone to
 * its published end points at constant rates; they describe the cone, not a chemistry.
 */
import { CONES, END_POINT_RATES, endPoint } from '../cones';

const { abs, log: ln, max, min } = Math;

/** Gas constant, J/(mol·K): CODATA 2018, exact since the SI of 2019. */
export const GAS_CONSTANT = 8.314462618;
export const KELVIN = 273.15;

/** How one cone answers to heat. `t0` in K, `e` in J/mol, `lnA` the logarithm of 1/s at t0. */
export type Kinetics = { cone: string; t0: number; e: number; lnA: number };

/** One column of the table brought back by the fit, in °C. */
export type FitResidual = { rate: number; table: number; fitted: number };
export type ConeFit = Kinetics & { residuals: FitResidual[] };

/**
 * ln of ∫₀ᵀ exp(−E/R·(1/T′ − 1/T₀)) dT′, in ln K. The temperature integral is the rational
 * approximation of fourth degree by Senum and Yang (1977), J. Thermal Analysis 11, 445–447
 * (coefficients from memory; the tests compare it with quadrature).
 */
export function lnTemperatureIntegral(e: number, t: number, t0: number): number {
  const x = e / (GAS_CONSTANT * t);
  const p = (x ** 3 + 18 * x ** 2 + 86 * x + 96) / (x ** 4 + 20 * x ** 3 + 120 * x ** 2 + 240 * x + 120);
  return ln((e / GAS_CONSTANT) * (p / x)) - x + e / (GAS_CONSTANT * t0);
}

/** ln A for which a climb at `rate` °C/h does the work of 1 at `celsius`. */
const lnAFor = (e: number, t0: number, celsius: number, rate: number): number =>
  ln(rate / 3600) - lnTemperatureIntegral(e, celsius + KELVIN, t0);

/** °C at which a constant climb has done the work of 1. */
export function endOfClimb(kinetics: Kinetics, rate: number): number {
  let t = kinetics.t0;
  for (let i = 0; i < 40; i++) {
    const miss = lnTemperatureIntegral(kinetics.e, t, kinetics.t0) + kinetics.lnA - ln(rate / 3600);
    // d(ln integral)/dT ≈ E/RT² + 2/T
    const step = miss / (kinetics.e / (GAS_CONSTANT * t * t) + 2 / t);
    t -= max(-60, min(60, step));
    if (abs(step) < 1e-9) break;
  }
  return t - KELVIN;
}

/** The column of the table that a fit brings back exactly, °C/h. */
const PINNED_RATE = 60;

type Point = { rate: number; celsius: number };

/** The kinetics with this E that bring the cone down at its published end point at 60 °C/h exactly. */
function fitAt(cone: string, t0: number, e: number): Kinetics {
  return { cone, t0, e, lnA: lnAFor(e, t0, t0 - KELVIN, PINNED_RATE) };
}

const missOf = (kinetics: Kinetics, points: readonly Point[]): number =>
  points.reduce((sum, { rate, celsius }) => sum + (endOfClimb(kinetics, rate) - celsius) ** 2, 0);

/**
 * Fits a cone to its end points: exactly to that at 60 °C/h, which is the one that studios go by, and
 * by least squares in °C to the others, by golden section over E.
 * @throws RangeError for a cone that is not on the scale.
 */
export function fitCone(cone: string): ConeFit {
  const points = END_POINT_RATES.flatMap((rate): Point[] => {
    const celsius = endPoint(cone, rate);
    return celsius === null ? [] : [{ rate, celsius }];
  });
  const t0 = (endPoint(cone, PINNED_RATE) as number) + KELVIN;
  const miss = (e: number): number => missOf(fitAt(cone, t0, e), points);
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [1e5, 4e6];
  let [a, b] = [high - golden * (high - low), low + golden * (high - low)];
  let [missA, missB] = [miss(a), miss(b)];
  while (high - low > 50) {
    if (missA < missB) {
      [high, b, missB] = [b, a, missA];
      a = high - golden * (high - low);
      missA = miss(a);
    } else {
      [low, a, missA] = [a, b, missB];
      b = low + golden * (high - low);
      missB = miss(b);
    }
  }
  const kinetics = fitAt(cone, t0, (low + high) / 2);
  return {
    ...kinetics,
    residuals: points.map(({ rate, celsius }) => ({
      rate,
      table: celsius,
      fitted: endOfClimb(kinetics, rate),
    })),
  };
}

const fits = new Map<string, ConeFit>();

/** The fit of a cone, made once. @throws RangeError for a cone that is not on the scale. */
export function kineticsOf(cone: string): ConeFit {
  const known = fits.get(cone);
  if (known) return known;
  const made = fitCone(cone);
  fits.set(cone, made);
  return made;
}

/** Every cone's fit, coolest first. */
export const allFits = (): ConeFit[] => CONES.map(kineticsOf);
