import { z } from 'zod';
import type { Answer, Upload } from './operation';

const shape = z.object({ id: z.uuid(), input: z.unknown() });

/** What a form holds besides its file. */
const OVERHEAD_BYTES = 1_000_000;

export type ActRequest = { id: string; input: unknown; file: Upload | null };

const refused = (message: string): Answer<ActRequest> => ({
  ok: false,
  problem: { code: 'invalid', message },
});

/** Reads the request of an operation; a body larger than its file may be is not read at all. */
export async function readRequest(http: Request, fileBytes: number): Promise<Answer<ActRequest>> {
  const isForm = http.headers.get('content-type')?.startsWith('multipart/form-data') ?? false;
  if (!isForm) {
    const body = shape.safeParse(await http.json().catch(() => null));
    if (!body.success) return refused('The request could not be read.');
    return { ok: true, data: { id: body.data.id, input: body.data.input, file: null } };
  }
  if (Number(http.headers.get('content-length') ?? 0) > fileBytes + OVERHEAD_BYTES)
    return refused(`The file is too large: at most ${fileBytes / 1048576} MB can be taken.`);
  const form = await http.formData().catch(() => null);
  const file = form?.get('file');
  const body = shape.safeParse({ id: form?.get('id'), input: parsed(form?.get('input')) });
  if (!body.success || !(file instanceof File))
    return refused('The file did not arrive whole. Send it again.');
  const bytes = Buffer.from(await file.arrayBuffer());
  return {
    ok: true,
    data: { id: body.data.id, input: body.data.input, file: { name: file.name, bytes } },
  };
}

function parsed(text: unknown): unknown {
  try {
    return JSON.parse(String(text));
  } catch {
    return undefined;
  }
}
