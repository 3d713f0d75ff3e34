/** A notice for students of a firing unlike the usual: what suits it and what usually changes. */
import { formatCone, inConeRange, isCone } from '@/core/cones';
import type { Source } from '@/data/database';
import type { Firing } from '@/data/firings';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';

const LISTED = 14;
const list = (names: readonly string[]): string =>
  names.length <= LISTED
    ? names.join(', ')
    : `${names.slice(0, LISTED).join(', ')} and ${names.length - LISTED} more`;

/** Drafted from what the store says of cones and atmospheres; a person puts it right. */
export async function noticeDraft(
  src: Source,
  firing: Pick<Firing, 'targetCone' | 'atmosphere' | 'kind'>,
): Promise<string> {
  if (firing.kind === 'bisque') return 'Bone-dry work only: cold to the cheek means wet.';
  const [bodies, coatings] = await Promise.all([listBodies(src), listCoatings(src)]);
  const cone = firing.targetCone !== null && isCone(firing.targetCone) ? firing.targetCone : null;
  const wrong = firing.atmosphere.includes('reduction') ? 'oxidation only' : 'reduction only';
  const suits = (one: {
    coneLow: string | null;
    coneHigh: string | null;
    traits: readonly string[];
    archived: boolean;
  }): boolean =>
    !one.archived &&
    !one.traits.includes(wrong) &&
    (cone === null ||
      (one.coneLow !== null &&
        one.coneHigh !== null &&
        inConeRange(cone, { low: one.coneLow, high: one.coneHigh })));
  const own = coatings.filter((one) => !one.trial && suits(one));
  const changes = own.filter(({ atmosphereNotes }) => atmosphereNotes !== '');
  return [
    `${cone === null ? 'A firing' : `Cone ${formatCone(cone)}`} in ${firing.atmosphere}.`,
    `Bodies: ${list(bodies.filter(suits).map(({ name }) => name)) || 'none is known to suit'}.`,
    `Coatings: ${list(own.map(({ name }) => name)) || 'none is known to suit'}.`,
    ...changes.map(({ name, atmosphereNotes }) => `${name}: ${atmosphereNotes}`),
  ].join('\n');
}
