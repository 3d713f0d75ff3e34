/** A surface that is otherwise than was meant is a fault, also where whoever wrote it up gave it no name. */
import { complaintsOf } from './complaints';
import { stackParts, type SeenStack } from './from-record';

/** Which surfaces are these complaints themselves. A satin is neither. */
const SURFACES: Readonly<Record<string, readonly string[]>> = {
  matt: ['matt', 'dry'],
  gloss: ['gloss'],
  dry: ['dry'],
};

/** Is a complaint told by its surface? */
export const toldBySurface = (complaint: string): boolean => SURFACES[complaint] !== undefined;

/**
 * Does what was seen show a complaint? By its sign or by its surface; where the sign stands for other
 * complaints too (a colour that is off), a surface that was written down decides alone.
 */
export function shows(
  complaint: string,
  sign: string,
  { faults, surface }: Pick<SeenStack, 'faults' | 'surface'>,
): boolean {
  const surfaces = SURFACES[complaint];
  if (surfaces === undefined || surface === null) return faults.includes(sign);
  const said = complaintsOf(sign).length === 1 && faults.includes(sign);
  return said || surfaces.includes(surface);
}

/**
 * Stacks as they bear on a complaint: of those that are the same as its own (coats in order) the surface
 * counts as its sign. Others are meant to be as they are.
 */
export function marked<T extends SeenStack>(
  all: readonly T[],
  complaint: string,
  sign: string,
  own: ReadonlySet<string>,
): readonly T[] {
  if (!toldBySurface(complaint)) return all;
  return all.map((one) => {
    if (!own.has(stackParts(one.stackKey).stack)) return one;
    const others = one.faults.filter((fault) => fault !== sign);
    return { ...one, faults: shows(complaint, sign, one) ? [...others, sign] : others };
  });
}
