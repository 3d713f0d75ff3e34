/** The faces of pieces as they are kept, apart from what lies on them. */
import type { Face } from '@/core/zones';
import { insertMany, type Row, type Source } from './database';
import { groupRows } from './rows';

export type FaceFields = { no: number; kind: Face['kind']; slipVersionId: string | null };

/** The faces of pieces as they are kept, by piece. */
export const faceFieldsOf = async (
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, FaceFields[]>> =>
  groupRows(
    (await src('face').whereIn('piece_id', pieceIds).orderBy('no')) as Row[],
    (row): FaceFields => ({ no: row.no, kind: row.kind, slipVersionId: row.slip_version_id }),
    (row) => row.piece_id,
  );

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
    faces.map(({ no, kind, slipVersionId }) => ({
      piece_id: pieceId,
      no,
      kind,
      slip_version_id: slipVersionId,
    })),
  );
}
