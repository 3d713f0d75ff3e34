/** Which part of a piece is meant by a stack on a ground. */
import { slipKey, stackKey } from './keys';
import type { Face, Layer, Zone } from './types';
import { zonesOf } from './zones';

export type Whereabouts = {
  /** The zones that bear the stack on that ground. */
  here: Zone[];
  /** Whether anything else lies on the piece, so that its picture shows that too. */
  others: Zone[];
};

/** The zones of a piece that bear a stack (by its key) on slips (by their key), and the rest. */
export function zonesBearing(
  faces: readonly Face[],
  layers: readonly Layer[],
  generation: number,
  of: { stackKey: string; slips: string },
): Whereabouts {
  const byNo = new Map(faces.map((face) => [face.no, face]));
  const here: Zone[] = [];
  const others: Zone[] = [];
  for (const zone of zonesOf(faces, layers, generation)) {
    const slips = slipKey(byNo.get(zone.face)!, zone.ground);
    const same = stackKey(zone.stack) === of.stackKey && slips === of.slips;
    (same ? here : others).push(zone);
  }
  return { here, others };
}
