/** A row of past tests as it is understood, and how what was not understood is kept. */
import type { SeenSign } from '@/core/looks';
import type { Atmosphere, Surface, Verdict } from '@/core/signs';
import type { FaceKind, KeyKnown, Method, Stretch } from '@/core/zones';
import type { Column } from './columns';

/** A row as understood, before names are looked up. `null` is "unknown", never a guess. */
export type ImportRow = {
  line: number;
  code: string | null;
  mark: string | null;
  body: string | null;
  form: string | null;
  coats: { coating: string; coats: number; method: Method | null; stretch?: Stretch }[];
  /** The grounds of its faces; left out: one bare face. */
  faces?: readonly FaceKind[];
  /** How sure it is what lies on it. */
  key: KeyKnown;
  cone: string | null;
  atmosphere: Atmosphere;
  date: string | null;
  kiln: string | null;
  surface: Surface | null;
  colour: string | null;
  movementMm: number | null;
  signs: SeenSign[];
  rating: number | null;
  verdict: Verdict | null;
  note: string;
  /** The code of the piece on record that it came in as before, and whether it may only be that one. */
  came?: { code: string; maybe: boolean };
  /** The row cannot be taken for these reasons. */
  errors: string[];
  /** It can be taken, but somebody should know. */
  warnings: string[];
};

/** It could be taken, and stays out because it came in before. */
export const leftOutAsCame = ({ came, errors }: Pick<ImportRow, 'came' | 'errors'>): boolean =>
  came !== undefined && errors.length > 0;

export type Get = (column: Column) => string;

export const joinNote = (note: string, more: string): string => (note === '' ? more : `${note}\n${more}`);

/** A field that was not understood stays unknown and keeps its words: no row is lost for one field. */
export function keep(row: ImportRow, field: string, text: string, why: string): void {
  row.warnings.push(`${field} “${text}”: ${why.replace(/\.$/, '')}; unknown, kept in the note.`);
  row.note = joinNote(row.note, `${field} as written: ${text}`);
}
