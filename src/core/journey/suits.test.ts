import { bestFiring, queuesOf, suits, unsuited, type Offer, type Wish } from './suits';

const wish = (rest: Partial<Wish> = {}): Wish => ({
  waitsFor: 'glaze',
  cone: '6',
  atmosphere: 'oxidation',
  body: { name: 'Saltbox', range: { low: '4', high: '8' } },
  coatings: [{ name: 'Tarn', range: { low: '5', high: '7' } }],
  ...rest,
});
const offer = (rest: Partial<Offer> = {}): Offer => ({
  kind: 'glaze',
  targetCone: '6',
  atmosphere: 'oxidation',
  ...rest,
});

test('kinds: what waits for bisque goes in a bisque, the rest does not; once-fired takes both', () => {
  expect(suits(wish({ waitsFor: 'bisque' }), offer({ kind: 'bisque', targetCone: '04' }))).toBe(true);
  expect(unsuited(wish({ waitsFor: 'bisque' }), offer())).toBe('it waits for bisque');
  expect(unsuited(wish(), offer({ kind: 'bisque', targetCone: '04' }))).toBe('it waits for glaze');
  for (const waitsFor of ['bisque', 'glaze', 'refire'] as const)
    expect(suits(wish({ waitsFor }), offer({ kind: 'once-fired' }))).toBe(true);
  expect(suits(wish(), offer({ kind: 'overglaze' }))).toBe(false);
  expect(suits(wish({ waitsFor: 'refire' }), offer({ kind: 'overglaze' }))).toBe(true);
  expect(unsuited(wish({ waitsFor: null }), offer())).toBe('it waits for nothing');
});

test('the cone that is wanted, and the air that is wanted', () => {
  expect(unsuited(wish({ cone: '5.5' }), offer())).toBe('it wants cone 5½');
  expect(unsuited(wish({ atmosphere: 'heavy reduction' }), offer())).toBe('it wants heavy reduction');
  expect(unsuited(wish(), offer({ atmosphere: 'light reduction' }))).toBe('it wants oxidation');
  expect(suits(wish({ atmosphere: 'neutral' }), offer())).toBe(true);
  expect(suits(wish({ atmosphere: 'light reduction' }), offer({ atmosphere: 'heavy reduction' }))).toBe(true);
});

test('what is not known holds nothing up', () => {
  expect(suits(wish({ atmosphere: null, cone: null }), offer({ atmosphere: 'unknown' }))).toBe(true);
  expect(suits(wish({ cone: '9' }), offer({ targetCone: null }))).toBe(true);
  expect(
    suits(
      wish({ cone: null, body: { name: '', range: null }, coatings: [{ name: '', range: null }] }),
      offer(),
    ),
  ).toBe(true);
});

test('ranges decide; a body never goes beyond its own', () => {
  const ten = offer({ targetCone: '10' });
  expect(unsuited(wish({ cone: null }), ten)).toBe('Saltbox goes to cone 8 at most');
  expect(unsuited(wish({ cone: '10' }), ten)).toBe('Saltbox goes to cone 8 at most');
  expect(unsuited(wish({ cone: null }), offer({ targetCone: '8' }))).toBe('Tarn is for cone 5 to 7');
  // A glaze outside its range is found whatever cone is wanted, as the checks of the load find it.
  expect(unsuited(wish({ cone: '8' }), offer({ targetCone: '8' }))).toBe('Tarn is for cone 5 to 7');
});

test('the firing that suits most of what waits is named with how many it suits', () => {
  const six = { ...offer(), id: 'six' };
  const reduced = { ...offer({ atmosphere: 'heavy reduction' }), id: 'reduced' };
  const waiting = [
    { ...wish(), count: 3 },
    { ...wish({ atmosphere: 'heavy reduction' }), count: 5 },
  ];
  expect(bestFiring(waiting, [six, reduced])).toEqual({ firing: reduced, suited: 5 });
  expect(bestFiring([waiting[0]!], [six, { ...six, id: 'later' }])?.firing.id).toBe('six');
  expect(bestFiring(waiting, [{ ...offer({ kind: 'bisque' }), id: 'bisque' }])).toBeNull();
});

test('queues: bisque is one queue whatever is wanted after it; the rest is told apart by cone and air', () => {
  const queues = queuesOf([
    { ...wish({ waitsFor: 'bisque' }), count: 2 },
    { ...wish({ waitsFor: 'bisque', cone: '10' }), count: 3 },
    { ...wish(), count: 4 },
    { ...wish({ body: { name: 'Eider', range: null } }), count: 5 },
    { ...wish({ cone: '10' }), count: 1 },
    { ...wish({ waitsFor: null }), count: 9 },
  ]);
  expect(queues.map(({ waitsFor, cone, count }) => [waitsFor, cone, count])).toEqual([
    ['glaze', '6', 9],
    ['bisque', null, 5],
    ['glaze', '10', 1],
  ]);
  expect(queues[0]!.waiting).toHaveLength(2);
});
