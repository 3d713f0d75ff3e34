import type { Row, Source } from './database';

/** Tables that leave with an export, in an order in which they could be read back. */
export const EXPORTED = [
  'body',
  'coating',
  'coating_version',
  'material',
  'recipe_line',
  'bucket',
  'bucket_entry',
  'kiln',
  'lot',
  'piece',
  'face',
  'layer',
  'flag',
  'firing',
  'firing_event',
  'witness_cone',
  'placement',
  'observation',
  'observation_sign',
  'photo',
  'question',
  'question_tile',
  'tile_move',
  'body_test',
  'form_card',
  'schedule',
  'reading',
  'firing_entry',
  'load_overrule',
  'kiln_upkeep',
] as const;

/** All rows of an exported table. */
export async function readTableRows(
  src: Source,
  table: string,
  columns: readonly string[],
): Promise<Row[]> {
  if (!(EXPORTED as readonly string[]).includes(table))
    throw new Error(`${table} is not exported.`);
  return src(table).select([...columns]);
}
