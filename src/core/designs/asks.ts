/**
 * What people ask of tests, and the designs that can answer it, the likeliest first. Common practice, no
 * source.
 */
import type { DesignKind } from './kinds';

export type Ask = {
  ask: string;
  designs: readonly DesignKind[];
  /** The sign that the tiles are looked at for. */
  about?: string;
};

export const ASKS: readonly Ask[] = [
  { ask: 'How thick should it go on?', designs: ['coats', 'coats on one tile', 'seconds'] },
  { ask: 'Which glaze goes over which?', designs: ['matrix', 'list'] },
  { ask: 'What does the clay do to it?', designs: ['across bodies', 'factorial'] },
  {
    ask: 'What stops it crazing?',
    designs: ['crazing', 'across bodies', 'coats'],
    about: 'crazing',
  },
  {
    ask: 'What stops pits and pinholes?',
    designs: ['coats', 'seconds', 'across bodies', 'factorial'],
    about: 'pit',
  },
  {
    ask: 'What stops it crawling?',
    designs: ['coats', 'seconds', 'across bodies'],
    about: 'crawling',
  },
  {
    ask: 'How far does it run?',
    designs: ['coats on one tile', 'coats', 'across bodies'],
    about: 'running',
  },
  { ask: 'What lies between glazes?', designs: ['line', 'triaxial', 'grid'] },
  { ask: 'How much colourant?', designs: ['colourant', 'line'] },
  { ask: 'When does the clay begin to melt?', designs: ['body and glaze'] },
];

/** The question that leads to a design, for those who come by the design. */
export const askFor = (kind: DesignKind): Ask =>
  ASKS.find(({ designs }) => designs[0] === kind) ?? ASKS.find(({ designs }) => designs.includes(kind))!;
