/**
 * Values that nobody's form would send, made from what a contract takes: mostly fitting, so that they get
 * far.
 */
import fc from 'fast-check';

export type Schema = {
  type?: string;
  enum?: unknown[];
  const?: unknown;
  format?: string;
  pattern?: string;
  anyOf?: Schema[];
  oneOf?: Schema[];
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  prefixItems?: Schema[];
  additionalProperties?: Schema | boolean;
  propertyNames?: Schema;
  minimum?: number;
  maximum?: number;
  maxItems?: number;
  maxLength?: number;
};

/** What stands in the studio: ids by table, and words that name something. */
export type Known = { ids: Record<string, string[]>; words: string[] };

export const STRANGE_WORDS = [
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  '\u202e\u0000',
  '🏺'.repeat(40),
  'é',
  'Ώ',
  "' OR 1=1 --",
  '"; DROP TABLE piece; --',
  '../../../etc/passwd',
  '<script>alert(1)</script>',
  '=cmd|x!A1',
  '__proto__',
  'constructor',
  'null',
  'NaN',
  '-1',
  '0',
  '1e309',
  '0000-00-00',
  '9999-12-31T23:59:59Z',
  '275760-09-13T00:00:00Z',
  '00000000-0000-0000-0000-000000000000',
  'x'.repeat(300),
  'x'.repeat(70_000),
];
const STRANGE_NUMBERS = [
  0,
  -0,
  -1,
  0.1,
  1e-300,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  -(2 ** 63),
  65536,
  1.5,
  99999,
];

const strange: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(...STRANGE_WORDS, ...STRANGE_NUMBERS, null, true, [], {}, [[]]),
  fc.string({ unit: 'binary', maxLength: 20 }),
  fc.jsonValue({ maxDepth: 3 }),
);

/** `bodyId` and `bodyIds` mean a body. */
const tableOf = (name: string): string =>
  name.replace(/Ids?$/, '').replace(/[A-Z]/g, (one) => `_${one.toLowerCase()}`);

function words(schema: Schema, name: string, known: Known): fc.Arbitrary<unknown> {
  const ids = known.ids[tableOf(name)] ?? Object.values(known.ids).flat();
  if (schema.format === 'uuid') return fc.oneof({ weight: 5, arbitrary: fc.constantFrom(...ids) }, fc.uuid());
  if (schema.format === 'date-time' || schema.format === 'date') {
    const cut = schema.format === 'date' ? 10 : 24;
    const at = (from: string, to: string) =>
      fc.date({ min: new Date(from), max: new Date(to), noInvalidDate: true });
    return fc
      .oneof(at('2024-01-01', '2027-01-01'), at('0001-01-01', '9999-12-31'))
      .map((date) => date.toISOString().slice(0, cut));
  }
  if (schema.pattern !== undefined)
    return fc.stringMatching(new RegExp(schema.pattern.replaceAll('\\s\\S', 'a-z')));
  return fc.oneof(
    fc.constantFrom(...known.words, ...STRANGE_WORDS),
    fc.string({ maxLength: Math.min(schema.maxLength ?? 40, 200) }),
    fc.constantFrom(...ids),
  );
}

function numbers({ minimum = -1e6, maximum = 1e6, type }: Schema): fc.Arbitrary<number> {
  const [min, max] = [Math.max(minimum, -1e15), Math.min(maximum, 1e15)];
  const small = Math.min(max, Math.max(min, 0) + 12);
  /** Whole numbers of a range; a range between two of them has none. */
  const whole = (low: number, high: number, weight: number) =>
    Math.ceil(low) > Math.floor(high)
      ? []
      : [{ weight, arbitrary: fc.integer({ min: Math.ceil(low), max: Math.floor(high) }) }];
  return fc.oneof(
    ...whole(Math.max(min, 0), small, 3),
    ...whole(min, max, 1),
    fc.constantFrom(min, max),
    ...(type === 'integer' ? [] : [fc.double({ min, max, noNaN: true })]),
    { weight: 1, arbitrary: fc.constantFrom(...STRANGE_NUMBERS) },
  );
}

/** A value for a schema; about one part in thirty of it is what the schema does not take. */
export function valueOf(schema: Schema, known: Known, name = ''): fc.Arbitrary<unknown> {
  return fc.oneof({ weight: 30, arbitrary: fitting(schema, known, name) }, strange);
}

function fitting(schema: Schema, known: Known, name: string): fc.Arbitrary<unknown> {
  const choices = schema.anyOf ?? schema.oneOf;
  if (choices !== undefined) return fc.oneof(...choices.map((one) => fitting(one, known, name)));
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (schema.enum !== undefined) return fc.constantFrom(...schema.enum);
  switch (schema.type) {
    case 'string':
      return words(schema, name, known);
    case 'number':
    case 'integer':
      return numbers(schema);
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'array':
      if (schema.prefixItems !== undefined)
        return fc.tuple(...schema.prefixItems.map((one) => valueOf(one, known, name)));
      return fc.array(valueOf(schema.items ?? {}, known, name), {
        maxLength: Math.min(schema.maxItems ?? 4, 4),
      });
    case 'object':
      return objects(schema, known);
    default:
      return strange;
  }
}

function objects(schema: Schema, known: Known): fc.Arbitrary<unknown> {
  const { properties, additionalProperties, propertyNames } = schema;
  if (properties === undefined && typeof additionalProperties === 'object')
    return fc.dictionary(
      words(propertyNames ?? {}, '', known).map(String),
      valueOf(additionalProperties, known),
      { maxKeys: 3 },
    );
  const fields = Object.entries(properties ?? {}).map(([key, one]) => [key, valueOf(one, known, key)]);
  const record = Object.fromEntries(fields) as Record<string, fc.Arbitrary<unknown>>;
  return fc.oneof(
    { weight: 8, arbitrary: fc.record(record, { requiredKeys: schema.required ?? [] }) },
    { weight: 1, arbitrary: fc.record(record, { requiredKeys: [] }) },
  );
}
