import { OPERATIONS } from '@/app/operations';
import { database } from '@/platform/database';
import { mayTry, perform } from '@/platform/operation';
import { fromHere } from '@/platform/origin';
import { withRequest } from '@/platform/request';
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
  try {
    if (operation === undefined) throw notFound('This act');
    fromHere(http.headers);
    // Who is there is asked before anything of what was sent is read.
    const person = await currentPerson();
    const refused = mayTry(operation, person);
    if (refused !== null) return respond({ ok: false, problem: refused });
    return respond(
      await withRequest(http, operation.contract, (request) =>
        perform(database(), operation, request, person),
      ),
    );
  } catch (error) {
    return answering(name, () => Promise.reject(error));
  }
}
