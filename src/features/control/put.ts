/** A control tile goes into every glaze firing by itself, where one waits and the firing suits it. */
import { controlCones, controlPieces, readControl } from '@/data/control';
import { listPieces } from '@/data/pieces';
import type { Act } from '@/platform/operation';
import { putIn } from '../loading/server';

export type ControlPut = { code: string; placementId: string };

/**
 * Puts the control tile that has waited longest into a firing that is just being planned. Null where the
 * studio has none, none waits, or it was never fired to that cone: nobody melts a control by planning.
 */
export async function putControl(
  act: Act,
  firing: { id: string; kind: string; targetCone: string | null; atmosphere: string },
): Promise<ControlPut | null> {
  const { trx } = act;
  const control = firing.kind === 'glaze' ? await readControl(trx) : null;
  if (control === null || firing.targetCone === null) return null;
  const cones = await controlCones(trx, control);
  if (cones.length > 0 && !cones.includes(firing.targetCone)) return null;
  const waiting = await controlPieces(trx, control, 'waiting');
  const pieces = new Map(
    (await listPieces(trx, { ids: waiting.map(({ id }) => id) })).map((one) => [one.id, one]),
  );
  const fits = waiting.find(({ id }) => {
    const piece = pieces.get(id);
    return (
      piece !== undefined &&
      (piece.wantedCone ?? firing.targetCone) === firing.targetCone &&
      (piece.wantedAtmosphere ?? firing.atmosphere) === firing.atmosphere
    );
  });
  if (fits === undefined) return null;
  const { placementIds } = await putIn(act, {
    firingId: firing.id,
    pieceIds: [fits.id],
    shelf: null,
    position: '',
    setting: 'unknown',
  });
  return { code: fits.code, placementId: placementIds[0]! };
}
