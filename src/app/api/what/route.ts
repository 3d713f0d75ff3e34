import { whatIs, whatSchema } from '@/features/frames/server';
import { permit } from '@/features/people';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { refuse } from '@/platform/refusal';
import { requireSignedIn } from '@/platform/viewer';

/** Which of the studio’s cells come nearest to a colour. */
export function GET(http: Request): Promise<Response> {
  return answering('what', async () => {
    const person = await requireSignedIn();
    if (!permit('see the chart')(person)) throw refuse('You cannot see the chart.');
    const query = whatSchema.safeParse(Object.fromEntries(new URL(http.url).searchParams));
    if (!query.success) throw refuse('This is no colour that can be looked for.');
    return whatIs(database(), query.data);
  });
}
