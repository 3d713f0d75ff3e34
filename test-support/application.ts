/** The built application on a port of its own, for browsers, fuzzers and benches. */
import { startApplication as start, type RunningApplication } from '../src/keeper/application';
import { freePort } from '../src/keeper/port';
import type { Dumped } from '../src/keeper/backup/dump';

export type { RunningApplication };

/** Begins it on a database of a server, with pictures in a folder, once it answers. */
export const startApplication = async (
  { server, name }: { server: Pick<Dumped, 'folder'>; name: string },
  data: string,
  env: Record<string, string> = {},
  said: (bytes: Buffer) => void = (bytes) => void process.stderr.write(bytes),
): Promise<RunningApplication> =>
  start({
    host: '127.0.0.1',
    port: await freePort(),
    env: {
      JITEN_DB_SOCKET: server.folder.socket,
      JITEN_DB_KEY: server.folder.key,
      JITEN_DB_NAME: name,
      JITEN_DATA: data,
      JITEN_LOG: 'fatal',
      ...env,
    },
    said,
  });
