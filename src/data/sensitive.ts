/** What was seen of a coating by itself, with the circumstances it may turn on. */
import type { Lab } from '@/core/colour';
import type { Surface } from '@/core/signs';
import { coatsOfKey } from '@/core/zones';
import type { Row, Source } from './database';
import { coloursOfCells } from './repeats';

export type SeenAlone = {
  firingId: string;
  lab: Lab | null;
  surface: Surface | null;
  movementMm: number | null;
  /** By the name of the factor; what is unknown has no entry. */
  levels: Readonly<Record<string, string>>;
};

/** As many as a page needs to tell: the newest. */
const MOST = 2000;

/** Pieces that bear a coating by itself, once fired, wherever it was. */
export async function seenAlone(src: Source, slug: string): Promise<SeenAlone[]> {
  const rows: Row[] = await src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .join('body', 'body.id', 'cell.body_id')
    .join('firing', 'firing.id', 'sighting.firing_id')
    .leftJoin('placement', function () {
      this.on('placement.piece_id', 'sighting.piece_id').andOn('placement.firing_id', 'sighting.firing_id');
    })
    .where({ 'cell.base_slug': slug, 'cell.depth': 1, 'cell.refired': false })
    .orderBy('sighting.seen_at', 'desc')
    .limit(MOST)
    .select(
      'sighting.cell_id',
      'sighting.piece_id',
      'sighting.firing_id',
      'sighting.surface',
      'sighting.movement_mm',
      'cell.stack_key',
      'cell.cone',
      'cell.atmosphere',
      'cell.slips',
      'body.name as body_name',
      'placement.shelf',
    );
  const colours = await coloursOfCells(src, [...new Set(rows.map((row) => row.cell_id as string))]);
  const key = (of: { cellId: string; pieceId: string; firingId: string }): string =>
    `${of.cellId}/${of.pieceId}/${of.firingId}`;
  const labs = new Map(colours.map((one) => [key(one), one.lab]));
  return rows.map((row) => {
    const [coat] = coatsOfKey(row.stack_key as string);
    return {
      firingId: row.firing_id,
      lab: labs.get(key({ cellId: row.cell_id, pieceId: row.piece_id, firingId: row.firing_id })) ?? null,
      surface: row.surface,
      movementMm: row.movement_mm,
      levels: {
        body: row.slips === '' ? row.body_name : `${row.body_name}, slipped`,
        ...(coat === undefined ? {} : { thickness: coat.amount }),
        cone: row.cone,
        atmosphere: row.atmosphere,
        ...(row.shelf === null ? {} : { shelf: String(row.shelf) }),
        firing: row.firing_id,
      },
    };
  });
}
