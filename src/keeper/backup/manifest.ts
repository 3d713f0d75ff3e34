/** What lies in a backup, written beside it: without it nobody could say that all is there. */
import { z } from 'zod';
import { MIGRATIONS } from '../../data/migrations';

/** Grows when the shape below changes in a way that an older program cannot read. */
export const FORMAT = 1;

const file = z.object({
  name: z.string().regex(/^[\w.-]{1,100}$/),
  bytes: z.number().int().nonnegative(),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
});
export type BackupFile = z.output<typeof file>;

export const KINDS = ['night', 'asked', 'before-migration', 'before-restore'] as const;
export type BackupKind = (typeof KINDS)[number];

const shape = z.object({
  jiten: z.literal('backup'),
  format: z.number().int(),
  kind: z.enum(KINDS),
  made: z.iso.datetime(),
  studio: z.string(),
  /** The application that made it, and the steps its database had taken. */
  application: z.string(),
  steps: z.array(z.string()),
  dump: file,
  pictures: z.array(file),
});
export type Manifest = z.output<typeof shape>;

/** What a backup is refused for, in words. */
export class NotABackup extends Error {}

/** Reads a manifest. Errors: NotABackup, for what is foreign, broken, or newer than this program. */
export function readManifest(text: string, where: string): Manifest {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    throw new NotABackup(`${where} is not a backup of a studio: its list of contents cannot be read.`);
  }
  const marked = z.object({ jiten: z.literal('backup'), format: z.number() }).safeParse(said);
  if (!marked.success) throw new NotABackup(`${where} is not a backup of a studio.`);
  if (marked.data.format > FORMAT) throw newer(where);
  const manifest = shape.safeParse(said);
  if (!manifest.success) throw new NotABackup(`${where} is broken: its list of contents is not whole.`);
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  if (manifest.data.steps.some((step) => !known.has(step))) throw newer(where);
  return manifest.data;
}

const newer = (where: string): NotABackup =>
  new NotABackup(
    `${where} was made by a newer version of the program than this one. Bring the program up to date, then try again.`,
  );
