import { database } from '@/platform/database';
import { readJson } from '@/platform/body';
import { answering } from '@/platform/respond';
import { ingestRequest } from '@/features/firelog/server';

/** A kiln's device sends its readings here, with its token; the same batch may come again. */
export function POST(http: Request): Promise<Response> {
  return answering('readings', async () =>
    ingestRequest(
      database(),
      /^Bearer (\S+)$/.exec(http.headers.get('authorization') ?? '')?.[1] ?? null,
      () => readJson(http),
    ),
  );
}
