/** Reads what was sent, and never more of it than was asked for. */
import pLimit from 'p-limit';
import busboy from 'busboy';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';
import { Refusal, refuse } from './refusal';

const MB = 1024 ** 2;
/** What an act may say; more only where its contract asks for it. */
export const ACT_BYTES = MB;

const spoken = (bytes: number): string =>
  bytes >= MB ? `${Math.floor(bytes / MB)} MB` : `${Math.ceil(bytes / 1024)} kB`;

export const tooLarge = (most: number): Refusal =>
  new Refusal({
    code: 'too-large',
    message: `That is too much at once: at most ${spoken(most)} can be taken.`,
  });

/** What has been announced as too much is not read at all. */
function announced(http: Request, most: number): void {
  if (Number(http.headers.get('content-length') ?? 0) > most) throw tooLarge(most);
}

/** Every byte of a body of at most so many. Errors: Refusal, as soon as there are more. */
export async function readBytes(http: Request, most: number): Promise<Buffer> {
  announced(http, most);
  if (http.body === null) return Buffer.alloc(0);
  const reader = http.body.getReader();
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return Buffer.concat(parts, bytes);
    bytes += value.length;
    if (bytes > most) {
      // Not waited for: whoever sends goes on sending.
      void reader.cancel().catch(() => undefined);
      throw tooLarge(most);
    }
    parts.push(value);
  }
}

const isJson = (http: Request): boolean =>
  /^application\/(?:[\w.+-]+\+)?json\b/i.test(http.headers.get('content-type') ?? '');

/**
 * What a JSON body says; undefined for what is none.
 * Errors: Refusal for another kind of body (a form of another site can send those), or too much.
 */
export async function readJson(http: Request, most = ACT_BYTES): Promise<unknown> {
  if (!isJson(http)) throw refuse('Send JSON, with “content-type: application/json”.');
  const bytes = await readBytes(http, most);
  try {
    return JSON.parse(bytes.toString('utf8'));
  } catch {
    return undefined;
  }
}

export type ReadForm = {
  fields: Record<string, string>;
  file: { name: string; bytes: Buffer } | null;
};

export const isForm = (http: Request): boolean =>
  /^multipart\/form-data\b/i.test(http.headers.get('content-type') ?? '');

/** Files that are being read and worked on at one time; the others wait before they are read. */
const FILES_AT_ONCE = 4;
const inLine = pLimit(FILES_AT_ONCE);

/** Reads a file with what is said about it, and works with both; few at a time, so that memory holds. */
export const withForm = <T>(
  http: Request,
  most: { file: number; fields: number },
  work: (form: ReadForm) => Promise<T>,
): Promise<T> => inLine(async () => work(await readForm(http, most)));

const NOT_WHOLE = 'The file did not arrive whole. Send it again.';

async function readForm(http: Request, most: { file: number; fields: number }): Promise<ReadForm> {
  announced(http, most.file + most.fields);
  if (!isForm(http) || http.body === null) throw refuse(NOT_WHOLE);
  const fields: ReadForm['fields'] = {};
  let file: ReadForm['file'] = null;
  let over: number | null = null;
  let parser: busboy.Busboy;
  try {
    parser = busboy({
      headers: { 'content-type': http.headers.get('content-type')! },
      defParamCharset: 'utf8',
      limits: { files: 1, fields: 20, parts: 21, fileSize: most.file + 1, fieldSize: most.fields },
    });
  } catch {
    throw refuse(NOT_WHOLE);
  }
  parser.on('field', (name, value, { valueTruncated }) => {
    if (valueTruncated) over = most.fields;
    fields[name] = value;
  });
  parser.on('file', (_, content, { filename }) => {
    const parts: Buffer[] = [];
    content.on('data', (part: Buffer) => parts.push(part));
    // The parser's error is told once, below; of its own a part would bring the process down.
    content.on('error', () => undefined);
    content.on('limit', () => {
      over = most.file;
      parts.length = 0;
      parser.destroy(new Error('too large'));
    });
    content.on('end', () => {
      file = { name: filename ?? '', bytes: Buffer.concat(parts) };
    });
  });
  // What belongs to no part of a form is not endless either.
  async function* counted(chunks: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
    let bytes = 0;
    for await (const chunk of chunks) {
      bytes += chunk.length;
      if (bytes > most.file + 2 * most.fields + 100_000) {
        over ??= most.file;
        throw new Error('too large');
      }
      yield chunk;
    }
  }
  try {
    await pipeline(Readable.fromWeb(http.body as ReadableStream), counted, parser);
  } catch {
    if (over !== null) throw tooLarge(over);
    throw refuse(NOT_WHOLE);
  }
  if (over !== null) throw tooLarge(over);
  return { fields, file };
}
