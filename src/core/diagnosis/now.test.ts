import { marked } from './as-seen';
import { COMPLAINTS } from './complaints';
import type { SeenStack } from './from-record';
import { factsThatBear } from './knowledge';
import { nowWith } from './now';

test('of every complaint it is said what to do with the piece now', () => {
  for (const { id } of COMPLAINTS) expect(nowWith([id])[0]!.now.use.length).toBeGreaterThan(5);
  expect(nowWith(['crazing', 'crawling']).map(({ name }) => name)).toEqual(['Crazing', 'Crawling']);
  expect(nowWith(['nothing of the kind'])).toEqual([]);
});

test('what can hurt whoever uses it is kept from use', () => {
  for (const id of ['shivering', 'blister', 'crater', 'froth', 'manganese', 'dry', 'pinhole'])
    expect(nowWith([id])[0]!.now.use).toMatch(/not for food/i);
  for (const id of ['dunt', 'bloat', 'lime-pop', 'black-core'])
    expect(nowWith([id])[0]!.now.use).toMatch(/^Not for use/);
  // Whatever is ground or refired is said with its guard.
  for (const { id } of COMPLAINTS) {
    const { mend } = nowWith([id])[0]!.now;
    if (mend !== null && /grind/i.test(mend)) expect(mend).toMatch(/wet|waster/i);
    if (mend !== null && /refire/i.test(mend)) expect(mend).toMatch(/waster|dry through|crazes again/i);
  }
});

const seen = (stackKey: string, surface: string | null): SeenStack => ({
  pieceId: 'p',
  firingId: 'f',
  bodyId: 'b',
  slips: '',
  stackKey,
  cone: '6',
  refired: false,
  shelf: 1,
  surface,
  seconds: null,
  faults: [],
});

test('a surface that is otherwise than meant counts as the fault, on the same stack alone', () => {
  const own = new Set(['gull>tarn']);
  const all = [
    seen('gull#1 dip×1 + tarn#1 dip×1', 'matt'),
    seen('gull#1 dip×1 + tarn#1 dip×1', 'gloss'),
    seen('snowmelt#1 dip×1', 'matt'),
    seen('gull#1 dip×1 + tarn#1 dip×2', null),
  ];
  const faulty = (complaint: string, sign: string) =>
    marked(all, complaint, sign, own).map(({ faults }) => faults.includes(sign));
  expect(faulty('matt', 'off-colour')).toEqual([true, false, false, false]);
  expect(faulty('gloss', 'off-colour')).toEqual([false, true, false, false]);
  // A colour that is off on a glossy one is another complaint; what was called dry is dry whatever its
  // surface.
  const said = (sign: string) => [{ ...all[1]!, faults: [sign] }];
  expect(marked(said('off-colour'), 'matt', 'off-colour', own)[0]!.faults).toEqual([]);
  expect(marked(said('dry'), 'dry', 'dry', own)[0]!.faults).toEqual(['dry']);
  expect(faulty('pit', 'pit')).toEqual([false, false, false, false]);
});

test('facts that bear on a complaint are those that one of its causes speaks of', () => {
  expect(factsThatBear('blush').has('chrome-near')).toBe(true);
  expect(factsThatBear('pit').has('chrome-near')).toBe(false);
  expect(factsThatBear('pit').has('thickness')).toBe(true);
  // Where nobody has said what it is, all of them do.
  expect(factsThatBear('off-colour').size).toBeGreaterThan(60);
});
