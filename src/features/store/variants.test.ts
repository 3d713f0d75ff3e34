import { orderOfAdditions } from '@/core/slurry';
import { SI, formatMass } from '@/core/units';
import { mixSteps, readVariants } from './variants';

test('variants are read as they are written down, decimal commas too', () => {
  expect(readVariants('plain\nblue: Cobalt carbonate 1,5, Tin oxide 5 %\n\n', 200)).toEqual([
    { name: 'plain', baseGrams: 200, additions: {} },
    { name: 'blue', baseGrams: 200, additions: { 'Cobalt carbonate': 1.5, 'Tin oxide': 5 } },
  ]);
});

test.each([
  ['blue: Cobalt', /“Cobalt” in “blue”/],
  ['', /at least one/],
  ['a\na', /one name/],
])('“%s” is not read', (text, words) => {
  expect(() => readVariants(text, 100)).toThrow(words);
});

test('steps add, pour off and name what is kept, in an order that can be followed', () => {
  const { root } = orderOfAdditions(readVariants('plain\nlight: Iron 2\ndark: Iron 8', 100));
  expect(mixSteps(root, (grams) => formatMass(grams, SI))).toEqual([
    ['Divide the pot by weight: 33.3 %, 66.7 %', ''],
    ['This is “plain”', '100 g'],
    ['Add Iron to the pot of 200 g base', '4 g'],
    ['Pour off 50 % of the pot: this is “light”', '100 g'],
    ['Add Iron to the pot of 100 g base', '6 g'],
    ['This is “dark”', '100 g'],
  ]);
});
