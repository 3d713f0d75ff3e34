import {
  coatsOfKey,
  compareZones,
  groundKey,
  parseZoneKey,
  slipKey,
  speaksFor,
  stackKey,
  zoneKey,
} from './index';
import type { StackEntry, Zone } from './index';

type Place = Pick<Zone, 'face' | 'stretch' | 'sector' | 'relief'>;
const place = (rest: Partial<Place> = {}): Place => ({
  face: 1,
  stretch: { from: 0.25, to: 0.75 },
  sector: { from: 0, to: 1 },
  relief: 'all',
  ...rest,
});
const chalk = { slug: 'chalk', version: 1, kind: 'slip' } as const;
const soot = { slug: 'soot', version: 2, kind: 'slip' } as const;

test('a stack’s key names its coats in order, and they are read back from it', () => {
  const entry = (slug: string, version: number, amount: string): StackEntry => ({
    coat: { slug, version, kind: 'glaze' },
    amount,
  });
  const key = stackKey([entry('pitch', 1, 'dip×1'), entry('tarn', 12, '1.5 mm')]);
  expect(key).toBe('pitch#1 dip×1 + tarn#12 1.5 mm');
  expect(coatsOfKey(key)).toEqual([
    { slug: 'pitch', version: 1, amount: 'dip×1' },
    { slug: 'tarn', version: 12, amount: '1.5 mm' },
  ]);
  expect(stackKey([])).toBe('bare');
  expect(coatsOfKey('bare')).toEqual([]);
});

test('a ground names its slips; one that nobody knows is named by its shade', () => {
  const face = (kind: 'bare' | 'light-slip' | 'dark-slip' | 'textured', slip: typeof chalk | null) =>
    slipKey({ kind, slip }, []);
  expect(face('bare', null)).toBe('');
  expect(face('textured', null)).toBe('');
  expect(face('light-slip', null)).toBe('light slip');
  expect(face('dark-slip', null)).toBe('dark slip');
  expect(slipKey({ kind: 'light-slip', slip: chalk }, [chalk])).toBe('chalk#1');
  expect(slipKey({ kind: 'bare', slip: null }, [chalk, soot])).toBe('chalk#1 + soot#2');
  expect(slipKey({ kind: 'dark-slip', slip: null }, [soot])).toBe('dark slip + soot#2');
  expect(groundKey('peat', '')).toBe('peat');
  expect(groundKey('peat', 'chalk#1')).toBe('peat / chalk#1');
});

test('a zone’s key names its place to a thousandth, and nothing else is one', () => {
  const there = place({
    face: 12,
    stretch: { from: 0.125, to: 0.6666 },
    sector: { from: 0.25, to: 0.875 },
    relief: 'hollows+raised',
  });
  const key = zoneKey(there);
  expect(key).toBe('12|125-667|250-875|hollows+raised');
  expect(parseZoneKey(key)).toEqual({ ...there, stretch: { from: 0.125, to: 0.667 } });
  for (const none of ['', 'x' + key, '1|0-1000|0-1000|', '1|0-1000|0-1000', `${key}\n`, '1|a-b|0-1|all'])
    expect(parseZoneKey(none)).toBeNull();
});

test('an observation speaks for the zones whose middle lies in its place', () => {
  const middleAt = (height: number, turn = 0.5) =>
    place({
      stretch: { from: height - 0.01, to: height + 0.01 },
      sector: { from: turn - 0.01, to: turn + 0.01 },
    });
  const quarter = place({ sector: { from: 0.25, to: 0.5 } });
  expect([0.2, 0.25, 0.5, 0.75, 0.8].map((height) => speaksFor(place(), middleAt(height)))).toEqual([
    false,
    true,
    true,
    true,
    false,
  ]);
  expect([0.2, 0.25, 0.4, 0.5, 0.6].map((turn) => speaksFor(quarter, middleAt(0.5, turn)))).toEqual([
    false,
    true,
    true,
    true,
    false,
  ]);
  expect(speaksFor(place({ face: 2 }), middleAt(0.5))).toBe(false);
});

test('parts of the relief: all speaks for each, each for itself, and for all it says something', () => {
  const of = (said: string, zone: string): boolean =>
    speaksFor(place({ relief: said }), place({ relief: zone }));
  expect(of('all', 'hollows')).toBe(true);
  expect(of('hollows', 'all')).toBe(true);
  expect(of('hollows', 'hollows')).toBe(true);
  expect(of('hollows', 'raised')).toBe(false);
  expect(of('hollows+raised', 'raised')).toBe(true);
  expect(of('hollows', 'hollows+raised')).toBe(false);
  expect(of('hollows+raised', 'raised+motif:leaf')).toBe(false);
});

test('parts of a piece are told all of it first, then side by side, each from its rim down and round it', () => {
  const order = [
    null,
    zoneKey(place({ stretch: { from: 0.5, to: 1 } })),
    zoneKey(place({ stretch: { from: 0, to: 0.5 }, sector: { from: 0, to: 0.5 } })),
    zoneKey(place({ stretch: { from: 0, to: 0.5 }, sector: { from: 0.5, to: 1 } })),
    zoneKey(place({ face: 2, stretch: { from: 0.5, to: 1 } })),
    zoneKey(place({ face: 2, stretch: { from: 0, to: 1 } })),
  ];
  for (const turned of [[...order].reverse(), [...order.slice(3), ...order.slice(0, 3)]])
    expect(turned.sort(compareZones)).toEqual(order);
  expect(compareZones(order[1]!, order[1]!)).toBe(0);
  expect(compareZones(null, null)).toBe(0);
});
