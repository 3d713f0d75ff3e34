import { CONTRADICTIONS, contradictionsIn } from './contradictions';
import { factOf } from './facts';
import { WORKED } from '../../../test-support/clinic-cases';

test('every fact and value of every pair is known', () => {
  for (const side of CONTRADICTIONS.flat()) {
    const [fact, ...values] = side;
    const known = factOf(fact)?.values.map(({ id }) => id);
    for (const value of values) expect([fact, known?.includes(value)]).toEqual([fact, true]);
  }
});

test('what cannot both hold is found, with both in words', () => {
  const found = contradictionsIn({
    stack: 'single',
    order: 'one-order',
    air: 'reduction',
    reduction: 'late',
  });
  expect(found).toHaveLength(1);
  expect(found[0]!.map(({ fact }) => fact)).toEqual(['stack', 'order']);
  expect(found[0]![0]!.words).toBe('What does each coat do by itself? there is only one coat');
});

test('what is not known contradicts nothing, and no worked case contradicts itself', () => {
  expect(contradictionsIn({})).toEqual([]);
  for (const { story, facts } of WORKED) expect([story, contradictionsIn(facts)]).toEqual([story, []]);
});
