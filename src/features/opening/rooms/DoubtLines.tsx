import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { countedLines } from '@/ui/Lines';

/** Looks from before of which nobody has said what they were, as a line of the day sheet. */
export const doubtLines = (doubted: number): ReactElement[] =>
  countedLines(doubted, {
    href: '/pieces/doubts',
    act: 'Say which',
    title: `${count(doubted, 'look')} of before: a second look, or a correction?`,
  });
