import { listBodies, listCoatings } from '@/data/catalogue';
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

/** What can be chosen when pieces are made: what is in use, each coating at its newest version. */
export async function makeChoices(src: Source): Promise<MakeChoices> {
  const [bodies, coatings, people] = [
    await listBodies(src),
    await listCoatings(src),
    await listPeople(src),
  ];
  return {
    bodies: bodies
      .filter((body) => !body.archived)
      .map(({ id, name, colour }) => ({ id, name, colour })),
    coatings: coatings
      .filter((coating) => !coating.archived)
      .flatMap((coating) => {
        const version = coating.versions.at(-1);
        return version
          ? [
              {
                versionId: version.id,
                name: coating.name,
                slug: coating.slug,
                kind: coating.kind,
                version: version.no,
                colour: coating.colour,
              },
            ]
          : [];
      }),
    people: people.filter((person) => !person.disabled).map(({ id, name }) => ({ id, name })),
  };
}

/** The makings of a piece as the start of another one like it. */
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
