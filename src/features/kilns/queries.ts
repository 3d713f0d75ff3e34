import { inConeRange } from '@/core/cones';
import { footprintOf } from '@/core/load';
import { describeStack, stackOf } from '@/core/zones';
import { listCoatings } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { type Firing } from '@/data/firings';
import { listPlacements } from '@/data/placements';
import { listPieces, type PieceSummary } from '@/data/pieces';
import { flagsOf } from '@/data/flags';
import { layersOf } from '@/data/layers';
import type { LoadPiece, Placed } from './components/Load';

/** Does what a piece waits for agree with a firing, as far as both are known? */
export function suits(
  piece: Pick<PieceSummary, 'waitingFor' | 'wantedCone' | 'wantedAtmosphere'>,
  firing: Pick<Firing, 'kind' | 'targetCone' | 'atmosphere'>,
): boolean {
  const bisque = firing.kind === 'bisque';
  if ((piece.waitingFor === 'bisque') !== bisque && firing.kind !== 'once-fired') return false;
  if (bisque) return true;
  const near =
    piece.wantedCone === null ||
    firing.targetCone === null ||
    inConeRange(firing.targetCone, { low: piece.wantedCone, high: piece.wantedCone });
  const reduction = (one: string): boolean => one.includes('reduction');
  const air =
    piece.wantedAtmosphere === null ||
    firing.atmosphere === 'unknown' ||
    reduction(piece.wantedAtmosphere) === reduction(firing.atmosphere);
  return near && air;
}

/** What is in a firing, and what waits and might go in. */
export async function loadOf(
  src: Source,
  firing: Firing,
): Promise<{ placed: Placed[]; waiting: LoadPiece[] }> {
  const placements = await listPlacements(src, { firingId: firing.id });
  const inside = await listPieces(src, { ids: placements.map((one) => one.pieceId) });
  const waiting =
    firing.status === 'opened' ? [] : await listPieces(src, { waiting: true, limit: 1500 });
  const ids = [...inside, ...waiting].map((piece) => piece.id);
  const [layers, flags, coatings] = [
    await layersOf(src, ids, ['done']),
    await flagsOf(src, ids),
    await listCoatings(src),
  ];
  const names = new Map(coatings.map((coating) => [coating.slug, coating.name]));
  const describe = (piece: PieceSummary): LoadPiece => ({
    id: piece.id,
    code: piece.code,
    mark: piece.mark,
    body: piece.bodyName,
    form: piece.form,
    stack: describeStack(stackOf(layers.get(piece.id) ?? []), (slug) => names.get(slug) ?? slug),
    flags: (flags.get(piece.id) ?? []).map((flag) => flag.text),
    wants: [
      piece.waitingFor,
      piece.wantedCone ? `cone ${piece.wantedCone.replace('.5', '½')}` : null,
      piece.wantedAtmosphere,
    ]
      .filter(Boolean)
      .join(', '),
    suits: suits(piece, firing),
    footprint: footprintOf(piece.form, piece.heightMm),
  });
  const byId = new Map(inside.map((piece) => [piece.id, piece]));
  return {
    placed: placements.flatMap((one) => {
      const piece = byId.get(one.pieceId);
      return piece
        ? [{ ...describe(piece), placementId: one.id, shelf: one.shelf, setting: one.setting }]
        : [];
    }),
    waiting: waiting.map(describe),
  };
}
