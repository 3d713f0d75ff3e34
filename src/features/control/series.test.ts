import { alike, controlSeries } from './series';
import type { ControlSeen } from '@/data/control';

const seen = (no: number, rest: Partial<ControlSeen> = {}): ControlSeen => ({
  firingId: `f${no}`,
  no,
  plannedFor: `2026-01-${String(no).padStart(2, '0')}`,
  cone: '6',
  atmosphere: 'oxidation',
  reached: null,
  tiles: 1,
  lab: [50 + (no % 2), 0, 5],
  surface: 0,
  movementMm: null,
  ...rest,
});
const many = (count: number, of: (no: number) => Partial<ControlSeen> = () => ({})) =>
  Array.from({ length: count }, (_, i) => seen(i + 1, of(i + 1)));

test('a firing that came out darker than ever is said, in words and with its number', () => {
  const [light] = controlSeries([...many(12), seen(13, { lab: [30, 0, 5] })]);
  expect(light!.name).toBe('lightness');
  expect(light!.said[0]).toBe('Firing 13: darker, L* 30, outside what is usual.');
});

test('with few firings there is a line and no limits; of one, or what nobody measured, no line', () => {
  const few = controlSeries(many(5));
  expect(few.map(({ name }) => name)).toEqual(['lightness', 'red and green', 'yellow and blue', 'surface']);
  expect(few.every(({ limits, said }) => limits === null && said.length === 0)).toBe(true);
  expect(controlSeries(many(1))).toEqual([]);
  expect(controlSeries(many(4, () => ({ lab: null, surface: null })))).toEqual([]);
  expect(controlSeries(many(3, (no) => ({ movementMm: no }))).at(-1)).toMatchObject({
    name: 'movement',
    points: [{ words: '1 mm' }, {}, {}],
  });
});

test('only firings to the same cone in the same air are compared: the commonest', () => {
  const list = [...many(4), seen(5, { cone: '5' }), seen(6, { atmosphere: 'heavy reduction' })];
  const { of, cone, atmosphere } = alike(list);
  expect([of.length, cone, atmosphere]).toEqual([4, '6', 'oxidation']);
  expect(alike([])).toEqual({ of: [], cone: '', atmosphere: '' });
});
