import { hasByPins, whereByPins, type Pin } from './from-pins';
import { NOTHING_KNOWN, readRecord } from './from-record';

const TARN = 'tarn#1 dip×1';
const THICK = 'tarn#1 dip×2';
const OVER = 'tarn#1 dip×1 + gull#1 dip×1';
const pin = (height: number, stackKey?: string, rings = false): Pin => ({
  height,
  rings,
  stackKeys: stackKey === undefined ? [] : [stackKey],
});
const zones = (...keys: string[]) => keys.map((stackKey) => ({ stackKey, has: true }));
const where = (pins: Pin[], of = zones(TARN)) => whereByPins(pins, of)?.value ?? null;

test('said of the whole piece and pinned in its thick coat alone: the thin one is clean, and thickness is told', () => {
  const pins = [pin(0.4, THICK), pin(0.3, THICK)];
  expect(hasByPins(zones(TARN, THICK), pins)).toEqual([
    { stackKey: TARN, has: false },
    { stackKey: THICK, has: true },
  ]);
  const told = readRecord({
    ...NOTHING_KNOWN,
    sign: 'pit',
    pins,
    zones: hasByPins(zones(TARN, THICK), pins),
  });
  expect(told.find(({ fact }) => fact === 'thickness')?.value).toBe('only-thick');
  const both = [pin(0.4, THICK), pin(0.8, TARN)];
  expect(hasByPins(zones(TARN, THICK), both).every(({ has }) => has)).toBe(true);
});

test('one pin is an example; pins nobody can place change nothing', () => {
  expect(hasByPins(zones(TARN, THICK), [pin(0.4, THICK)]).every(({ has }) => has)).toBe(true);
  expect(hasByPins(zones(TARN, THICK), [pin(0.4), pin(0.5)]).every(({ has }) => has)).toBe(true);
  expect(hasByPins(zones(TARN), [pin(0.4, 'gull#1 dip×1'), pin(0.5, 'gull#1 dip×1')])[0]!.has).toBe(true);
  expect(where([pin(0.95)])).toBeNull();
});

test.each([
  ['rim', [pin(0.9), pin(0.99)]],
  ['foot', [pin(0.02), pin(0.1)]],
  ['bottom', [pin(0.1, undefined, true), pin(0.3, undefined, true)]],
  [null, [pin(0.9), pin(0.5)]],
  [null, [pin(0.05), pin(0.1, undefined, true)]],
])('where it is: %s', (expected, pins) => {
  expect(where(pins)).toBe(expected);
});

test('where coats overlap is told beside a zone with one; two answers at once are none', () => {
  const pins = [pin(0.4, OVER), pin(0.6, OVER)];
  expect(where(pins, zones(TARN, OVER))).toBe('overlap');
  // All of it lies under two coats: then that says nothing.
  expect(where(pins, zones(OVER))).toBeNull();
  expect(where([pin(0.4, OVER), pin(0.6, TARN)], zones(TARN, OVER))).toBeNull();
  expect(where([pin(0.9, OVER), pin(0.95, OVER)], zones(TARN, OVER))).toBeNull();
  // Two dips of one coat are thick, not an overlap of two.
  expect(where([pin(0.4, THICK), pin(0.6, THICK)], zones(TARN, THICK))).toBeNull();
});
