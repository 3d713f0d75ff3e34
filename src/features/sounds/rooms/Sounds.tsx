import type { Sound } from '@/data/sounds';
import { moment } from '@/ui/time';
import { SpokenNote } from '../components/SpokenNote';

/** Spoken notes in the order of speaking; `of`: says also of what each is. */
export function Sounds({
  sounds,
  timeZone,
  writes,
  of = false,
}: {
  sounds: readonly Sound[];
  timeZone: string;
  writes: boolean;
  of?: boolean;
}) {
  return sounds.map((one) => (
    <SpokenNote
      // Words that came meanwhile are another note to whoever types.
      key={`${one.id}/${one.words ?? ''}`}
      writes={writes}
      one={{
        id: one.id,
        lengthS: one.lengthS,
        what: [
          ...(of ? [one.pieceCode ?? one.firing, one.pieceCode && one.firing] : []),
          one.spokenByName,
          moment(one.spokenAt, timeZone),
        ]
          .filter(Boolean)
          .join(', '),
        words: one.words,
        wordsBy: one.wordsByName,
      }}
    />
  ));
}
