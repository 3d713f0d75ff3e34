import { coatsOfKey, describeAmount } from '@/core/zones';
import type { Body } from '@/data/bodies';
import type { Control } from '@/data/control';

/** "Tarn (1 dip) on Saltbox". */
export const namedStack = (
  { bodyId, slips, stackKey }: Control,
  bodies: readonly Pick<Body, 'id' | 'name'>[],
  names: Readonly<Record<string, string>>,
): string =>
  `${coatsOfKey(stackKey)
    .reverse()
    .map(({ slug, amount }) => `${names[slug] ?? slug} (${describeAmount(amount)})`)
    .join(
      ' over ',
    )} on ${bodies.find(({ id }) => id === bodyId)?.name ?? 'a body that is gone'}${slips === '' ? '' : ' with slip'}`;
