import {
  correctionBy,
  deltaE,
  labOfLinear,
  linearOfLab,
  LINEAR,
  reflectanceOf,
  tintSpread,
  type Linear,
} from '.';

/** The usual 24-patch chart as its published sRGB table gives it; from memory. Its last row is the grey. */
const PATCHES: readonly (readonly [number, number, number])[] = [
  [115, 82, 68],
  [194, 150, 130],
  [98, 122, 157],
  [87, 108, 67],
  [133, 128, 177],
  [103, 189, 170],
  [214, 126, 44],
  [80, 91, 166],
  [193, 90, 99],
  [94, 60, 108],
  [157, 188, 64],
  [224, 163, 46],
  [56, 61, 150],
  [70, 148, 73],
  [175, 54, 60],
  [231, 199, 31],
  [187, 86, 149],
  [8, 133, 161],
  [243, 243, 242],
  [200, 200, 200],
  [160, 160, 160],
  [122, 122, 121],
  [85, 85, 85],
  [52, 52, 52],
];

const truth = PATCHES.map((patch) => patch.map((v) => LINEAR[v]!) as unknown as Linear);

type Camera = { gains: Linear; contrast: number; shoulder: number };

/** A made camera: a cast and an exposure, a contrast about middle grey, a shoulder towards white. */
const seenBy =
  ({ gains, contrast, shoulder }: Camera) =>
  (light: Linear): Linear =>
    light.map((v, c) => {
      const y = 0.18 * ((v * gains[c]!) / 0.18) ** contrast;
      return y <= shoulder ? y : shoulder + (1 - shoulder) * (1 - Math.exp(-(y - shoulder) / (1 - shoulder)));
    }) as unknown as Linear;

const GREYS = [18, 19, 20, 21, 22, 23];

function chart(camera: Camera, greys = GREYS): { errors: number[]; before: number[] } {
  const see = seenBy(camera);
  const by = correctionBy(greys.map((i) => ({ lightness: labOfLinear(truth[i]!)[0], seen: see(truth[i]!) })));
  if (!by.ok) throw new Error(by.why);
  // Blue-green lies outside what sRGB holds and is cut there in the table.
  const compared = truth.map((_, i) => i).filter((i) => i !== 17);
  const off = (light: Linear, i: number): number => deltaE(labOfLinear(light), labOfLinear(truth[i]!));
  return {
    errors: compared.map((i) => off(by.correct(see(truth[i]!)), i)),
    before: compared.map((i) => off(see(truth[i]!), i)),
  };
}

const mean = (list: number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

// The chart's own greys are a little yellow or violet in its table: one step in 8 bits, up to 1 ΔE₀₀ in what
// is corrected by it.
test('a cast and a wrong exposure are taken back', () => {
  const { errors, before } = chart({ gains: [0.62, 0.7, 0.44], contrast: 1, shoulder: 5 });
  expect(mean(before)).toBeGreaterThan(10);
  expect(Math.max(...errors)).toBeLessThan(0.8);
});

test.each<[string, Camera, number[]]>([
  ['six greys', { gains: [0.8, 0.7, 0.55], contrast: 1.15, shoulder: 0.7 }, GREYS],
  ['three greys', { gains: [0.8, 0.7, 0.55], contrast: 1.15, shoulder: 0.7 }, [18, 21, 23]],
  ['two greys', { gains: [0.6, 0.7, 0.8], contrast: 0.92, shoulder: 0.9 }, [18, 22]],
])('a 24-patch chart through a made camera comes back by %s', (_, camera, greys) => {
  const { errors, before } = chart(camera, greys);
  expect(mean(before)).toBeGreaterThan(6);
  expect(mean(errors)).toBeLessThan(1.5);
  expect(Math.max(...errors)).toBeLessThan(4.5);
});

test('one grey takes back the tint and the exposure, not the contrast', () => {
  const { errors } = chart({ gains: [0.62, 0.7, 0.44], contrast: 1, shoulder: 5 }, [21]);
  expect(Math.max(...errors)).toBeLessThan(1.2);
});

const grey = (l: number, gain = 1): { lightness: number; seen: Linear } => {
  const y = reflectanceOf(l) * gain;
  return { lightness: l, seen: [y, y, y] };
};

test('a step that ran into white does not count, and nothing much lighter than the rest is believed', () => {
  const white = { lightness: 95, seen: [1, 0.9, 0.8] as Linear };
  const by = correctionBy([grey(30), grey(60), white]);
  expect(by).toMatchObject({ ok: true, used: 2 });
  if (!by.ok) return;
  expect(by.most[0]).toBeCloseTo(1.4 * reflectanceOf(60));
  expect(by.most[1]).toBeCloseTo(1.4 * 0.9);
  const [r] = by.correct(grey(60).seen);
  expect(r).toBeCloseTo(reflectanceOf(60));
});

test('what is burnt, dark or no card is said to be so', () => {
  expect(correctionBy([{ lightness: 50, seen: [1, 1, 1] }])).toEqual({ ok: false, why: 'burnt' });
  expect(correctionBy([{ lightness: 50, seen: [0, 0, 0] }])).toEqual({ ok: false, why: 'dark' });
  // From dark to light in the picture as from light to dark on the card.
  expect(
    correctionBy([
      { ...grey(90), lightness: 20 },
      { ...grey(20), lightness: 90 },
    ]),
  ).toEqual({ ok: false, why: 'not-the-card' });
  expect(correctionBy([grey(49), { ...grey(51), lightness: 95 }])).toMatchObject({ ok: false });
});

test('greys in one light have one tint; a tinted patch among them has another', () => {
  const lit = (l: Linear): Linear => [l[0] * 1.3, l[1], l[2] * 0.7];
  expect(tintSpread([lit(grey(30).seen), lit(grey(80).seen)])).toBeCloseTo(0);
  expect(tintSpread([lit(grey(30).seen), lit(linearOfLab([80, 6, 0]))])).toBeGreaterThan(0.08);
});
