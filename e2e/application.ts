import { spawn, type ChildProcess } from 'node:child_process';
import { freePort } from '../src/keeper/port';
import type { RunningDatabase } from '../src/keeper/server';

export type RunningApplication = { url: string; process: ChildProcess };

/** The built application on a port of its own, once it answers. */
export async function startApplication(
  database: { server: RunningDatabase; name: string },
  data: string,
): Promise<RunningApplication> {
  const port = await freePort();
  const process_ = spawn(
    'node',
    ['node_modules/next/dist/bin/next', 'start', '-p', String(port), '-H', '127.0.0.1'],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        JITEN_DB_SOCKET: database.server.folder.socket,
        JITEN_DB_KEY: database.server.folder.key,
        JITEN_DB_NAME: database.name,
        JITEN_DATA: data,
        JITEN_LOG: 'fatal',
        NEXT_TELEMETRY_DISABLED: '1',
      },
    },
  );
  const url = `http://127.0.0.1:${port}`;
  for (let attempt = 0; attempt < 300; attempt++) {
    const up = await fetch(`${url}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (up) return { url, process: process_ };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('The application did not start.');
}
