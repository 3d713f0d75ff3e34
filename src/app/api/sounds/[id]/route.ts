import { soundAnswer, soundFor } from '@/features/sounds/server';
import { database } from '@/platform/database';
import { pictureStore } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import { found } from '@/platform/refusal';
import { respond } from '@/platform/respond';
import { requireSignedIn } from '@/platform/viewer';

/** A spoken note as it was recorded. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  try {
    const person = await requireSignedIn();
    const sound = await soundFor(database(), pictureStore(), person, (await params).id);
    return soundAnswer(found(sound ?? undefined, 'This spoken note'), request.headers.get('range'));
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'sound') });
  }
}
