/** Witness cones of the demo, as they bent. */
import { CONES, coneOrdinal, previousWholeCone, usualPack } from '../src/core/cones';
import { Random } from './random';
import { type DemoFiring } from './history-terms';
import { type NewFiring } from './history';

export function conePacks(plan: NewFiring, random: Random): DemoFiring['cones'] {
  if (plan.kind === 'bisque') return [];
  return (plan.kiln === 'pip' ? ['shelf'] : ['top shelf', 'bottom shelf']).flatMap((place, i) => {
    const here = plan.reached - i * random.between(0.05, 0.2);
    return usualPack(plan.target).map(({ cone, role }) => ({
      cone,
      role,
      place,
      bend: plan.status === 'opened' ? bendAt(cone, here) : null,
    }));
  });
}

/** How far a cone has come down when the place reached this point of the line. */
function bendAt(cone: string, reached: number): number {
  const [top, foot] = [coneOrdinal(cone), coneOrdinal(previousWholeCone(cone) ?? CONES[0]!)];
  if (reached >= top) return 90;
  return reached <= foot ? 0 : Math.round(((reached - foot) / (top - foot)) * 18) * 5;
}
