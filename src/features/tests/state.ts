import type { PieceSummary } from '@/data/pieces';

/** Where a piece is in its life, in words. */
export function stateOf(
  piece: Pick<PieceSummary, 'waitingFor' | 'wantedCone' | 'binned'>,
  inKiln: string | undefined,
  firings: number,
): string {
  if (piece.binned) return 'in the bin';
  if (inKiln !== undefined) return `in ${inKiln}`;
  if (piece.waitingFor === 'refire') return 'waits for a refire';
  if (piece.waitingFor !== null)
    return `waits for ${piece.waitingFor}${piece.waitingFor === 'glaze' && piece.wantedCone ? `, cone ${piece.wantedCone.replace('.5', '½')}` : ''}`;
  return firings === 0 ? 'made' : firings === 1 ? 'fired' : `fired ${firings} times`;
}
