/** What the keeper says of the house, for the application to show. */
import { z } from 'zod';

const moment = z.string();
const backup = z.object({
  name: z.string(),
  kind: z.enum(['night', 'asked', 'before-migration', 'before-restore']),
  made: moment,
  studio: z.string(),
  bytes: z.number(),
  pictures: z.number(),
  verified: z.object({ at: moment, ok: z.boolean(), said: z.string() }).nullable(),
});

export const houseState = z.object({
  at: moment,
  since: moment,
  /** Falls of the database or the application, newest first. */
  falls: z.array(z.object({ at: moment, word: z.string() })),
  freeBytes: z.number(),
  backups: z.array(backup),
  /** The folder on another disk: where, and what was wrong when it was last used. */
  elsewhere: z.object({ path: z.string(), wrong: z.string().nullable() }).nullable(),
  busy: z.object({ what: z.string(), said: z.string(), since: moment }).nullable(),
  last: z.object({ what: z.string(), ok: z.boolean(), said: z.string(), at: moment }).nullable(),
});
export type HouseState = z.output<typeof houseState>;
export type ListedBackup = HouseState['backups'][number];

/** What the keeper can be asked to do. */
export const houseAct = z.discriminatedUnion('act', [
  z.object({ act: z.literal('backup') }),
  z.object({ act: z.literal('verify'), name: z.string().max(80) }),
  z.object({ act: z.literal('restore'), name: z.string().max(80), typed: z.string().max(200) }),
  z.object({ act: z.literal('elsewhere'), path: z.string().max(500) }),
  z.object({ act: z.literal('take-in'), file: z.string().max(200) }),
]);
export type HouseAct = z.output<typeof houseAct>;

export const STATE_FILE = 'state.json';
export const SOCKET_FILE = 'keeper.sock';
