import { z } from 'zod';
import { ACT_BYTES, isForm, readJson, withForm } from './body';
import type { Contract } from './contract';
import type { Upload } from './operation';
import { refuse } from './refusal';

const shape = z.object({
  id: z.uuid(),
  input: z.unknown(),
  /** For whom the page was made that sends it. */
  as: z.uuid().optional(),
});

export type ActRequest = z.output<typeof shape> & { file: Upload | null };

function parsed(text: string | undefined): unknown {
  try {
    return JSON.parse(text ?? '');
  } catch {
    return undefined;
  }
}

/**
 * Reads the request of an operation, no more of it than its contract takes, and works with it.
 * Errors: Refusal.
 */
export async function withRequest<T>(
  http: Request,
  { fileBytes, bodyBytes = ACT_BYTES }: Contract,
  work: (request: ActRequest) => Promise<T>,
): Promise<T> {
  if (fileBytes === undefined || !isForm(http)) {
    const body = shape.safeParse(await readJson(http, bodyBytes));
    if (!body.success) throw refuse('The request could not be read.');
    return work({ ...body.data, file: null });
  }
  return withForm(http, { file: fileBytes, fields: bodyBytes }, ({ fields, file }) => {
    const body = shape.safeParse({ ...fields, input: parsed(fields.input) });
    if (!body.success || file === null) throw refuse('The file did not arrive whole. Send it again.');
    return work({ ...body.data, file });
  });
}
