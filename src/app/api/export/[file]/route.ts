import { readStudio } from '@/data/studio';
import { csvZipBytes, documentJsonSchema, jsonBytes } from '@/features/exchange/server';
import { may } from '@/features/people';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import { Refusal, found, notFound } from '@/platform/refusal';
import { respond, streamed } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

/** Everything out: json and csv leave while they are read, schema says what they look like. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  try {
    const { file } = await params;
    const person = await currentPerson();
    if (person === null) throw new Refusal({ code: 'not-signed-in', message: 'Sign in first.' });
    if (!may(person, 'run the studio'))
      throw new Refusal({
        code: 'not-allowed',
        message: 'Taking everything out is for technicians.',
      });
    const db = database();
    found(await readStudio(db), 'The studio');
    const now = new Date();
    const day = now.toISOString().slice(0, 10);
    switch (file) {
      case 'schema':
        return new Response(JSON.stringify(await documentJsonSchema(db), null, 2), {
          headers: {
            'content-type': 'application/schema+json',
            'content-disposition': 'attachment; filename="jiten-studio.schema.json"',
          },
        });
      case 'json':
        return streamed(jsonBytes(db, now), 'application/json', `studio-${day}.json`);
      case 'csv':
        return streamed(csvZipBytes(db), 'application/zip', `studio-${day}-csv.zip`);
      default:
        throw notFound('This export');
    }
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'export') });
  }
}
