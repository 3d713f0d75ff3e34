import { readStudio } from '@/data/studio';
import { database } from '@/platform/database';
import { problemOf } from '@/platform/operation';
import { respond } from '@/platform/respond';
import { requireSignedIn } from '@/platform/viewer';
import { asICalendar, firingCalendar } from '@/features/firings/server';

/** Firings to come as iCalendar with who is on duty, for whoever is signed in. */
export async function GET(): Promise<Response> {
  try {
    await requireSignedIn();
    const db = database();
    const [{ coming }, studio] = await Promise.all([firingCalendar(db), readStudio(db)]);
    return new Response(asICalendar(studio?.name ?? 'Studio', coming), {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'attachment; filename="firings.ics"',
      },
    });
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'calendar') });
  }
}
