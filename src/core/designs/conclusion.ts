/** Counts on which a test is concluded. */
export const COUNTS = [
  'colour',
  'surface',
  'running',
  'layering',
  'texture',
  'drying',
  'mix a bucket',
] as const;
