import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { countedLines } from '@/ui/Lines';

/** Pieces of which nobody has said what lies on them, as a line of the day sheet. */
export const keyLines = (lost: number): ReactElement[] =>
  countedLines(lost, {
    href: '/tests/keys',
    act: 'Fill in',
    title: `${count(lost, 'piece')} without a key: nobody has said what lies on ${lost === 1 ? 'it' : 'them'}`,
    detail: 'Until then no cell of the chart knows them.',
  });
