import { formatCone } from '../cones';
import type { Journey, Refire } from './journey';

/** What a refire is for: "Refire at cone 5½ in oxidation: another coat, because of crazing". */
export function refireWords({ why, todo, cone, atmosphere }: Refire): string {
  const at = cone === null ? '' : ` at cone ${formatCone(cone)}`;
  const air = atmosphere === null ? '' : ` in ${atmosphere}`;
  const first = todo === '' ? '' : `: ${todo}`;
  return `Refire${at}${air}${first}${why === '' ? '' : `, because of ${why}`}`;
}

/** Where a piece is in its life, in words. */
export function journeyWords(journey: Journey): string {
  switch (journey.stage) {
    case 'binned':
      return 'in the bin';
    case 'in a firing':
      return `in ${journey.firing}`;
    case 'waiting':
      return [
        journey.for === 'refire' ? 'waits for a refire' : `waits for ${journey.for}`,
        journey.for !== 'bisque' && journey.cone !== null && `cone ${formatCone(journey.cone)}`,
        journey.todo,
      ]
        .filter(Boolean)
        .join(', ');
    case 'fired':
      return journey.times === 1 ? 'fired' : `fired ${journey.times} times`;
    case 'made':
      return 'made';
  }
}
