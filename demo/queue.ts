/** Pieces that the demo’s people made, waiting for their firing. */
import { hasRings } from '../src/core/designs';
import type { Atmosphere } from '../src/core/signs';
import type { Face } from '../src/core/zones';
import { coatOf, layerOf, type DemoHistory, type DemoPiece } from './history-terms';
import type { LotSpec, PieceSpec } from './plan-terms';
import type { Random } from './random';

/** Of ware the demo tells of one surface: the inside of what is round and open, the outside of pots. */
const glazedSurface = ({ kind, form }: PieceSpec): Face['surface'] =>
  kind === 'tile' ? null : hasRings(form, null) ? 'inside' : 'outside';

/** Makes a queue's pieces; they wait for their firing until one takes them. */
export function queue(
  history: DemoHistory,
  lots: readonly LotSpec[],
  cone: string,
  atmosphere: Atmosphere,
  start: Date,
  random: Random,
): DemoPiece[] {
  return lots.flatMap((spec) => {
    const lot = history.lots.push({ spec, at: start }) - 1;
    const owner = spec.pieces[0]?.owner ? random.integer(2, 13) : null;
    return spec.pieces.map((piece): DemoPiece => {
      const made: DemoPiece = {
        id: '',
        spec: piece,
        lot,
        madeAt: start,
        owner,
        meant: piece.coats.map((coat) => layerOf(coat)),
        done: (piece.done ?? piece.coats).map((coat) => layerOf(coat)),
        faces: piece.faces.map((face, i) => ({
          no: i + 1,
          kind: face.kind,
          slip: face.slip ? coatOf({ slug: face.slip }) : null,
          surface: glazedSurface(piece),
        })),
        waitingFor: 'glaze',
        cone,
        atmosphere,
      };
      history.pieces.push(made);
      return made;
    });
  });
}
