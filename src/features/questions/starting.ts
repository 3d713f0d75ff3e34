import { type DesignKind } from '@/core/designs/terms';
import type { DesignInput } from './contracts';
import { firstDesign } from './design';
import type { AskChoices } from './queries';

const APPLY = { method: 'dip', coats: 1, weight: 'normal', seconds: 3 } as const;

/** The first design of a kind, about a coating where the way here named one. */
export function startingWith(
  start: { kind: DesignKind; coating?: string },
  choices: AskChoices,
): DesignInput {
  const first = firstDesign(start.kind, choices, {
    bodies: choices.bodies.slice(0, 1).map(({ id }) => id),
    repeats: 1,
    controls: true,
    apply: { ...APPLY },
  });
  if (start.coating === undefined) return first;
  if ('base' in first) return { ...first, base: start.coating };
  if ('coating' in first) return { ...first, coating: start.coating };
  return first;
}
