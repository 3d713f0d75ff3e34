import { z } from 'zod';
import { OPERATIONS } from '@/app/operations';
import { database } from '@/platform/database';
import { perform, problemOf } from '@/platform/operation';
import { respond } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

const request = z.object({ id: z.uuid(), input: z.unknown() });

export async function POST(
  http: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  const operation = OPERATIONS.get(name);
  if (operation === undefined) {
    return respond({
      ok: false,
      problem: {
        code: 'not-found',
        message: 'There is no such act. Reload the page: Jiten may have been updated.',
      },
    });
  }
  const body = request.safeParse(await http.json().catch(() => null));
  if (!body.success)
    return respond({
      ok: false,
      problem: { code: 'invalid', message: 'The request could not be read.' },
    });
  try {
    return respond(
      await perform(
        database(),
        operation,
        { id: body.data.id, input: body.data.input },
        await currentPerson(),
      ),
    );
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, name) });
  }
}
