/** What the same stacks did in two firings. */
import type { Row, Source } from './database';

export type SeenIn = {
  firingId: string;
  bodyName: string;
  stackKey: string;
  surface: string | null;
  movementMm: number | null;
  colour: string | null;
  rating: number | null;
  signs: { sign: string; severity: number; wanted: boolean }[];
  code: string;
};

/** Sightings of stacks that both firings hold, on the same body. */
export async function sharedSightings(src: Source, a: string, b: string): Promise<SeenIn[]> {
  const rows: Row[] = await src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .join('body', 'body.id', 'cell.body_id')
    .join('piece', 'piece.id', 'sighting.piece_id')
    .whereIn('sighting.firing_id', [a, b])
    .where('cell.depth', '>', 0)
    .select(
      'sighting.firing_id',
      'sighting.surface',
      'sighting.movement_mm',
      'sighting.colour',
      'sighting.rating',
      'sighting.signs',
      'cell.stack_key',
      'cell.slips',
      'body.name as body_name',
      'piece.code',
    );
  const key = (row: Row): string => `${row.body_name}/${row.slips}/${row.stack_key}`;
  const inBoth = new Set(
    rows
      .filter((row) => row.firing_id === a)
      .map(key)
      .filter((one) => rows.some((row) => row.firing_id === b && key(row) === one)),
  );
  return rows
    .filter((row) => inBoth.has(key(row)))
    .map((row) => ({
      firingId: row.firing_id,
      bodyName: row.slips === '' ? row.body_name : `${row.body_name} with slip`,
      stackKey: row.stack_key,
      surface: row.surface,
      movementMm: row.movement_mm,
      colour: row.colour,
      rating: row.rating,
      signs: row.signs,
      code: row.code,
    }));
}
