/** What unrelated stacks of a load share is the firing’s, when other firings have hardly as much. */
import { sharedComplaints, type FiringFaults } from './load';

const firing = (firingId: string, stacks: number, faults: Record<string, number>): FiringFaults => ({
  firingId,
  stacks,
  faults,
  bodies: 1,
  on: {},
});
const calm = Array.from({ length: 20 }, (_, i) =>
  firing(`f${i}`, 12, i % 4 === 0 ? { dry: 1, pit: 4 } : { pit: 3 }),
);

test('under-reduced: nine of twelve stacks off colour, where other firings have none', () => {
  const found = sharedComplaints(firing('own', 12, { 'off-colour': 9, pit: 3, crazing: 2 }), calm);
  expect(found).toEqual([{ sign: 'off-colour', with: 9, of: 12, others: 20, fewer: 20 }]);
});

test('what every firing of the studio has as much of is no firing’s', () => {
  expect(sharedComplaints(firing('own', 12, { pit: 4 }), calm)).toEqual([]);
});

test('what one body alone shows is the body’s, where there are others beside it', () => {
  const own = firing('own', 12, { crazing: 6 });
  expect(sharedComplaints({ ...own, bodies: 3, on: { crazing: 1 } }, calm)).toEqual([]);
  expect(sharedComplaints({ ...own, bodies: 3, on: { crazing: 2 } }, calm)).toHaveLength(1);
  expect(sharedComplaints(own, calm)).toHaveLength(1);
});

test('too few stacks, or too small a part of the load, share nothing', () => {
  expect(sharedComplaints(firing('own', 2, { dry: 2 }), calm)).toEqual([]);
  expect(sharedComplaints(firing('own', 40, { dry: 5 }), calm)).toEqual([]);
});

test('with hardly another firing to compare, half of the load must show it', () => {
  const few = calm.slice(0, 3);
  expect(sharedComplaints(firing('own', 10, { running: 4 }), few)).toEqual([]);
  expect(sharedComplaints(firing('own', 10, { running: 5 }), few)).toHaveLength(1);
});

test('the firing itself and loads of a tile or two are no comparison; the rarest stands first', () => {
  const own = firing('own', 10, { dry: 4, running: 6 });
  const others = [...calm, own, firing('tiny', 2, { dry: 2, running: 2 }), firing('hot', 10, { running: 7 })];
  const found = sharedComplaints(own, others);
  expect(found.map(({ sign, others: n, fewer }) => [sign, n, fewer])).toEqual([
    ['dry', 21, 21],
    ['running', 21, 20],
  ]);
});
