import fc from 'fast-check';
import {
  deviations,
  describeAmount,
  describeStack,
  groundKey,
  inSector,
  parseZoneKey,
  resolveStretch,
  slipKey,
  speaksFor,
  stackKey,
  stackOf,
  coatsOfKey,
  zoneKey,
  zoneShare,
  zonesOf,
  zonesOfFace,
} from './index';
import type { Coat, Face, Layer, Region } from './index';
import { dip as layer, glaze } from '../../../test-support/layers';

const A = glaze('a');
const B = glaze('b');
const wash: Coat = { slug: 'wash', version: 1, kind: 'wash' };
const slip: Coat = { slug: 'chalk', version: 1, kind: 'slip' };
const bare: Face = { no: 1, kind: 'bare', slip: null };
const textured: Face = { no: 1, kind: 'textured', slip: null };

const band = (from: number, to: number): Partial<Region> => ({ stretch: { from, to } });
const keys = (face: Face, layers: Layer[]): [number, number, string, string][] =>
  zonesOfFace(face, layers).map((zone) => [
    Number(zone.stretch.from.toFixed(3)),
    Number(zone.stretch.to.toFixed(3)),
    zone.relief,
    stackKey(zone.stack),
  ]);

// Common practice, no source: what two overlapping dips show on every studio's test tile.
test('lower two thirds in A, then upper two thirds in B: A, B over A, B', () => {
  expect(keys(bare, [layer(A, band(0, 2 / 3)), layer(B, band(1 / 3, 1))])).toEqual([
    [0, 0.333, 'all', 'a#1 dip×1'],
    [0.333, 0.667, 'all', 'a#1 dip×1 + b#1 dip×1'],
    [0.667, 1, 'all', 'b#1 dip×1'],
  ]);
});

test('a third typed as 0.333 leaves no sliver', () => {
  expect(keys(bare, [layer(A, band(0, 0.333)), layer(B, band(1 / 3, 1))])).toHaveLength(2);
});

test('four coats each stopping higher give 4, 3, 2, 1', () => {
  const coats = [1, 0.75, 0.5, 0.25].map((to) => layer(A, band(0, to), { method: 'brush' }));
  expect(keys(bare, coats).map((zone) => zone[3])).toEqual([
    'a#1 brush×4',
    'a#1 brush×3',
    'a#1 brush×2',
    'a#1 brush×1',
  ]);
});

test('a wash wiped back under a glaze stays in the hollows', () => {
  const layers = [layer(wash, { relief: 'hollows' }, { method: 'wiped-back' }), layer(A)];
  expect(keys(textured, layers)).toEqual([
    [0, 1, 'hollows', 'wash#1 wiped×1 + a#1 dip×1'],
    [0, 1, 'raised', 'a#1 dip×1'],
  ]);
});

test('a slip under everything is ground, however it was entered', () => {
  const entered = zonesOfFace(bare, [layer(slip), layer(A)])[0];
  const ofFace = zonesOfFace({ no: 1, kind: 'light-slip', slip }, [layer(A)])[0];
  expect(stackKey(entered?.stack ?? [])).toBe('a#1 dip×1');
  expect(entered?.ground).toEqual(ofFace?.ground);
  expect(groundKey('peat', slipKey(bare, entered?.ground ?? []))).toBe('peat / chalk#1');
  expect(slipKey({ kind: 'dark-slip', slip: null }, [])).toBe('dark slip');
  expect(slipKey(bare, [])).toBe('');
});

test('a slip over a glaze is stack', () => {
  const [zone] = zonesOfFace(bare, [layer(A), layer(slip)]);
  expect(stackKey(zone?.stack ?? [])).toBe('a#1 dip×1 + chalk#1 dip×1');
});

test('one dip is not one brushed coat; a pour is a dip; weight and thickness tell', () => {
  expect(stackKey(stackOf([layer(A), layer(A, {}, { method: 'pour' })]))).toBe('a#1 dip×2');
  expect(stackKey(stackOf([layer(A), layer(A, {}, { method: 'brush' })]))).toBe('a#1 dip×1 + a#1 brush×1');
  expect(stackKey(stackOf([layer(A, {}, { weight: 'thin' })]))).toBe('a#1 dip×1 thin');
  expect(stackKey(stackOf([layer(A, {}, { thicknessMm: 0.4 }), layer(A, {}, { thicknessMm: 0.5 })]))).toBe(
    'a#1 0.9 mm',
  );
  expect(stackKey([])).toBe('bare');
});

test('half round and motifs cut a face too', () => {
  const half = zonesOfFace(bare, [layer(A), layer(B, { sector: { from: 0.75, to: 0.25 } })]);
  const shares = new Map<string, number>();
  for (const zone of half) {
    const key = stackKey(zone.stack);
    shares.set(key, (shares.get(key) ?? 0) + zoneShare(zone));
  }
  expect(shares.get('a#1 dip×1')).toBeCloseTo(0.5, 9);
  expect(shares.get('a#1 dip×1 + b#1 dip×1')).toBeCloseTo(0.5, 9);
  expect(keys(bare, [layer(A), layer(B, { relief: 'motif:fish' }, { method: 'inlay' })])).toEqual([
    [0, 1, 'flat', 'a#1 dip×1'],
    [0, 1, 'motif:fish', 'a#1 dip×1 + b#1 inlay×1'],
  ]);
});

test('coats of a refire are there only from that generation on', () => {
  const layers = [layer(A), layer(B, {}, { generation: 2 })];
  expect(stackKey(zonesOf([bare], layers, 1)[0]?.stack ?? [])).toBe('a#1 dip×1');
  expect(stackKey(zonesOf([bare], layers, 2)[0]?.stack ?? [])).toBe('a#1 dip×1 + b#1 dip×1');
});

const arbitraryLayer: fc.Arbitrary<Layer> = fc
  .record({
    coat: fc.constantFrom(A, B, wash, slip),
    method: fc.constantFrom('dip' as const, 'brush' as const),
    coats: fc.integer({ min: 1, max: 3 }),
    a: fc.integer({ min: 0, max: 20 }),
    b: fc.integer({ min: 0, max: 20 }),
    s: fc.integer({ min: 0, max: 8 }),
    t: fc.integer({ min: 0, max: 8 }),
    relief: fc.constantFrom('all' as const, 'hollows' as const, 'raised' as const, 'motif:leaf' as const),
  })
  .filter(({ a, b, s, t }) => a !== b && s !== t)
  .map(({ coat, method, coats, a, b, s, t, relief }) =>
    layer(
      coat,
      {
        stretch: { from: Math.min(a, b) / 20, to: Math.max(a, b) / 20 },
        sector: { from: s / 8, to: t / 8 },
        relief,
      },
      { method, coats },
    ),
  );
const spot = fc.record({
  height: fc.integer({ min: 0, max: 19 }).map((n) => (n + 0.5) / 20),
  turn: fc.integer({ min: 0, max: 7 }).map((n) => (n + 0.5) / 8),
});

test('zones partition a face; each spot has the layers that cover it, in order', () => {
  fc.assert(
    fc.property(
      fc.array(arbitraryLayer, { maxLength: 6 }),
      spot,
      fc.constantFrom(bare, textured),
      (layers, { height, turn }, face) => {
        const zones = zonesOfFace(face, layers);
        const parts = new Set(zones.flatMap((zone) => (zone.relief === 'all' ? [] : zone.relief.split('+'))));
        for (const part of parts.size === 0 ? ['flat'] : parts) {
          const here = zones.filter(
            (zone) =>
              height > zone.stretch.from &&
              height < zone.stretch.to &&
              inSector(turn, zone.sector) &&
              (zone.relief === 'all' || zone.relief.split('+').includes(part)),
          );
          expect(here).toHaveLength(1);
          const covering = layers.filter(
            ({ region }) =>
              height > region.stretch.from &&
              height < region.stretch.to &&
              inSector(turn, region.sector) &&
              (region.relief === 'all' || region.relief === part),
          );
          const folded = stackOf(covering);
          let first = 0;
          while (folded[first]?.coat.kind === 'slip') first++;
          expect(stackKey(here[0]?.stack ?? [])).toBe(stackKey(folded.slice(first)));
        }
      },
    ),
    { numRuns: 400 },
  );
});

test('no zone invents a coating and the plain parts add up to the whole', () => {
  fc.assert(
    fc.property(fc.array(arbitraryLayer, { maxLength: 6 }), (layers) => {
      const used = new Set(layers.map((one) => one.coat.slug));
      const zones = zonesOfFace(bare, layers);
      for (const zone of zones) for (const entry of zone.stack) expect(used.has(entry.coat.slug)).toBe(true);
      const relief = zones.find((zone) => zone.relief !== 'all')?.relief.split('+')[0];
      const share = zones
        .filter(
          (zone) =>
            zone.relief === 'all' || (relief !== undefined && zone.relief.split('+').includes(relief)),
        )
        .reduce((sum, zone) => sum + zoneShare(zone), 0);
      expect(share).toBeCloseTo(1, 9);
    }),
  );
});

test('a zone key names its place, and an observation there survives a small correction', () => {
  const [lower] = zonesOfFace(bare, [layer(A, band(0, 0.5)), layer(B, band(0.5, 1))]);
  const place = parseZoneKey(zoneKey(lower!));
  expect(place).toMatchObject({ face: 1, stretch: { from: 0, to: 0.5 }, relief: 'all' });
  const [moved, upper] = zonesOfFace(bare, [layer(A, band(0, 0.6)), layer(B, band(0.6, 1))]);
  expect(speaksFor(place!, moved!)).toBe(true);
  expect(speaksFor(place!, upper!)).toBe(false);
  expect(parseZoneKey('nonsense')).toBeNull();
});

test('stretches are read in fractions or length, from foot or rim', () => {
  const foot = (value: number, unit: 'fraction' | 'mm' = 'mm') => ({
    value,
    unit,
    from: 'foot' as const,
  });
  const rim = (value: number, unit: 'fraction' | 'mm' = 'mm') => ({
    value,
    unit,
    from: 'rim' as const,
  });
  expect(resolveStretch(foot(0), foot(30), 120)).toEqual({
    ok: true,
    stretch: { from: 0, to: 0.25 },
  });
  expect(resolveStretch(rim(0), rim(30), 120)).toEqual({
    ok: true,
    stretch: { from: 0.75, to: 1 },
  });
  expect(resolveStretch(foot(0.5, 'fraction'), rim(0, 'fraction'), null)).toEqual({
    ok: true,
    stretch: { from: 0.5, to: 1 },
  });
  for (const bad of [
    resolveStretch(foot(0), foot(130), 120),
    resolveStretch(foot(0), foot(1.2, 'fraction'), 120),
    resolveStretch(foot(10), foot(10), 120),
    resolveStretch(foot(0), foot(10), null),
    resolveStretch(foot(-1), foot(10), 120),
  ]) {
    expect(bad.ok).toBe(false);
  }
  const beyond = resolveStretch(foot(0), foot(130), 120);
  expect(beyond.ok ? '' : beyond.message).toContain('beyond the rim');
});

test('stacks are said top first', () => {
  const names = { coat: (slug: string): string => slug.toUpperCase(), body: null };
  const stack = stackOf([layer(A), layer(B, {}, { coats: 2 })]);
  expect(describeStack(stack, '', names)).toBe('B over A');
  expect(describeStack(stack, '', names, { amounts: true })).toBe('B (2 dips) over A (1 dip)');
  expect(describeAmount('brush×3 thin')).toBe('3 coats, thin');
  expect(describeAmount('wiped×1')).toBe('wiped back');
});

test('what was done otherwise than meant is said layer by layer', () => {
  const name = (slug: string): string => slug;
  expect(deviations([layer(A)], [layer(A)], name)).toEqual([]);
  expect(deviations([layer(A), layer(B)], [layer(A, {}, { coats: 2 })], name)).toEqual([
    'Layer 1: 2 instead of 1 coat.',
    'Layer 2: b was meant but not put on.',
  ]);
  expect(
    deviations([layer(A, {}, { driedBefore: true })], [layer(B, {}, { driedBefore: false })], name),
  ).toEqual(['Layer 1: b instead of a; not dried before it.']);
});

test('a coat put on for a refire is no deviation of what was meant first', () => {
  const name = (slug: string): string => slug;
  const second = layer(B, {}, { generation: 2 });
  expect(deviations([layer(A)], [layer(A), second], name)).toEqual([]);
  // Meant for the refire as well, it is held to account.
  expect(deviations([layer(A), second], [layer(A), layer(A, {}, { generation: 2 })], name)).toEqual([
    'Layer 2: a instead of b.',
  ]);
  expect(deviations([layer(A)], [second], name)).toEqual(['Layer 1: a was meant but not put on.']);
});

test('a stack’s key names its coats again', () => {
  const coats = ['pitch', 'slack-tide', 'x9'].map((slug, i) => ({
    coat: { slug, version: i + 1, kind: 'glaze' as const },
    amount: ['dip×1', 'brush×3 thin', '0.4 mm'][i]!,
  }));
  expect(coatsOfKey(stackKey(coats))).toEqual(
    coats.map(({ coat, amount }) => ({ slug: coat.slug, version: coat.version, amount })),
  );
  expect(coatsOfKey(stackKey([]))).toEqual([]);
});
