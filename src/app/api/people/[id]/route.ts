import { recordOfPerson } from '@/data/leaving';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import { found, notFound } from '@/platform/refusal';
import { respond } from '@/platform/respond';
import { requireDeed } from '../../require';

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** What is on record of a person, to be handed to them. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  try {
    await requireDeed('run the studio');
    const { id } = await params;
    if (!UUID.test(id)) throw notFound('This person');
    const record = found(await recordOfPerson(database(), id, new Date()), 'This person');
    return new Response(JSON.stringify(record, null, 1), {
      headers: {
        'content-type': 'application/json',
        'content-disposition': `attachment; filename="on-record-of-a-person.json"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'record of a person') });
  }
}
