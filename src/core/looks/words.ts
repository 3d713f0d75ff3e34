import { signOf } from '../signs';
import { count, formatLength, inUnits, type Units } from '../units';
import { changed, wentOver, type Changes, type Looks, type Place } from './looks';
import type { Voices } from './voices';

const signName = (sign: string): string => (signOf(sign)?.name ?? sign).toLowerCase();

const list = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** What a look says of the surface, in a few words: "gloss, opaque, ran 4 mm, 4 of 5". */
export const lookWords = (look: Omit<Looks, 'signs'> & { verdict?: string | null }, units: Units): string =>
  [
    look.surface,
    look.opacity,
    look.colour,
    look.met === null ? null : `coats ${look.met}`,
    look.movementMm === null ? null : `ran ${formatLength(look.movementMm, units)}`,
    look.rating === null ? null : `${look.rating} of 5`,
    look.pings == null ? null : count(look.pings, 'ping') + ' a minute',
    look.verdict ?? null,
  ]
    .filter((fact) => fact !== null)
    .join(', ');

const DAY = 86_400_000;

/** When and where somebody looked: "at the kiln", "at the desk, 5 weeks after the opening". */
export function whenWords(seenAt: Date, opened: Date | null, place: Place): string {
  const where = place === 'kiln' ? 'at the kiln' : 'at the desk';
  const days = opened === null ? 0 : Math.floor((seenAt.getTime() - opened.getTime()) / DAY);
  if (days < 1) return where;
  const after =
    days < 14
      ? count(days, 'day')
      : days < 60
        ? count(Math.round(days / 7), 'week')
        : count(Math.round(days / 30.44), 'month');
  return `${where}, ${after} after the opening`;
}

/** How a place changed since it came out: "crazing came later, pinholes are gone, came out satin". */
export function changesWords(changes: Changes): string {
  if (!changed(changes)) return '';
  const { later, gone, surfaceWas } = changes;
  return [
    later.length > 0 ? `${list(later.map(signName))} came later` : null,
    gone.length > 0 ? `${list(gone.map(signName))} gone since` : null,
    surfaceWas === null ? null : `came out ${surfaceWas}`,
  ]
    .filter((part) => part !== null)
    .join(', ');
}

const sideWords = (about: string, value: string, units: Units): string =>
  signOf(about) !== undefined
    ? `${signName(about)} ${value}`
    : about === 'run'
      ? `ran ${inUnits(value, units)}`
      : about === 'coats'
        ? `coats ${value}`
        : value;

/**
 * Agreement and disagreement of people, as sentences: "Iben and Noor agree: gloss."
 * @param where the part that they looked at, said first: "inside: Iben and Noor agree: gloss."; '' for the
 * whole piece
 */
export function voicesWords(
  { people, agree, differ }: Voices,
  nameOf: (person: string) => string,
  units: Units,
  where = '',
): string[] {
  const at = where === '' ? '' : `${where}: `;
  const names = list(people.map(nameOf));
  const said = agree.map(({ about, value }) => sideWords(about, value, units));
  return [
    ...(said.length > 0 ? [`${at}${names} agree: ${said.join(', ')}.`] : []),
    ...differ.map(
      ({ about, sides }) =>
        `${at}${at === '' ? 'They' : 'they'} differ: ${sides
          .map((side) => `${sideWords(about, side.value, units)} (${list(side.people.map(nameOf))})`)
          .join(', ')}.`,
    ),
  ];
}

/**
 * What a tile shows of the sign that was asked about: "crazed (slight)", "not crazed", and "sound" where
 * no fault at all was found. Without a sign that was asked about, its surface. Null where nobody went over
 * it.
 */
export function shownWords(look: Looks | null, about: string | null): string | null {
  if (look === null || !wentOver(look)) return null;
  if (about === null) return look.surface;
  const is = signOf(about)?.is ?? about;
  const found = look.signs.find(({ sign }) => sign === about);
  if (found !== undefined) return found.severity === 1 ? `${is}, slight` : is;
  return look.signs.some(({ wanted }) => !wanted) ? `not ${is}` : 'sound';
}

/**
 * The words that a studio uses most, from what was written so often, set apart by commas; the commonest
 * first. What only one look says is nobody's habit.
 */
export function usualWords(texts: readonly { text: string; n: number }[], most: number): string[] {
  const counts = new Map<string, number>();
  for (const { text, n } of texts)
    for (const word of new Set(
      text
        .toLowerCase()
        .split(/[,;]/)
        .map((one) => one.trim()),
    ))
      if (word !== '' && word.length <= 24) counts.set(word, (counts.get(word) ?? 0) + n);
  return [...counts]
    .filter(([, n]) => n > 1)
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, most)
    .map(([word]) => word);
}
