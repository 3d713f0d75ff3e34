/** The demo's pictures while they are being painted: a file beside the pictures says how far it has come. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readConfig } from './config';

export const PAINTING = 'painting.json';

export type Painting = {
  /** The moment that the demo was made of. */
  now: string;
  done: number;
  all: number;
};

/** How far it has come; null where nothing is being painted, which is nearly always. */
export async function readPainting(directory = readConfig().dataDirectory): Promise<Painting | null> {
  try {
    return JSON.parse(await readFile(join(directory, PAINTING), 'utf8')) as Painting;
  } catch {
    return null;
  }
}
