/** The file of a whole studio: its records line by line, then every picture by its content. */
import { z } from 'zod';

export const FORMAT = 'jiten-whole-studio';
export const RECORDS = 'records.jsonl';
export const PICTURE = /^pictures\/([0-9a-f]{64})(\.original|-(?:small|medium|large)\.webp)$/;
/** No row and no picture is as large. */
export const LINE_BYTES = 20_000_000;
export const FILE_BYTES = 100_000_000;

export const header = z.object({
  format: z.literal(FORMAT),
  version: z.literal(1),
  step: z.string(),
  studio: z.string(),
  made: z.iso.datetime(),
});
export const beginning = z.object({ table: z.string(), columns: z.array(z.string()) });
export const ending = z.object({
  sum: z.object({ table: z.string(), rows: z.number(), sha256: z.string() }),
});
export const row = z.array(z.union([z.string(), z.number(), z.boolean(), z.null()]));
