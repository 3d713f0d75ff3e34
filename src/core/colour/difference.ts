import { differenceCiede2000 } from 'culori/fn';
import type { Lab } from './spaces';

const difference = differenceCiede2000();

const colour = ([l, a, b]: Lab) => ({ mode: 'lab65' as const, l, a, b });

/** How different two colours look, ΔE₀₀ (CIEDE2000, ISO/CIE 11664-6): about 1 is just seen side by side. */
export const deltaE = (one: Lab, other: Lab): number => difference(colour(one), colour(other));
