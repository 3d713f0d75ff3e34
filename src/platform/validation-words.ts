/**
 * What a field says that its rule has no words of its own for: never the validator's. Loaded with
 * the contracts, so browser and server say the same.
 */
import { z } from 'zod';

type Issue = Parameters<NonNullable<Parameters<typeof z.config>[0]>['customError'] & object>[0];

const figure = (value: unknown): string => Number(value).toLocaleString('en');

/** "Not below 0.", "At most 200 characters.", "Choose one of these." … */
export function wordsOf(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      if (issue.expected === 'int') return 'A whole number.';
      if (issue.expected === 'number') return 'Give a number.';
      return issue.input === undefined || issue.input === null || issue.input === ''
        ? 'This is missing.'
        : 'This cannot be read.';
    case 'too_small':
      if (issue.origin === 'string') return 'This is missing.';
      if (issue.origin === 'array' || issue.origin === 'set')
        return `Choose at least ${figure(issue.minimum)}.`;
      return issue.inclusive === false
        ? `More than ${figure(issue.minimum)}.`
        : `Not below ${figure(issue.minimum)}.`;
    case 'too_big':
      if (issue.origin === 'string') return `At most ${figure(issue.maximum)} characters.`;
      if (issue.origin === 'array' || issue.origin === 'set') return `At most ${figure(issue.maximum)}.`;
      return issue.inclusive === false
        ? `Less than ${figure(issue.maximum)}.`
        : `Not above ${figure(issue.maximum)}.`;
    case 'invalid_value':
      return 'Choose one of these.';
    case 'not_multiple_of':
      return `In steps of ${figure(issue.divisor)}.`;
    case 'invalid_format':
      return issue.format === 'date'
        ? 'Give a date.'
        : issue.format === 'datetime'
          ? 'Give a day and time.'
          : 'This cannot be read.';
    default:
      return 'This cannot be taken as it is.';
  }
}

z.config({ customError: (issue) => wordsOf(issue) });
