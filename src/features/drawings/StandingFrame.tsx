import type { Standing } from '@/core/standing';
import css from './frame.module.css';

/**
 * A cell's standing as its frame: corner brackets for untried, a thin line for once, a
 * double one for repeated, a heavy one for settled, a heavy one in two halves for depends, a broken
 * one for contradictory.
 */
export function StandingFrame({ standing }: { standing: Standing }) {
  return (
    <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden className={css.frame}>
      {standing === 'untried' && <path strokeWidth={1.2} d="M2 14V2H14M86 2H98V14M98 86V98H86M14 98H2V86" />}
      {standing === 'once' && <rect strokeWidth={1} x={1} y={1} width={98} height={98} />}
      {standing === 'repeated' && (
        <>
          <rect strokeWidth={1} x={1} y={1} width={98} height={98} />
          <rect strokeWidth={1} x={4.5} y={4.5} width={91} height={91} />
        </>
      )}
      {standing === 'settled' && <rect strokeWidth={5} x={2} y={2} width={96} height={96} />}
      {standing === 'depends' && <path strokeWidth={4} d="M44 2H2V98H44M56 2H98V98H56" />}
      {standing === 'contradictory' && (
        <rect strokeWidth={3} strokeDasharray="9 6" x={2} y={2} width={96} height={96} />
      )}
    </svg>
  );
}
