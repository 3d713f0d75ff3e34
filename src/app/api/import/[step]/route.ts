import { z } from 'zod';
import {
  importOptions,
  matchPictures,
  openingOrder,
  MAX_FILE_BYTES,
  planImport,
} from '@/features/exchange/server';
import { may } from '@/features/people';
import { database } from '@/platform/database';
import { readJson, withForm } from '@/platform/body';
import { fromHere } from '@/platform/origin';
import { Refusal, notFound, refuse } from '@/platform/refusal';
import { answering } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

async function requireTechnician() {
  const person = await currentPerson();
  if (person === null)
    throw new Refusal({
      code: 'not-signed-in',
      message: 'You are not signed in any more. Sign in again; the file is still chosen.',
    });
  if (!may(person, 'run the studio'))
    throw new Refusal({ code: 'not-allowed', message: 'Bringing records in is for technicians.' });
  return person;
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** What is said about a file: its columns, names and mended cells. */
const OPTION_BYTES = 4 * 1024 ** 2;

/** plan: the dry run of an import. pictures: which piece each file name belongs to. order: a
 * firing’s pieces as it was opened. Nothing is written. */
export function POST(http: Request, { params }: { params: Promise<{ step: string }> }): Promise<Response> {
  return answering('import', async () => {
    const { step } = await params;
    fromHere(http.headers);
    await requireTechnician();
    if (step === 'pictures') {
      const body = z
        .object({ files: z.array(z.string().max(400)).max(5000) })
        .safeParse(await readJson(http, OPTION_BYTES));
      if (!body.success) throw refuse('At most 5000 pictures at a time.');
      return matchPictures(database(), body.data.files);
    }
    if (step === 'order') {
      const body = z.object({ firingId: z.uuid() }).safeParse(await readJson(http, OPTION_BYTES));
      if (!body.success) throw refuse('Choose the firing again.');
      return openingOrder(database(), body.data.firingId);
    }
    if (step !== 'plan') throw notFound('This step');
    const most = { file: MAX_FILE_BYTES, fields: OPTION_BYTES };
    return withForm(http, most, ({ fields, file }) => {
      if (file === null) throw refuse('The file did not arrive whole. Send it again.');
      const options = importOptions.safeParse(parse(fields.options ?? '{}'));
      if (!options.success) throw refuse('The answers about the file could not be read. Choose them again.');
      return planImport(database(), file.bytes, options.data, file.name);
    });
  });
}
