/** The faces of pieces as they are kept, apart from what lies on them. */
import type { Face } from '@/core/zones';
import { insertMany, type Row, type Source } from './database';
import { groupRows } from './rows';

export type FaceFields = {
  no: number;
  kind: Face['kind'];
  slipVersionId: string | null;
  surface?: Face['surface'];
};

/** The faces of pieces as they are kept, by piece. */
export const faceFieldsOf = async (
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, FaceFields[]>> =>
  groupRows(
    (await src('face').whereIn('piece_id', pieceIds).orderBy('no')) as Row[],
    (row): FaceFields => ({
      no: row.no,
      kind: row.kind,
      slipVersionId: row.slip_version_id,
      surface: row.surface,
    }),
    (row) => row.piece_id,
  );

export const faceRow = (pieceId: string, face: FaceFields): Row => ({
  piece_id: pieceId,
  no: face.no,
  kind: face.kind,
  slip_version_id: face.slipVersionId,
  surface: face.surface ?? null,
});

/** Gives a piece other faces; layers keep to theirs by number. */
export async function replaceFaces(
  src: Source,
  pieceId: string,
  faces: readonly FaceFields[],
): Promise<void> {
  await src('face').where({ piece_id: pieceId }).delete();
  await insertMany(
    src,
    'face',
    faces.map((face) => faceRow(pieceId, face)),
  );
}
