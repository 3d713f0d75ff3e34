import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { countedLines } from '@/ui/Lines';

/** Pictures in which nobody has said where the piece is, as a line of the day sheet. */
export const frameLines = (unframed: number): ReactElement[] =>
  countedLines(unframed, {
    href: '/pieces/frames',
    act: 'Frame them',
    title: `${count(unframed, 'picture')} without a frame`,
    detail: 'Framed, they show each stack by itself on the chart, and its colour by number.',
  });
