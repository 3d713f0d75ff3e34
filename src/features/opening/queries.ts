import type { Source } from '@/data/database';
import { findFiring, type Firing } from '@/data/firings';
import type { Person } from '@/data/people';
import { found, refuse } from '@/platform/refusal';
import { may } from '../people';
import type { Made } from './useOthers';
import { listPlacements } from '@/data/placements';
import { colourTexts, listObservations, openingMark } from '@/data/observations';
import { greyCard } from '@/data/frames';
import { listPhotos } from '@/data/photos';
import { loadPieces } from '@/data/pieces';
import { usualWords, type Place } from '@/core/looks';
import { deviations } from '@/core/zones';
import type { RoomLook, RoomPiece } from './room';
import { beforeOf } from './before';
import { groupRows } from '@/data/rows';
import { listBodies } from '@/data/bodies';
import { listCoatings, paintable } from '@/data/coatings';
import { cautionsOf, coatsOn } from '@/data/cautions';
import { firedCautions } from '@/core/chemistry';
import type { Painted } from '@/features/drawings';

/** Who writes up later than this after the opening sits at a desk, unless they say otherwise. */
const AT_THE_KILN = 2 * 86_400_000;

/** So many chips stand in two rows on a phone. */
const CHIPS = 8;

export type PaintChoice = Painted;

/**
 * Everything opening mode needs of a firing, shelf by shelf from the top.
 * @param owner only what is theirs: a student writes up own pieces.
 */
export async function openingRoom(
  src: Source,
  firing: Firing,
  owner: string | null = null,
): Promise<{
  pieces: RoomPiece[];
  coatings: PaintChoice[];
  place: Place;
  madeAt: number;
  mark: string;
  /** Words for colours that the studio uses most. */
  words: string[];
  card: number[] | null;
}> {
  // Before anything is read: what comes in meanwhile may be in it, and does no harm twice.
  const madeAt = Date.now();
  const mark = await openingMark(src, firing.id);
  const since = firing.openedAt === null ? 0 : madeAt - firing.openedAt.getTime();
  const place = since > AT_THE_KILN ? 'desk' : 'kiln';
  const placements = await listPlacements(src, { firingId: firing.id });
  const ids = placements.map((one) => one.pieceId);
  const card = await greyCard(src);
  if (ids.length === 0) return { pieces: [], coatings: [], place, madeAt, mark, words: [], card };
  const [pieces, bodies, coatings] = await Promise.all([
    loadPieces(src, { ids }),
    listBodies(src),
    listCoatings(src),
  ]);
  const [observations, photos, before, colourWords, cautions] = await Promise.all([
    listObservations(src, { firingId: firing.id, current: true }),
    listPhotos(src, { firingId: firing.id }),
    beforeOf(src, firing, placements),
    colourTexts(src),
    cautionsOf(
      src,
      pieces.flatMap(({ faces, done }) => coatsOn({ faces, layers: done })),
    ),
  ]);
  const seenOf = groupRows(
    observations,
    (one) => one,
    (one) => one.pieceId,
  );
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const colours = new Map(bodies.map((body) => [body.id, body.colour]));
  const names = new Map(coatings.map((coating) => [coating.slug, coating.name]));
  const rooms = placements.flatMap((place): RoomPiece[] => {
    const piece = byId.get(place.pieceId);
    if (piece === undefined || piece.binned) return [];
    if (owner !== null && piece.ownerId !== owner) return [];
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
        joined: place.late ? place.id : null,
        keyKnown: piece.keyKnown,
        before: before.get(piece.id) ?? null,
        flags: piece.flags.map((flag) => flag.text),
        faces: piece.faces,
        layers: piece.done.filter((layer) => layer.generation <= Math.max(place.generation, 1)),
        cautions: firedCautions(coatsOn({ faces: piece.faces, layers: piece.done }).flatMap(cautions)),
        otherwise:
          piece.meant.length === 0
            ? []
            : deviations(piece.meant, piece.done, (slug) => names.get(slug) ?? slug),
        photos: photos.filter((photo) => photo.pieceId === piece.id).map((photo) => photo.sha),
        looks: groupBy(
          (seenOf.get(piece.id) ?? []).map((one) => ({
            zone: one.zone ?? '',
            look: {
              id: one.id,
              by: { id: one.seenBy, name: one.seenByName },
              at: one.seenAt.toISOString(),
              place: one.place,
              seen: {
                surface: one.surface,
                opacity: one.opacity,
                colour: one.colour,
                movementMm: one.movementMm,
                met: one.met,
                rating: one.rating,
                pings: one.pings ?? null,
                verdict: one.verdict,
                refire: one.refire ?? null,
                healed: one.healed ?? [],
                note: one.note,
                signs: one.signs,
              },
            },
          })),
        ),
      },
    ];
  });
  return {
    pieces: rooms.sort((a, b) => (b.shelf ?? 0) - (a.shelf ?? 0)),
    coatings: paintable(coatings),
    place,
    madeAt,
    mark,
    words: usualWords(colourWords, CHIPS),
    card,
  };
}

/**
 * A load for a page that shows it already: everything for who keeps the records, one's own pieces for anybody
 * else.
 * Errors: a person who writes of no pieces, a firing that is not there.
 */
export async function loadFor(src: Source, person: Person, firingId: string): Promise<Made> {
  if (!may(person, 'write of own pieces')) throw refuse('You cannot see this load.');
  const firing = /^[0-9a-f-]{36}$/.test(firingId) ? await findFiring(src, firingId) : null;
  const owner = may(person, 'keep records') ? null : person.id;
  const { pieces, madeAt, mark } = await openingRoom(src, found(firing, 'This firing'), owner);
  return { pieces, at: madeAt, mark };
}

/** Body and form that most pieces of a firing have: what one that was forgotten most likely is. */
export async function usualPot(
  src: Source,
  firingId: string,
): Promise<{ bodyId: string; form: string } | null> {
  const placements = await listPlacements(src, { firingId });
  const pieces = await loadPieces(src, { ids: placements.map(({ pieceId }) => pieceId) });
  const counts = new Map<string, { n: number; bodyId: string; form: string }>();
  for (const { bodyId, form } of pieces) {
    const key = `${bodyId}/${form}`;
    counts.set(key, { n: (counts.get(key)?.n ?? 0) + 1, bodyId, form });
  }
  return [...counts.values()].sort((a, b) => b.n - a.n)[0] ?? null;
}

/** Looks by the part they are of, as they came: oldest first. */
function groupBy(looks: readonly { zone: string; look: RoomLook }[]): Record<string, RoomLook[]> {
  const parts: Record<string, RoomLook[]> = {};
  for (const { zone, look } of looks) (parts[zone] ??= []).push(look);
  return parts;
}
