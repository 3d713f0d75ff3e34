/** Asks the keeper of the house: how it stands, and to do something about backups. */
import { randomUUID } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  readdirSync,
  readFileSync,
  statSync,
} from 'node:fs';
import { mkdir, rm, statfs } from 'node:fs/promises';
import { request } from 'node:http';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeReadableStream } from 'node:stream/web';
import { houseState, SOCKET_FILE, STATE_FILE, type HouseAct, type HouseState } from '@/keeper/state';
import { readConfig } from '@/platform/config';
import { Refusal, refuse } from '@/platform/refusal';

const inRun = (name: string): string =>
  join(/* turbopackIgnore: true */ readConfig().dataDirectory, 'run', name);

/** How the house stands; null where nobody keeps it (a test, or a server of one's own). */
export function readHouse(): HouseState | null {
  try {
    return houseState.parse(JSON.parse(readFileSync(/* turbopackIgnore: true */ inRun(STATE_FILE), 'utf8')));
  } catch {
    return null;
  }
}

const NOBODY = new Refusal({
  code: 'conflict',
  message: 'Nobody keeps this studio’s house: it was not begun with ./start.',
});

/** Asks for something to be begun. Errors: Refusal, with the keeper's own words. */
export function askHouse(act: HouseAct): Promise<null> {
  return new Promise((resolve, reject) => {
    const asked = request(
      { socketPath: inRun(SOCKET_FILE), method: 'POST', path: '/', timeout: 20_000 },
      (answer) => {
        let text = '';
        answer.on('data', (chunk: Buffer) => (text += chunk));
        answer.on('end', () => {
          if (answer.statusCode === 202) return resolve(null);
          try {
            reject(refuse((JSON.parse(text) as { said: string }).said));
          } catch {
            reject(NOBODY);
          }
        });
      },
    );
    asked.on('error', () => reject(NOBODY));
    asked.end(JSON.stringify(act));
  });
}

/** A backup as one file, as it is packed. Errors: Refusal. */
export function packedBackup(name: string): Promise<ReadableStream<Uint8Array>> {
  return new Promise((resolve, reject) => {
    const path = `/pack?name=${encodeURIComponent(name)}`;
    request({ socketPath: inRun(SOCKET_FILE), path }, (answer) => {
      if (answer.statusCode !== 200) {
        answer.resume();
        return reject(refuse('There is no such backup any more.'));
      }
      resolve(
        new ReadableStream<Uint8Array>({
          start(controller) {
            answer.on('data', (chunk: Buffer) => {
              controller.enqueue(new Uint8Array(chunk));
              if ((controller.desiredSize ?? 1) <= 0) answer.pause();
            });
            answer.on('end', () => controller.close());
            answer.on('error', (error) => controller.error(error));
          },
          pull: () => void answer.resume(),
          cancel: () => void answer.destroy(),
        }),
      );
    })
      .on('error', () => reject(NOBODY))
      .end();
  });
}

export type LoggedFault = { at: string; where: string; said: string; no: string | null };

const WARNING = 40;
const WEEK_MS = 7 * 86_400_000;
const SHOWN = 100;

function faultOf(line: string, since: number): LoggedFault | null {
  try {
    const said = JSON.parse(line) as Record<string, unknown>;
    if (Number(said.level) < WARNING || Number(said.time) < since) return null;
    const error = String(said.error ?? '').split('\n')[0]!;
    return {
      at: new Date(Number(said.time)).toISOString(),
      where: String(said.where ?? ''),
      said: `${String(said.msg ?? '')}${error === '' ? '' : `: ${error}`}`.slice(0, 300),
      no: typeof said.digest === 'string' ? said.digest : null,
    };
  } catch {
    return null;
  }
}

/** What went wrong in the last seven days, newest first, as it was written down. */
export async function lastFaults(now: Date): Promise<LoggedFault[]> {
  const folder = join(/* turbopackIgnore: true */ readConfig().dataDirectory, 'logs');
  if (!existsSync(/* turbopackIgnore: true */ folder)) return [];
  const since = now.getTime() - WEEK_MS;
  const found: LoggedFault[] = [];
  for (const name of readdirSync(/* turbopackIgnore: true */ folder)) {
    const path = join(/* turbopackIgnore: true */ folder, name);
    if (!name.endsWith('.log') || statSync(path).mtimeMs < since) continue;
    for await (const line of createInterface({ input: createReadStream(path) })) {
      const fault = faultOf(line, since);
      if (fault !== null) found.push(fault);
    }
  }
  return found.sort((a, b) => b.at.localeCompare(a.at)).slice(0, SHOWN);
}

/** No backup may fill the disk that the studio lives on. */
const LEFT_FREE_BYTES = 1024 ** 3;

/**
 * Puts a backup that arrives where the keeper takes it in; says under which name. Errors: Refusal, no room.
 */
export async function incomingBackup(body: ReadableStream<Uint8Array>): Promise<string> {
  const data = readConfig().dataDirectory;
  const folder = join(/* turbopackIgnore: true */ data, 'backups', 'incoming');
  await mkdir(/* turbopackIgnore: true */ folder, { recursive: true, mode: 0o700 });
  const name = `${randomUUID()}.tar`;
  const path = join(/* turbopackIgnore: true */ folder, name);
  const { bavail, bsize } = await statfs(/* turbopackIgnore: true */ folder);
  let room = bavail * bsize - LEFT_FREE_BYTES;
  try {
    await pipeline(
      Readable.fromWeb(body as NodeReadableStream),
      async function* (chunks: AsyncIterable<Uint8Array>) {
        for await (const chunk of chunks) {
          room -= chunk.length;
          if (room < 0) throw refuse('There is no room for this backup on the studio’s disk.');
          yield chunk;
        }
      },
      createWriteStream(/* turbopackIgnore: true */ path, { mode: 0o600 }),
    );
  } catch (error) {
    await rm(/* turbopackIgnore: true */ path, { force: true });
    throw error;
  }
  return name;
}
