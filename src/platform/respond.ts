import type { Answer } from './operation';
import { log } from './log';
import { problemOf } from './operation';
import type { Problem } from './refusal';

export const STATUS: Record<Problem['code'], number> = {
  invalid: 422,
  'not-signed-in': 401,
  'other-person': 401,
  'not-allowed': 403,
  'not-found': 404,
  conflict: 409,
  arrived: 409,
  'too-many': 429,
  'too-large': 413,
  'no-room': 507,
  'database-away': 503,
  failed: 500,
};

/** An answer as a response, with the status that fits its problem. */
export function respond(answer: Answer): Response {
  return Response.json(answer, { status: answer.ok ? 200 : STATUS[answer.problem.code] });
}

/** Runs a handler; whatever is thrown becomes an answer a person can act on. */
export async function answering(where: string, work: () => Promise<unknown>): Promise<Response> {
  try {
    return respond({ ok: true, data: (await work()) ?? null });
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, where) });
  }
}

/**
 * A file that leaves while it is made. A failure in the middle cuts the connection, so that a
 * download that is not whole is never taken for one.
 */
export function streamed(bytes: AsyncGenerator<Uint8Array>, type: string, name: string): Response {
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      try {
        const { done, value } = await bytes.next();
        if (done) controller.close();
        else controller.enqueue(value);
      } catch (error) {
        log.error({ name, error: String(error) }, 'download cut off');
        controller.error(error);
      }
    },
    cancel: () => bytes.return(undefined).then(() => undefined),
  });
  return new Response(body, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
  });
}
