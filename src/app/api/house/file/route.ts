import { askHouse, incomingBackup, packedBackup } from '@/features/house/server';
import { requireDeed } from '../../require';
import { problemOf } from '@/platform/operation';
import { fromHere } from '@/platform/origin';
import { refuse } from '@/platform/refusal';
import { answering, respond } from '@/platform/respond';

export const dynamic = 'force-dynamic';

/** A backup as one file, to be carried away. */
export async function GET(http: Request): Promise<Response> {
  try {
    await requireDeed('run the studio');
    const name = new URL(http.url).searchParams.get('name') ?? '';
    if (!/^[\w-]{1,80}$/.test(name)) throw refuse('There is no such backup.');
    return new Response(await packedBackup(name), {
      headers: {
        'content-type': 'application/x-tar',
        'content-disposition': `attachment; filename="jiten-${name}.tar"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'house file') });
  }
}

/** A backup in one file comes in and is put into the list; it is brought back only when that is asked for. */
export function POST(http: Request): Promise<Response> {
  return answering('house file', async () => {
    fromHere(http.headers);
    await requireDeed('run the studio');
    if (http.headers.get('content-type') !== 'application/x-tar' || http.body === null)
      throw refuse('Send a backup, a file that ends in .tar.');
    return askHouse({ act: 'take-in', file: await incomingBackup(http.body) });
  });
}
