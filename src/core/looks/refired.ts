import { signOf } from '../signs';
import type { SeenSign } from './looks';

export const BECAME = ['healed', 'same', 'worse', 'less'] as const;
export type Became = (typeof BECAME)[number];

/**
 * What became of each sign of before, as the look after says: gone, milder, as it was, or graver. New
 * signs are not among them. Both lists of one piece; the later one must have gone over the surface.
 */
export function becameOf(
  before: readonly Pick<SeenSign, 'sign' | 'severity'>[],
  after: readonly Pick<SeenSign, 'sign' | 'severity'>[],
): { sign: string; became: Became }[] {
  return before.map(({ sign, severity }) => {
    const now = after.find((one) => one.sign === sign);
    if (now === undefined) return { sign, became: 'healed' };
    if (now.severity === severity) return { sign, became: 'same' };
    return { sign, became: now.severity > severity ? 'worse' : 'less' };
  });
}

const name = (sign: string): string => signOf(sign)?.name.toLowerCase() ?? sign;

/**
 * "crazing healed, pinholes worse; new: running": what a refire did, in words. Empty when nothing was to
 * heal.
 */
export function becameWords(
  before: readonly Pick<SeenSign, 'sign' | 'severity'>[],
  after: readonly Pick<SeenSign, 'sign' | 'severity'>[],
): string {
  const old = new Set(before.map(({ sign }) => sign));
  const fresh = after.filter(({ sign }) => !old.has(sign)).map(({ sign }) => name(sign));
  return [
    becameOf(before, after)
      .map(({ sign, became }) => `${name(sign)} ${became === 'less' ? 'milder' : became}`)
      .join(', '),
    fresh.length > 0 ? `new: ${fresh.join(', ')}` : '',
  ]
    .filter(Boolean)
    .join('; ');
}
