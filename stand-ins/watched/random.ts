/** Evenly spread numbers from 0 to 1, the same for the same seed (mulberry32, public domain). */

const { PI, cos, floor, imul, log, sqrt } = Math;
export function uniform(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let z = state;
    z = imul(z ^ (z >>> 15), z | 1);
    z ^= z + imul(z ^ (z >>> 7), z | 61);
    return ((z ^ (z >>> 14)) >>> 0) / 4294967296;
  };
}

export type Draw = {
  between: (low: number, high: number) => number;
  chance: (share: number) => boolean;
  oneOf: <T>(list: readonly T[]) => T;
  /** Mean 0, spread 1. */
  normal: () => number;
};

export function drawing(seed: number): Draw {
  const next = uniform(seed);
  return {
    between: (low, high) => low + (high - low) * next(),
    chance: (share) => next() < share,
    oneOf: (list) => list[floor(next() * list.length)]!,
    normal: () => sqrt(-2 * log(next() + 1e-12)) * cos(2 * PI * next()),
  };
}
