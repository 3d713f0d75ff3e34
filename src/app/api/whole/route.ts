import { Readable } from 'node:stream';
import type { ReadableStream as NodeReadableStream } from 'node:stream/web';
import { bringWhole, wholeBytes } from '@/features/exchange/server';
import { database } from '@/platform/database';
import { pictureFolder, pictureStore } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import { fromHere } from '@/platform/origin';
import { refuse } from '@/platform/refusal';
import { answering, respond, streamed } from '@/platform/respond';
import { requireDeed } from '../require';

export const dynamic = 'force-dynamic';

/** The whole studio, records and pictures, as one file. */
export async function GET(): Promise<Response> {
  try {
    await requireDeed('run the studio');
    const now = new Date();
    const name = `whole-studio-${now.toISOString().slice(0, 10)}.tar`;
    return streamed(wholeBytes(database(), pictureFolder(), now), 'application/x-tar', name);
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'whole studio') });
  }
}

/** A whole studio comes into this one, which is empty. */
export function POST(http: Request): Promise<Response> {
  return answering('whole studio', async () => {
    fromHere(http.headers);
    await requireDeed('run the studio');
    if (http.headers.get('content-type') !== 'application/x-tar' || http.body === null)
      throw refuse('Send a whole studio, a file that ends in .tar.');
    const body = Readable.fromWeb(http.body as NodeReadableStream<Uint8Array>);
    return bringWhole(database(), pictureStore(), body);
  });
}
