import { z } from 'zod';
import { transact } from '@/data/database';
import { findOperation, keepOperation } from '@/data/operations';
import { importOptions, matchPictures, planImport, writeImport } from '@/features/exchange/server';
import { may } from '@/features/people';
import { database } from '@/platform/database';
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

async function readForm(http: Request) {
  const form = await http.formData().catch(() => null);
  const file = form?.get('file');
  if (!(file instanceof File)) throw refuse('The file did not arrive whole. Send it again.');
  const options = importOptions.safeParse(parse(String(form?.get('options') ?? '{}')));
  if (!options.success)
    throw refuse('The answers about the file could not be read. Choose them again.');
  return {
    bytes: new Uint8Array(await file.arrayBuffer()),
    name: file.name,
    options: options.data,
    id: String(form?.get('id') ?? ''),
  };
}

/** plan: the dry run. commit: all or nothing. pictures: which piece each file name belongs to. */
export function POST(
  http: Request,
  { params }: { params: Promise<{ step: string }> },
): Promise<Response> {
  return answering('import', async () => {
    const { step } = await params;
    const person = await requireTechnician();
    const db = database();
    if (step === 'pictures') {
      const body = z
        .object({ files: z.array(z.string().max(400)).max(5000) })
        .safeParse(await http.json().catch(() => null));
      if (!body.success) throw refuse('At most 5000 pictures at a time.');
      return matchPictures(db, body.data.files);
    }
    const { bytes, name, options, id } = await readForm(http);
    if (step === 'plan') return planImport(db, bytes, options);
    if (step !== 'commit' || !z.uuid().safeParse(id).success) throw notFound('This step');
    return transact(db, async (trx) => {
      const done = await findOperation(trx, id);
      if (done !== undefined) return done.result;
      const plan = await planImport(trx, bytes, options);
      if (plan.open.length > 0) throw refuse(plan.open[0] as string);
      const result = await writeImport(trx, plan, options, name, person.id, new Date());
      await keepOperation(trx, { id, name: 'import', personId: person.id, result }, new Date());
      return result;
    });
  });
}
