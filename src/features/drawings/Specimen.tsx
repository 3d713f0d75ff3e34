import { GLYPHS } from './glyph-paths';
import { SPECIMENS } from './specimen-paths';

/** A complaint as a section in our own hand: its own drawing, or that of the sign it is on record as. */
export function Specimen({ id, sign, size = 56 }: { id: string; sign: string | null; size?: number }) {
  const paths = SPECIMENS[id] ?? GLYPHS[id] ?? (sign === null ? undefined : GLYPHS[sign]) ?? [];
  return (
    <svg
      viewBox="0 0 32 24"
      width={size}
      height={(size * 24) / 32}
      fill="none"
      stroke="currentColor"
      strokeWidth={1.6}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden
    >
      {paths.map((path) => (
        <path key={path} d={path} />
      ))}
    </svg>
  );
}
