/** Which database of the server is the studio's: a restore makes another and then points at it. */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { writeText } from './backup/files';
import type { Folder } from './folder';

const shape = z.object({ database: z.string().regex(/^jiten(_\w{1,40})?$/) });
const path = (folder: Folder): string => join(folder.data, 'current.json');

/** Errors: the pointer was damaged; guessing would show another studio's records. */
export function currentDatabase(folder: Folder): string {
  if (!existsSync(path(folder))) return 'jiten';
  const said = shape.safeParse(JSON.parse(readFileSync(path(folder), 'utf8')));
  if (!said.success) throw new Error(`${path(folder)} was altered; it must name the studio’s database.`);
  return said.data.database;
}

export async function pointAt(folder: Folder, database: string): Promise<void> {
  await writeText(path(folder), JSON.stringify(shape.parse({ database })));
}
