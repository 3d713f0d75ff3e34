import type { Source } from '@/data/database';
import { listFirings } from '@/data/firings';
import { listSounds } from '@/data/sounds';
import { listObservations } from '@/data/observations';
import { listPeople } from '@/data/people';
import { listPhotos } from '@/data/photos';
import { glazeFirings, listPlacements, openFiringsOf } from '@/data/placements';
import type { Piece } from '@/data/pieces';
import type { CoatingChoice } from '@/features/pieces/components/LayerEditor';
import type { BodyChoice } from '../tests';
import { listBodies } from '@/data/bodies';
import { listCoatings, offeredVersions } from '@/data/coatings';

export type MakeChoices = {
  bodies: BodyChoice[];
  coatings: CoatingChoice[];
  people: { id: string; name: string }[];
};

/**
 * What can be chosen when pieces are made: what is in use, each coating at its newest
 * version, and the versions `also`, by id.
 */
export async function makeChoices(src: Source, also: readonly string[] = []): Promise<MakeChoices> {
  const [bodies, coatings, people] = await Promise.all([listBodies(src), listCoatings(src), listPeople(src)]);
  return {
    bodies: bodies.filter((body) => !body.archived).map(({ id, name, colour }) => ({ id, name, colour })),
    coatings: offeredVersions(coatings, also).map(({ coating, version, name }) => ({
      versionId: version.id,
      name,
      slug: coating.slug,
      kind: coating.kind,
      version: version.no,
      colour: coating.colour,
    })),
    people: people.filter((person) => !person.disabled).map(({ id, name }) => ({ id, name })),
  };
}

/** Every coating version that lies on a piece. */
export const versionsOn = (piece: Piece): string[] =>
  [...piece.meant, ...piece.done].map(({ coatingVersionId }) => coatingVersionId);

/** What the page of a piece shows: its pictures, looks and firings, and what may be chosen for it. */
export async function pieceRoom(src: Source, piece: Piece) {
  const one = { pieceIds: [piece.id] };
  const [coatings, bodies, choices, photos, observations, placements, inside, fired, sounds] =
    await Promise.all([
      listCoatings(src),
      listBodies(src),
      makeChoices(src, versionsOn(piece)),
      listPhotos(src, one),
      listObservations(src, one),
      listPlacements(src, one),
      openFiringsOf(src, one.pieceIds),
      glazeFirings(src, one.pieceIds),
      listSounds(src, one),
    ]);
  const firings = await listFirings(src, { ids: placements.map(({ firingId }) => firingId) });
  return {
    coatings,
    bodies,
    choices,
    photos,
    observations,
    placements,
    sounds,
    firings: new Map(firings.map((firing) => [firing.id, firing])),
    open: inside.get(piece.id),
    times: fired.get(piece.id) ?? 0,
  };
}
