/**
 * The smallest set of tiles that a test of the clinic wants, as a design. Keys are ids of versions, bodies,
 * materials.
 */
import type { Design } from '@/core/designs';
import { testOf } from '@/core/diagnosis';
import type { Layer } from '@/core/zones';

export type TestPlace = {
  bodyId: string;
  /** A body that is known to be quiet, for a comparison; null where there is none. */
  otherBodyId: string | null;
  /** Coating versions of the stack, first coat first. */
  stack: readonly string[];
  apply: Pick<Layer, 'method' | 'weight' | 'seconds' | 'stage'> & { coats: number };
  /** Which of them can be weighed, and what with. */
  recipe: string | null;
  silica: string | null;
  kaolin: string | null;
};

export type TestPlan = { design: Design } | { why: string };

/** The design of a test, or why it cannot be made of what is on record. */
export function designFor(fact: string, place: TestPlace): TestPlan {
  const test = testOf(fact);
  if (test?.design == null) return { why: 'This test is not one of tiles: it is done by hand.' };
  if (place.stack.length === 0) return { why: 'It is not on record what lies on the piece.' };
  const common = { bodies: [place.bodyId], repeats: 1, controls: false, apply: place.apply };
  const [first, second] = place.stack;
  const stacks = (list: readonly (readonly string[])[]): TestPlan => ({
    design: { ...common, kind: 'list', stacks: list.map((one) => [...one]) } as Design,
  });
  if (fact === 't-thin-thick')
    return place.stack.length === 1
      ? stacks([[first!], [first!, first!], [first!, first!, first!]])
      : stacks([place.stack, place.stack.flatMap((one) => [one, one])]);
  if (fact === 't-order')
    return second === undefined
      ? { why: 'There is only one coat: no order to turn round.' }
      : stacks([
          [first!, first!],
          [second, second],
          [first!, second],
          [second, first!],
        ]);
  if (fact === 't-two-bodies')
    return place.otherBodyId === null
      ? { why: 'There is no other body for this cone to compare with.' }
      : {
          design: {
            ...common,
            bodies: [place.bodyId, place.otherBodyId],
            repeats: 2,
            kind: 'across bodies',
            stack: [...place.stack],
          } as Design,
        };
  if (fact === 't-ladder')
    return place.recipe === null || place.silica === null || place.kaolin === null
      ? { why: 'The ladder needs the recipe of the glaze, and silica and kaolin in the store.' }
      : {
          design: {
            ...common,
            controls: true,
            kind: 'crazing',
            base: place.recipe,
            steps: 4,
            silica: place.silica,
            kaolin: place.kaolin,
          } as Design,
        };
  // Twins: what is changed is done to them, not put on them.
  return stacks(Array.from({ length: test.tiles }, () => place.stack));
}
