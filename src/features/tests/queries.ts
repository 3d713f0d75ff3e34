import { listBodies, listCoatings, offeredVersions } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { listPeople } from '@/data/people';
import type { Piece } from '@/data/pieces';
import type { CoatingChoice } from './components/LayerEditor';
import type { BodyChoice, Starting } from './components/MakeForm';

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
  const [bodies, coatings, people] = [
    await listBodies(src),
    await listCoatings(src),
    await listPeople(src),
  ];
  return {
    bodies: bodies
      .filter((body) => !body.archived)
      .map(({ id, name, colour }) => ({ id, name, colour })),
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
