import { formatCone } from '../cones';
import type { Journey } from './journey';

/** Where a piece is in its life, in words. */
export function journeyWords(journey: Journey): string {
  switch (journey.stage) {
    case 'binned':
      return 'in the bin';
    case 'in a firing':
      return `in ${journey.firing}`;
    case 'waiting':
      if (journey.for === 'refire') return 'waits for a refire';
      return journey.for === 'glaze' && journey.cone !== null
        ? `waits for glaze, cone ${formatCone(journey.cone)}`
        : `waits for ${journey.for}`;
    case 'fired':
      return journey.times === 1 ? 'fired' : `fired ${journey.times} times`;
    case 'made':
      return 'made';
  }
}
