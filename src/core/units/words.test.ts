import { SI } from './units';
import { inUnits } from './words';

const OTHER = { temperature: 'F', length: 'in', mass: 'oz' } as const;

// Factors by definition: an inch is 25.4 mm, an ounce 28.349523125 g, °F = 1.8 °C + 32.
test.each([
  ['At most 500 mm.', 'At most 19.69 in.'],
  ['20 °C and 1400 °C.', '68 °F and 2552 °F.'],
  ['75 K behind its schedule.', '135 °F behind its schedule.'],
  ['at most 150 °C/h, as fast', 'at most 270 °F/h, as fast'],
  ['More than 50 kg? Check.', 'More than 110.231 lb? Check.'],
  ['More than 0 g.', 'More than 0 oz.'],
  ['−10 °C', '14 °F'],
])('%s is read as %s', (said, read) => {
  expect(inUnits(said, OTHER)).toBe(read);
});

test('in SI figures stay as they are, and a difference is said in degrees', () => {
  const said = 'The pot is 120 mm high, 1,222 °C; 0.8 mm';
  expect(inUnits(said, SI)).toBe('The pot is 120 mm high, 1222 °C; 0.8 mm');
  expect(inUnits('75 K behind', SI)).toBe('75 °C behind');
});

test('what is no figure with a unit of a studio is left alone', () => {
  for (const said of ['Lighter than 0.5 g/cm³? Check.', 'cone 6, 3 glazes', 'Kiln 4 Kestrel'])
    expect(inUnits(said, OTHER)).toBe(said);
});
