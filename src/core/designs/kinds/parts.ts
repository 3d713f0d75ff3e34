/**
 * What a design asks of a person: each part is a value with its rule and the field that it is chosen
 * in, said once. Coatings, bodies and materials are named by whatever key the caller uses for them.
 */
import { z } from 'zod';

/** How a part is chosen. */
export type Field =
  | { is: 'coating' | 'recipe' | 'material'; label: string }
  | { is: 'coatings'; label: string }
  | { is: 'stacks'; label: string }
  | { is: 'corners'; count: number }
  | { is: 'steps'; label: string; whole: boolean }
  | { is: 'count'; label: string; min: number; max: number }
  | { is: 'one of'; label: string; choices: readonly { value: string; label: string }[] }
  | { is: 'yes or no'; label: string };

export type Part<T> = { schema: z.ZodType<T, T>; field: Field };
export type Parts = Record<string, Part<never> | Part<unknown>>;

const key = (what: string) => z.string().min(1, `Choose a ${what}.`).max(40);
const several = <T extends z.ZodType>(one: T, least: number, most: number) =>
  z.array(one).min(least, `Choose at least ${least}.`).max(most, `At most ${most}.`);

export const coating = (label = 'Coating'): Part<string> => ({
  schema: key('coating'),
  field: { is: 'coating', label },
});
/** A coating whose recipe is weighed. */
export const recipe = (label: string): Part<string> => ({
  schema: key('coating'),
  field: { is: 'recipe', label },
});
export const material = (label: string): Part<string> => ({
  schema: key('material'),
  field: { is: 'material', label },
});
/** Coatings in the order in which they are chosen. */
export const coatings = (label: string, least = 1, most = 40): Part<string[]> => ({
  schema: several(key('coating'), least, most),
  field: { is: 'coatings', label },
});
export const stacks = (label: string): Part<string[][]> => ({
  schema: several(several(key('coating'), 1, 6), 1, 40),
  field: { is: 'stacks', label },
});
/** Recipes between which a blend goes, each another. */
export const corners = (count: number): Part<string[]> => ({
  schema: z
    .array(key('coating'))
    .length(count, `Choose ${count} of them.`)
    .refine((all) => new Set(all).size === all.length, {
      message: 'Two corners are the same: choose different ones.',
    }),
  field: { is: 'corners', count },
});
/** A whole number between bounds. */
export const counted = (label: string, min: number, max: number): Part<number> => ({
  schema: z
    .number('How many?')
    .int('A whole number.')
    .min(min, `At least ${min}.`)
    .max(max, `At most ${max}.`),
  field: { is: 'count', label, min, max },
});
/** Numbers as they are typed, with spaces between. */
export const steps = (
  label: string,
  one: { min: number; max: number; tooMuch: string; whole?: string },
  least = 1,
  most = 12,
): Part<number[]> => {
  const number = z.number('Give a number.').min(one.min, `Not below ${one.min}.`);
  const whole = one.whole === undefined ? number : number.int(one.whole);
  return {
    schema: several(whole.max(one.max, one.tooMuch), least, most),
    field: { is: 'steps', label, whole: one.whole !== undefined },
  };
};
/** How many coats, one or several numbers of them. */
export const coats = (label = 'Coats'): Part<number[]> =>
  steps(label, { min: 1, max: 10, tooMuch: 'At most ten coats.', whole: 'Whole coats only.' });
export const percents = (label: string): Part<number[]> =>
  steps(label, { min: 0, max: 100, tooMuch: 'Not above 100 %.' });
export const oneOf = <T extends string>(
  label: string,
  choices: readonly { value: T; label: string }[],
): Part<T> => ({
  schema: z.enum(choices.map(({ value }) => value) as [T, ...T[]]) as unknown as z.ZodType<T, T>,
  field: { is: 'one of', label, choices },
});
export const yes = (label: string): Part<boolean> => ({
  schema: z.boolean(),
  field: { is: 'yes or no', label },
});
