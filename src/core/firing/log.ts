/** What a firing's diary can say, and what is done to a kiln between firings. */
export const LOG_KINDS = [
  'atmosphere',
  'lid',
  'bungs',
  'damper',
  'gas',
  'switch',
  'flame',
  'peep',
  'shut-off',
  'weather',
  'note',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** After these the kiln does something else: somebody has touched it. */
export const TOUCHES: readonly LogKind[] = ['lid', 'bungs', 'damper', 'gas', 'switch', 'shut-off'];

export const UPKEEP_KINDS = [
  'elements',
  'thermocouple',
  'chrome',
  'idle',
  'repair',
  'ground',
  'other',
] as const;
export type UpkeepKind = (typeof UPKEEP_KINDS)[number];

/** After these a kiln is another: what was learned of its thermocouple begins anew. */
export const NEW_SERIES: readonly UpkeepKind[] = ['elements', 'thermocouple'];
