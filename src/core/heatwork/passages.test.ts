import { CRISTOBALITE_C, passagesOf, QUARTZ_C } from './index';

const segment = (rate: number | null, target: number, holdMinutes = 0) => ({
  rate,
  target,
  holdMinutes,
});
const what = (...segments: Parameters<typeof passagesOf>[0]) =>
  passagesOf(segments).map(({ what, rate }) => [what, rate === null ? null : Math.round(rate)]);

// Handbook values: α–β quartz 573 °C; cristobalite 220 to 270 °C.
test('quartz turns at 573 °C, cristobalite far below', () => {
  expect(QUARTZ_C).toBe(573);
  expect(CRISTOBALITE_C).toBeGreaterThanOrEqual(220);
  expect(CRISTOBALITE_C).toBeLessThanOrEqual(270);
});

test('a fast way through the inversion is said, up and down, once each', () => {
  expect(what(segment(100, 500), segment(210, 1000), segment(150, 1222))).toEqual([['quartz going up', 210]]);
  expect(what(segment(200, 1222))).toEqual([]);
  expect(what(segment(null, 1222), segment(250, 400), segment(300, 900), segment(null, 100))).toEqual([
    ['quartz going up', 250],
    ['quartz coming down', 250],
  ]);
  // It is over, or not yet, where a fast segment begins and ends more than 30 °C away.
  expect(what(segment(100, 603), segment(300, 1222))).toEqual([]);
  expect(what(segment(300, 543), segment(100, 1222))).toEqual([]);
  expect(what(segment(300, 544), segment(100, 1222))).toHaveLength(1);
});

test('crystals grow where a glaze that was molten is held or cooled slowly', () => {
  const up = segment(150, 1222, 10);
  expect(what(up, segment(null, 1050, 60))).toEqual([['crystals', null]]);
  expect(what(up, segment(60, 900), segment(50, 860))).toEqual([['crystals', 60]]);
  // Not a short hold, nor a fast drop, nor where nothing is soft any more, nor on the way up.
  expect(what(up, segment(null, 1050, 30))).toEqual([]);
  expect(what(up, segment(120, 800))).toEqual([]);
  expect(what(up, segment(120, 850), segment(50, 650))).toEqual([]);
  expect(what(segment(60, 1000, 90), segment(60, 1060, 90))).toEqual([]);
  expect(what(segment(100, 1000, 60), segment(60, 900))).toEqual([]);
  expect(passagesOf([up, segment(null, 1050, 60)])[0]!.source).toMatch(/^common practice/);
});
