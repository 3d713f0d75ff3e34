import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import mysql from 'mysql2/promise';
import { freshDatabase, openOn } from '../src/keeper/server';
import type { Database } from '../src/data/database';
import { SERVER } from './database';

/** The demo studio as it lay in the database before step 0010. */
export async function demoBefore0010(name: string): Promise<Database> {
  await freshDatabase(SERVER, name);
  const dump = new URL('demo-0009.sql.gz', import.meta.url);
  const connection = await mysql.createConnection({
    ...SERVER.address(name),
    multipleStatements: true,
  });
  await connection.query(gunzipSync(readFileSync(dump)).toString('utf8'));
  await connection.end();
  return openOn(SERVER, name);
}
