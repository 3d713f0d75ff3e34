import type { Layer } from '../zones';
import { circumstances, SECONDS, secondsTold, type History } from './circumstances';

const coat = (seconds: number | null): Layer => ({ seconds, driedBefore: null, stage: 'bisque' }) as Layer;
const history = (layers: Layer[]): History => ({
  kiln: 'Marta',
  firing: 'Marta 3',
  kind: 'glaze',
  shelf: null,
  setting: 'unknown',
  generation: 1,
  form: 'L tile',
  lot: null,
  layers,
});

test.each([
  [[3], 3],
  [[3, 9], 12],
  [[2.5, null, 4], 6.5],
  [[null], null],
  [[], null],
])('how long %p was held is read back as it was written: %p', (seconds, whole) => {
  const held = circumstances(history(seconds.map(coat)))[SECONDS] ?? null;
  expect(secondsTold(held)).toBe(whole);
});

test('what nobody knows has no entry', () => {
  expect(Object.keys(circumstances(history([])))).toEqual(['firing', 'form', 'times glaze-fired', 'kiln']);
});
