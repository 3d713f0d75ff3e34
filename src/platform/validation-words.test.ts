import { z } from 'zod';
import './contract';

const said = (schema: z.ZodType, value: unknown): string | undefined =>
  schema.safeParse(value).error?.issues[0]?.message;

test.each([
  ['text for a number', z.number(), 'x', 'Give a number.'],
  ['nothing for a number', z.number(), Number.NaN, 'Give a number.'],
  ['half a piece', z.number().int(), 1.5, 'A whole number.'],
  ['−4 blanks', z.number().min(0), -4, 'Not below 0.'],
  ['no weight at all', z.number().positive(), 0, 'More than 0.'],
  ['too many', z.number().max(200), 999, 'Not above 200.'],
  ['an empty text', z.string().min(1), '', 'This is missing.'],
  ['a long text', z.string().max(3), 'abcd', 'At most 3 characters.'],
  ['no choice made', z.array(z.string()).min(1), [], 'Choose at least 1.'],
  ['a word of no list', z.enum(['gloss', 'matt']), 'shiny', 'Choose one of these.'],
  ['a day that is none', z.iso.date(), '2026-13-45', 'Give a date.'],
  ['a moment that is none', z.iso.datetime(), 'noon', 'Give a day and time.'],
  ['nothing at all', z.object({ a: z.string() }), {}, 'This is missing.'],
  ['a union of nothing', z.union([z.literal('a'), z.uuid()]), 'b', 'This cannot be read.'],
] as const)('%s', (_, schema, value, words) => {
  expect(said(schema, value)).toBe(words);
});

test('a rule’s own words go before these', () => {
  expect(said(z.number('How many?'), 'x')).toBe('How many?');
  expect(said(z.number().max(10, 'At most ten coats.'), 11)).toBe('At most ten coats.');
});

test('nothing says what a validator would', () => {
  const schema = z.object({
    n: z.number().int().min(1).max(5),
    s: z.string().min(2).max(4),
    e: z.enum(['a', 'b']),
  });
  for (const value of [{}, { n: 'x', s: 3, e: 'c' }, { n: 9, s: 'x', e: null }, { n: 1.5, s: 'abcde', e: 1 }])
    for (const { message } of schema.safeParse(value).error!.issues)
      expect(message).not.toMatch(/invalid|expected|received|too (big|small)/i);
});
