/** A case as it is written down, read and checked. */
import { closest } from 'fastest-levenshtein';
import { z } from 'zod';
import { COMPLAINTS, complaintOf, complaintsOf } from './complaints';
import { FACTS, factOf } from './facts';

export const SCOPES = ['piece', 'coating', 'bucket', 'body', 'kiln', 'firing'] as const;

/** How far it spreads: each of these is a fact under another name. */
export const SPREADS: Readonly<Record<string, { words: string; says: readonly [string, string] | null }>> = {
  'this piece': { words: 'this piece alone', says: null },
  'all alike': { words: 'all that were made alike', says: null },
  'this body': { words: 'everything on this body', says: ['body', 'only'] },
  'this coating': { words: 'everything with this coating', says: ['recipe', 'everywhere'] },
  'one shelf': { words: 'one shelf or side', says: ['place', 'one'] },
  'most of the load': { words: 'most of the load', says: ['load', 'shared'] },
};

export type Finding = {
  /** Of which complaint. */
  sign: string;
  wanted?: boolean;
};

/** A case, checked: every name is known, numbers are values. */
export type Case = {
  findings: readonly Finding[];
  facts: Readonly<Record<string, string>>;
};

const written = z.object({
  findings: z
    .array(
      z.object({
        sign: z.string(),
        where: z.string().optional(),
        when: z.string().optional(),
        spread: z.string().optional(),
        wanted: z.boolean().optional(),
      }),
    )
    .min(1, 'A case has at least one finding.'),
  facts: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])).default({}),
  scope: z.enum(SCOPES).optional(),
});
export type WrittenCase = z.input<typeof written>;

/** A case that cannot be read, with what is near. */
export class CaseError extends Error {}

const nearest = (name: string, known: readonly string[]): string => closest(name, [...known]);

function known(kind: string, name: string, names: readonly string[]): string {
  const plain = name
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  const found = names.find((one) => one === name || one === plain);
  if (found !== undefined) return found;
  throw new CaseError(`${kind} “${name}” is not known. The nearest that is: “${nearest(plain, names)}”.`);
}

function complaintNamed(sign: string): string {
  const ids = COMPLAINTS.map(({ id }) => id);
  const plain = sign
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, '-');
  const several = complaintsOf(plain);
  if (complaintOf(plain) === undefined && several.length > 0)
    throw new CaseError(`The sign “${sign}” says not which: ${several.map(({ id }) => id).join(', ')}.`);
  return known('The sign', sign, ids);
}

/** A value of a fact, given by its name or as a number. */
export function valueOf(id: string, given: string | number | boolean): string | null {
  const fact = factOf(id)!;
  if (typeof given === 'number') {
    if (fact.number === undefined)
      throw new CaseError(`The fact “${id}” is no number: ${fact.values.map((v) => v.id).join(', ')}.`);
    if (!Number.isFinite(given)) throw new CaseError(`The fact “${id}” is no proper number.`);
    const at = fact.number.bounds.findIndex((bound) => given < bound);
    return fact.values[at === -1 ? fact.values.length - 1 : at]!.id;
  }
  const text = typeof given === 'boolean' ? (given ? 'yes' : 'no') : given;
  if (text.trim().toLowerCase() === 'unknown') return null;
  return known(
    `The value of “${id}”`,
    text,
    fact.values.map((one) => one.id),
  );
}

/**
 * Reads a case as somebody wrote it.
 * @throws CaseError for a name that is not known, with the nearest one; for facts that contradict each other.
 */
export function readCase(input: unknown): Case {
  const parsed = written.safeParse(input);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    throw new CaseError(`${issue?.path.join('.') || 'The case'}: ${issue?.message ?? 'cannot be read'}`);
  }
  const facts: Record<string, string> = {};
  const say = (id: string, value: string): void => {
    if (facts[id] !== undefined && facts[id] !== value)
      throw new CaseError(`“${id}” is said to be ${facts[id]} and ${value}: which is it?`);
    facts[id] = value;
  };
  for (const [name, given] of Object.entries(parsed.data.facts)) {
    const id = known(
      'The fact',
      name,
      FACTS.map((one) => one.id),
    );
    const value = valueOf(id, given);
    if (value !== null) say(id, value);
  }
  const findings = parsed.data.findings.map(({ sign, where, when, spread, wanted }) => {
    if (where !== undefined) {
      const thick = { 'only where thick': 'only-thick', 'only where thin': 'only-thin' }[where];
      if (thick !== undefined) say('thickness', thick);
      else {
        const value = valueOf('where', where);
        if (value !== null) say('where', value);
      }
    }
    if (when !== undefined) {
      const value = valueOf('first-seen', when);
      if (value !== null) say('first-seen', value);
    }
    if (spread !== undefined) {
      const names = Object.keys(SPREADS);
      const found = names.find((one) => one === spread.trim().toLowerCase());
      if (found === undefined)
        throw new CaseError(
          `The spread “${spread}” is not known. The nearest that is: “${nearest(spread, names)}”.`,
        );
      const { says } = SPREADS[found]!;
      if (says !== null) say(...says);
    }
    return { sign: complaintNamed(sign), ...(wanted === undefined ? {} : { wanted }) };
  });
  const once = new Map(findings.map((one) => [one.sign, one]));
  return { findings: [...once.values()], facts };
}
