import { startApplication as start, type RunningApplication } from '../src/keeper/application';
import { freePort } from '../src/keeper/port';
import type { RunningDatabase } from '../src/keeper/server';

export type { RunningApplication };

/** The built application on a port of its own, once it answers. */
export async function startApplication(
  { server, name }: { server: RunningDatabase; name: string },
  data: string,
  env: Record<string, string> = {},
): Promise<RunningApplication> {
  return start({
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
    said: (bytes) => process.stderr.write(bytes),
  });
}
