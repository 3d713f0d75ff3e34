import { OPERATIONS } from '@/app/operations';
import { database } from '@/platform/database';
import { perform } from '@/platform/operation';
import { readRequest } from '@/platform/request';
import { notFound } from '@/platform/refusal';
import { answering, respond } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

/** Every write comes in here: JSON, or a form with `id`, `input` and a `file`. */
export async function POST(
  http: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  const operation = OPERATIONS.get(name);
  if (operation === undefined) return answering(name, () => Promise.reject(notFound('This act')));
  const read = await readRequest(http, operation.contract.fileBytes ?? 0);
  if (!read.ok) return respond(read);
  try {
    return respond(await perform(database(), operation, read.data, await currentPerson()));
  } catch (error) {
    return answering(name, () => Promise.reject(error));
  }
}
