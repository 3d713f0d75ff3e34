import { factOf } from '../diagnosis';
import {
  absorptionOf,
  failures,
  latestOf,
  resultWords,
  testKind,
  toldByTests,
  USE_TESTS,
  weighedAbsorption,
  type UseRecord,
} from './index';

let no = 0;
const record = (kind: string, outcome: string, rest: Partial<UseRecord> = {}): UseRecord => ({
  id: `t${no++}`,
  kind,
  outcome,
  rounds: null,
  dryG: null,
  wetG: null,
  doneOn: '2026-05-03',
  ...rest,
});

test('whatever is done with heat, ice or boiling water says what to guard', () => {
  for (const { how, caution } of USE_TESTS)
    if (/150 °C|straight into/.test(how)) expect(caution).toMatch(/goggles/i);
});

test('nothing but a laboratory’s word passes for food: what home tests pass says only what was seen', () => {
  for (const { id, outcomes } of USE_TESTS) {
    expect(outcomes.some(({ bad }) => bad !== undefined) || testKind(id)?.weighs).toBeTruthy();
    if (id !== 'laboratory')
      for (const { words } of outcomes) expect(words).not.toMatch(/\b(safe|passed|food)\b/);
  }
});

test('absorption is what it took up of its dry weight', () => {
  // ASTM C373: 100 × (soaked − dry) / dry.
  expect(absorptionOf(200, 204)).toBeCloseTo(2, 10);
  expect(() => absorptionOf(0, 4)).toThrow(RangeError);
  expect(() => absorptionOf(200, 199)).toThrow(RangeError);
  expect(weighedAbsorption([record('ice', 'sound')])).toBeNull();
  const twice = [
    record('absorption', 'weighed', { dryG: 200, wetG: 210 }),
    record('absorption', 'weighed', { dryG: 200, wetG: 202, doneOn: '2026-06-01' }),
  ];
  expect(weighedAbsorption(twice)).toBeCloseTo(1, 10);
});

test('what failed once stays failed, whatever was passed later', () => {
  const all = [
    record('acid', 'dull', { doneOn: '2026-01-01' }),
    record('acid', 'same', { doneOn: '2026-02-01' }),
    record('acid', 'dull', { doneOn: '2026-03-01' }),
    record('ice', 'sound'),
  ];
  expect(failures(all)).toHaveLength(1);
  expect(failures(all)[0]!.words).toMatch(/^Lemon or vinegar overnight: .*Not for food/);
  expect(failures([record('ice', 'sound')])).toEqual([]);
});

test('the newest of each kind stands; its result in words', () => {
  const [old, young] = [
    record('ice', 'sound', { doneOn: '2026-01-01' }),
    record('ice', 'crazed', { rounds: 3, doneOn: '2026-02-01' }),
  ];
  const other = record('acid', 'same');
  expect(latestOf([old!, young!, other]).map(({ id }) => id)).toEqual([other.id, young!.id]);
  expect(resultWords(young!)).toBe('it crazed after 3 cycles');
  expect(resultWords(record('dishwasher', 'same', { rounds: 1 }))).toBe('as its twin after 1 round');
  expect(resultWords(record('absorption', 'weighed', { dryG: 200, wetG: 207 }))).toBe(
    '3.5 % (200 g dry, 207 g soaked)',
  );
});

test('what tests tell the clinic are facts and values that it knows; a later test outweighs', () => {
  for (const { id, outcomes } of USE_TESTS)
    for (const { tells } of outcomes)
      if (tells !== undefined)
        expect([id, factOf(tells[0])?.values.some((value) => value.id === tells[1])]).toEqual([id, true]);
  const all = [
    record('ice', 'sound', { doneOn: '2026-01-01' }),
    record('ice', 'crazed', { doneOn: '2026-02-01' }),
  ];
  expect(toldByTests(all).map(({ fact, value }) => [fact, value])).toEqual([['t-ice', 'yes']]);
});
