import type { z } from 'zod';
import { acceptInvitation, checkSignIn, firstRun, resetPassword } from '@/features/people/server';
import { database } from '@/platform/database';
import { readJson } from '@/platform/body';
import { fromHere } from '@/platform/origin';
import { peerAddress } from '@/platform/peer';
import { fieldMessages } from '@/platform/operation';
import { Refusal, notFound } from '@/platform/refusal';
import { answering } from '@/platform/respond';
import { deviceToken, signIn, signOut } from '@/platform/session';
import { acceptSchema, firstRunSchema, resetSchema, signInSchema } from '@/features/people/contracts';

function read<T extends z.ZodType>(schema: T, input: unknown): z.output<T> {
  const parsed = schema.safeParse(input);
  if (parsed.success) return parsed.data;
  const fields = fieldMessages(parsed.error);
  throw new Refusal({
    code: 'invalid',
    message: Object.values(fields)[0] ?? 'Something is missing.',
    fields,
  });
}

/** A name and a password are not long. */
const DOOR_BYTES = 20_000;

/** The ways in and out for somebody who has no session yet. */
export async function POST(
  http: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  const now = new Date();
  const db = database();
  return answering(`door ${name}`, async () => {
    fromHere(http.headers);
    const input = await readJson(http, DOOR_BYTES);
    switch (name) {
      case 'first-run':
        return signIn(db, await firstRun(db, read(firstRunSchema, input), now), now);
      case 'sign-in': {
        const person = await checkSignIn(db, read(signInSchema, input), {
          address: await peerAddress(),
          device: await deviceToken(),
        });
        return signIn(db, person, now);
      }
      case 'accept':
        return signIn(db, await acceptInvitation(db, read(acceptSchema, input), now), now);
      case 'reset':
        return signIn(db, await resetPassword(db, read(resetSchema, input), now), now);
      case 'sign-out':
        return signOut();
      default:
        throw notFound('This door');
    }
  });
}
