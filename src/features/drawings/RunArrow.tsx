'use client';
import { formatLength } from '@/core/units';
import { useUnits } from '@/ui/units';

/** Which way and how far a stack runs: an arrow that grows with the distance. */
export function RunArrow({ mm, size = 22 }: { mm: number; size?: number }) {
  const units = useUnits();
  const length = Math.min(18, 5 + mm * 1.2);
  return (
    <svg
      width={size * 0.6}
      height={size}
      viewBox="0 0 14 24"
      fill="none"
      stroke="currentColor"
      strokeWidth={2.2}
      strokeLinecap="round"
      role="img"
      aria-label={`runs ${formatLength(mm, units)}`}
    >
      <path d={`M7 3V${3 + length}M3 ${length - 1}L7 ${3 + length}L11 ${length - 1}`} />
    </svg>
  );
}
