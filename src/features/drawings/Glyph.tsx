import { bentPercent } from '@/core/cones';
import { signOf } from '@/core/signs';
import { GLYPHS } from './glyph-paths';

/** A sign as our line drawing. Severity shows as weight of line and as dots beneath. */
export function Glyph({
  sign,
  severity = 1,
  size = 28,
  label = true,
}: {
  sign: string;
  severity?: number;
  size?: number;
  label?: boolean;
}) {
  const name = signOf(sign)?.name ?? sign;
  return (
    <svg
      width={size}
      height={(size * 28) / 32}
      viewBox="0 0 32 28"
      fill="none"
      stroke="currentColor"
      strokeLinecap="round"
      strokeLinejoin="round"
      strokeWidth={1.3 + severity * 0.45}
      role={label ? 'img' : undefined}
      aria-label={label ? `${name}, ${['slight', 'marked', 'ruinous'][severity - 1]}` : undefined}
      aria-hidden={!label}
      style={{ flex: 'none' }}
    >
      {(GLYPHS[sign] ?? []).map((path) => (
        <path key={path} d={path} />
      ))}
      {Array.from({ length: severity }, (_, i) => (
        <circle
          key={i}
          cx={16 + (i - (severity - 1) / 2) * 6}
          cy={26}
          r={1.4}
          fill="currentColor"
          stroke="none"
        />
      ))}
    </svg>
  );
}

/** A witness cone as it bent, 0° upright to 90° tip down. */
export function ConeDrawing({
  cone,
  bend,
  size = 44,
  quiet = false,
}: {
  cone: string;
  bend: number | null;
  size?: number;
  quiet?: boolean;
}) {
  const angle = Math.min(Math.max(bend ?? 8, 0), 105);
  const turn = ((8 + angle * 0.92) * Math.PI) / 180;
  // The tip bows over: a quadratic from the foot, its end where the angle points.
  const [x, y] = [14 + 26 * Math.sin(turn), 38 - 26 * Math.cos(turn)];
  const [cx, cy] = [14 + 9 * Math.sin(turn / 3), 38 - 18 * Math.cos(turn / 3)];
  const said = bend === null ? 'not read' : `bent ${bentPercent(bend)} %`;
  return (
    <svg width={size} height={size} viewBox="0 0 44 44" role="img" aria-label={`cone ${cone}, ${said}`}>
      <path
        d={`M9 39Q${cx - 4} ${cy} ${x} ${y}Q${cx + 4} ${cy + 3} 20 39Z`}
        fill={bend === null || quiet ? 'none' : 'currentColor'}
        fillOpacity={0.85}
        stroke="currentColor"
        strokeWidth={1.4}
        strokeLinejoin="round"
        strokeDasharray={bend === null ? '3 2' : undefined}
      />
      <path d="M2 40H40" stroke="currentColor" strokeWidth={1.6} />
    </svg>
  );
}
