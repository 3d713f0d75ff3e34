import { zipSync, strToU8 } from 'fflate';
import Papa from 'papaparse';
import { EXPORTED } from '@/data/export';
import { readStudio } from '@/data/studio';
import { documentJsonSchema, exportDocument, exportLines } from '@/features/exchange/server';
import { may } from '@/features/people';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import { Refusal, notFound } from '@/platform/refusal';
import { respond } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

const download = (body: BodyInit, type: string, name: string): Response =>
  new Response(body, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
  });

export async function GET(
  _: Request,
  { params }: { params: Promise<{ file: string }> },
): Promise<Response> {
  try {
    const { file } = await params;
    const person = await currentPerson();
    if (person === null) throw new Refusal({ code: 'not-signed-in', message: 'Sign in first.' });
    if (!may(person, 'run the studio'))
      throw new Refusal({
        code: 'not-allowed',
        message: 'Taking everything out is for technicians.',
      });
    const studio = await readStudio(database());
    if (studio === null) throw notFound('The studio');
    const now = new Date();
    const day = now.toISOString().slice(0, 10);
    if (file === 'schema')
      return download(
        JSON.stringify(documentJsonSchema(), null, 2),
        'application/schema+json',
        'jiten-studio.schema.json',
      );
    if (file === 'json')
      return download(
        JSON.stringify(await exportDocument(database(), studio, now)),
        'application/json',
        `studio-${day}.json`,
      );
    if (file === 'csv') {
      const files: Record<string, Uint8Array> = {};
      for (const table of EXPORTED)
        files[`${table}.csv`] = strToU8(
          `\ufeff${Papa.unparse(await exportLines(database(), table))}`,
        );
      return download(new Uint8Array(zipSync(files)), 'application/zip', `studio-${day}-csv.zip`);
    }
    throw notFound('This export');
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'export') });
  }
}
