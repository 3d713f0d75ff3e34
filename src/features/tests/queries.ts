import type { Piece } from '@/data/pieces';
import type { Starting } from './components/MakeForm';
import type { MakeChoices } from '../pieces/server';

/**
 * The makings of a piece as the start of another one like it: of the studio's own coatings
 * the newest version, which is what is in the bucket; of a question's blends the very same.
 */
export function likePiece(piece: Piece, choices: MakeChoices): Starting {
  const bySlug = new Map(choices.coatings.map((coating) => [coating.slug, coating.versionId]));
  return {
    kind: piece.kind,
    bodyId: piece.bodyId,
    form: piece.form,
    heightMm: piece.heightMm,
    faces: piece.faces.map((face) => ({
      no: face.no,
      kind: face.kind,
      surface: face.surface ?? null,
      slipVersionId: face.slip === null ? null : (bySlug.get(face.slip.slug) ?? null),
    })),
    layers: (piece.done.length > 0 ? piece.done : piece.meant)
      .filter((layer) => layer.generation === 1)
      .map((layer) => ({
        coatingVersionId: bySlug.get(layer.coat.slug) ?? layer.coatingVersionId,
        method: layer.method,
        coats: layer.coats,
        weight: layer.weight,
        thicknessMm: layer.thicknessMm,
        seconds: layer.seconds,
        stage: layer.stage,
        driedBefore: layer.driedBefore,
        region: layer.region,
        generation: 1,
      })),
    wantedCone: piece.wantedCone,
    wantedAtmosphere: piece.wantedAtmosphere as Starting['wantedAtmosphere'],
    marks: [],
  };
}
