/**
 * Pieces whose pictures were framed and measured, without any pictures: for what follows from the colours.
 */
import { v7 } from 'uuid';
import type { Lab } from '@/core/colour';
import type { Database, Row } from '@/data/database';
import { refreshCells } from '@/data/cells';
import { replaceFrames } from '@/data/frames';
import { createPhotos } from '@/data/photos';

/** The lower left face of every picture. */
const SHAPE = {
  kind: 'corners' as const,
  corners: [
    { x: 0.2, y: 0.9 },
    { x: 0.6, y: 0.9 },
    { x: 0.6, y: 0.1 },
    { x: 0.2, y: 0.1 },
  ] as never,
};

let pictures = 0;

/**
 * Measures pieces that were written up: `of` says the colour of a cell’s zone on a piece (by the base coat
 * and the place of the piece among those given), null for none. Answers the pictures' ids.
 */
export async function measure(
  db: Database,
  by: string,
  firingId: string,
  pieceIds: readonly string[],
  of: (base: string, piece: number) => Lab | null,
  now = new Date(),
  byGrey = true,
): Promise<string[]> {
  const ids: string[] = [];
  for (const [i, pieceId] of pieceIds.entries()) {
    const rows: Row[] = await db('sighting')
      .join('cell', 'cell.id', 'sighting.cell_id')
      .where({ piece_id: pieceId, firing_id: firingId })
      .select('sighting.zone', 'sighting.face_no', 'cell.base_slug');
    const id = v7();
    const sha = (++pictures).toString(16).padStart(64, '0');
    await createPhotos(
      db,
      [{ id, sha, width: 300, height: 400, originalName: 'made', pieceId, firingId }],
      by,
      now,
    );
    const colours = rows.flatMap((row) => {
      const lab = of(row.base_slug as string, i);
      return lab === null ? [] : [{ zone: row.zone as string, face: row.face_no as number, lab }];
    });
    const faces = [...new Set(colours.map(({ face }) => face))];
    await replaceFrames(
      db,
      id,
      {
        frames: faces.map((face) => ({
          face,
          shape: SHAPE,
          guessed: true,
          sharpness: 0.5,
          colours: colours
            .filter((one) => one.face === face)
            .map(({ zone, lab }) => ({
              zone,
              lab,
              parts: [{ lab, share: 1 }],
              variegation: 1,
              glare: 0,
              byGrey,
            })),
        })),
        grey: null,
        unframed: false,
        frameMethod: 1,
        colourMethod: 2,
      },
      by,
      now,
    );
    ids.push(id);
  }
  await refreshCells(
    db,
    pieceIds.map((pieceId) => ({ pieceId, firingId })),
  );
  return ids;
}
