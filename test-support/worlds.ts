/**
 * Simulated worlds come in two sizes: small ones, of seconds, in the everyday tests; large ones with `npm run
 * worlds` and
 * `./test --all`, whose figures go into docs/WORLDS.md.
 */
import { appendFileSync } from 'node:fs';

export const LARGE = process.env.JITEN_WORLDS === 'large';

/** The number, list or bound for the size that is run. */
export const sized = <T>(small: T, large: T): T => (LARGE ? large : small);

export type Figure = { world: string; what: string; found: string; wanted: string };

/** Writes down what a world came to, where somebody wants to know. */
export function figure(world: string, what: string, found: string, wanted: string): void {
  const path = process.env.JITEN_FIGURES;
  if (path !== undefined)
    appendFileSync(path, `${JSON.stringify({ world, what, found, wanted } satisfies Figure)}\n`);
}

export const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
