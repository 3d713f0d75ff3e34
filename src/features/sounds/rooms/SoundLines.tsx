import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { countedLines } from '@/ui/Lines';

/** What was spoken and nobody has typed up, as a line of the day sheet. */
export const soundLines = (untyped: number): ReactElement[] =>
  countedLines(untyped, {
    href: '/sounds',
    act: 'Type up',
    title: `${count(untyped, 'spoken note')} to type up`,
    detail: 'A search finds words; what was only spoken it does not find.',
  });
