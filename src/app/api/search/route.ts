import { search } from '@/features/shell/server';
import { database } from '@/platform/database';
import { Refusal } from '@/platform/refusal';
import { answering } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

export function GET(http: Request): Promise<Response> {
  return answering('search', async () => {
    const person = await currentPerson();
    if (person === null) throw new Refusal({ code: 'not-signed-in', message: 'Sign in first.' });
    return search(database(), person, new URL(http.url).searchParams.get('q') ?? '');
  });
}
