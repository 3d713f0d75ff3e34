import type { ImportRow } from '../interpret';

/** What becomes of a row. */
export const fateOf = ({ errors, warnings, came }: ImportRow): string =>
  came !== undefined && errors.length > 0
    ? 'left out'
    : errors.length > 0
      ? 'refused'
      : warnings.length > 0
        ? 'added, but'
        : 'added';

/** And why. */
export const whyOf = ({ errors, warnings }: ImportRow): string =>
  [...errors, ...warnings].join(' ');
