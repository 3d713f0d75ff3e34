import { listBodies, listCoatings } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { type Firing } from '@/data/firings';
import { listPlacements } from '@/data/placements';
import { listObservations } from '@/data/observations';
import { listPhotos } from '@/data/photos';
import { loadPieces } from '@/data/pieces';
import { deviations } from '@/core/zones';
import type { RoomPiece } from './room';

export type PaintChoice = { slug: string; name: string; colour: string };

/** Everything opening mode needs of a firing, shelf by shelf from the top. */
export async function openingRoom(
  src: Source,
  firing: Firing,
): Promise<{ pieces: RoomPiece[]; coatings: PaintChoice[] }> {
  const placements = await listPlacements(src, { firingId: firing.id });
  const ids = placements.map((one) => one.pieceId);
  if (ids.length === 0) return { pieces: [], coatings: [] };
  const [pieces, bodies, coatings] = [
    await loadPieces(src, { ids }),
    await listBodies(src),
    await listCoatings(src),
  ];
  const observations = await listObservations(src, { firingId: firing.id, current: true });
  const photos = await listPhotos(src, { firingId: firing.id });
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const colours = new Map(bodies.map((body) => [body.id, body.colour]));
  const names = new Map(coatings.map((coating) => [coating.slug, coating.name]));
  const rooms = placements.flatMap((place): RoomPiece[] => {
    const piece = byId.get(place.pieceId);
    if (piece === undefined || piece.binned) return [];
    return [
      {
        id: piece.id,
        code: piece.code,
        mark: piece.mark,
        kind: piece.kind,
        form: piece.form,
        bodyName: piece.bodyName,
        bodyColour: colours.get(piece.bodyId) ?? '#cccccc',
        lotId: piece.lotId,
        owner: piece.ownerName,
        shelf: place.shelf,
        setting: place.setting,
        generation: place.generation,
        flags: piece.flags.map((flag) => flag.text),
        faces: piece.faces,
        layers: piece.done.filter((layer) => layer.generation <= Math.max(place.generation, 1)),
        otherwise:
          piece.meant.length === 0
            ? []
            : deviations(piece.meant, piece.done, (slug) => names.get(slug) ?? slug),
        photos: photos.filter((photo) => photo.pieceId === piece.id).map((photo) => photo.sha),
        seen: Object.fromEntries(
          observations
            .filter((one) => one.pieceId === piece.id)
            .map((one) => [
              one.zone ?? '',
              {
                id: one.id,
                by: one.seenByName,
                at: one.seenAt.toISOString(),
                seen: {
                  surface: one.surface,
                  opacity: one.opacity,
                  colour: one.colour,
                  movementMm: one.movementMm,
                  met: one.met,
                  rating: one.rating,
                  verdict: one.verdict,
                  note: one.note,
                  signs: one.signs,
                },
              },
            ]),
        ),
      },
    ];
  });
  return {
    pieces: rooms.sort((a, b) => (b.shelf ?? 0) - (a.shelf ?? 0)),
    coatings: coatings.map(({ slug, name, colour }) => ({ slug, name, colour })),
  };
}
