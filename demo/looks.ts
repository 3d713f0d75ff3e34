/** Looks of the demo studio, and those who looked again. */
import type { Source } from '../src/data/database';
import { appendObservations, type Observation } from '../src/data/observations';
import type { Random } from './random';

const DAY = 86_400_000;

/**
 * Iben writes up every opening. Some glossy tiles without a fault Tomasz looks at too on the next
 * day, once with other eyes; some he finds crazed a month later.
 */
export async function writeLooks(
  trx: Source,
  looks: readonly Observation[],
  people: { iben: string; tomasz: string },
  random: Random,
): Promise<void> {
  await appendObservations(trx, looks, people.iben, null);
  const clean = looks.filter(
    (look) => look.zone === null && look.surface === 'gloss' && look.signs.length === 0,
  );
  const again = clean.filter((_, i) => i % Math.max(1, Math.floor(clean.length / 12)) === 0);
  await appendObservations(
    trx,
    again.slice(0, 10).map((look, i): Observation => {
      const later = i % 2 === 0;
      const seenAt = new Date(look.seenAt.getTime() + (later ? 34 : 1) * DAY);
      return {
        ...look,
        id: random.id(seenAt),
        seenAt,
        place: 'desk',
        surface: i === 3 ? 'satin' : look.surface,
        signs: later ? [{ sign: 'crazing', severity: 2, wanted: false }] : [],
        note: later ? 'Rang dull on the shelf; crazed all over.' : '',
      };
    }),
    people.tomasz,
    null,
  );
}
