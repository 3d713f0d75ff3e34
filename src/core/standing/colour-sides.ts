/**
 * Which pieces of a cell are of one colour: by number where a grey told it, by the words people use
 * elsewhere.
 */
import { colourWord, deltaE, labWords, middleLab, type Lab } from '../colour';
import { plainColours } from './colours';
import { bySize, sidesBy, type PieceView, type Sides } from './sides';

type Measured = PieceView & { lab: Lab };

/**
 * Measured pieces in sides: none of a side is nearer than `apart` to one of another. O(n²) of a cell’s
 * measured pieces.
 */
function byNumber(views: readonly Measured[], apart: number): Measured[][] {
  // Many pieces of a cell crowd together: neighbours in lightness first, so that most meet their side at
  // once.
  const groups: Measured[][] = [];
  for (const view of [...views].sort((a, b) => a.lab[0] - b.lab[0])) {
    const near = groups.filter((group) => group.some((one) => deltaE(one.lab, view.lab) <= apart));
    for (const group of near) groups.splice(groups.indexOf(group), 1);
    groups.push([...near.flat(), view]);
  }
  return groups.sort((a, b) => b.length - a.length || a[0]!.lab[0] - b[0]!.lab[0]);
}

/** Words are one side as long as they share a plain colour with another’s of it. */
function byWords(views: readonly PieceView[]): { colours: Set<string>; views: PieceView[] }[] {
  const sets = sidesBy(views, ({ colour }) => {
    const plain = colour === null ? [] : plainColours(colour);
    return plain.length === 0 ? null : plain.join(' and ');
  });
  const groups: { colours: Set<string>; views: PieceView[] }[] = [];
  for (const [words, own] of bySize(sets)) {
    const colours = words.split(' and ');
    const near = groups.filter((group) => colours.some((one) => group.colours.has(one)));
    const joined = { colours: new Set(colours), views: [...own] };
    for (const group of near) {
      for (const one of group.colours) joined.colours.add(one);
      for (const view of group.views) joined.views.push(view);
      groups.splice(groups.indexOf(group), 1);
    }
    groups.push(joined);
  }
  return groups;
}

const numbered = (labs: readonly Lab[]): string => {
  const middle = middleLab(labs);
  return `${colourWord(middle)} (${labWords(middle)})`;
};

/**
 * The sides of a cell’s pieces by colour, named. Measured pieces go by number alone, whatever they are
 * called; one that was only described goes with the largest side that it shares a word with, and makes a side
 * of its own where it shares none.
 */
export function coloursApart(views: readonly PieceView[], apart: number): Sides {
  const measured = views.filter((view): view is Measured => view.lab != null);
  const worded = byWords(views.filter(({ lab }) => lab == null));
  if (measured.length === 0)
    return new Map(worded.map((group) => [[...group.colours].sort().join(' and '), group.views]));
  const sides = byNumber(measured, apart).map((own) => ({
    value: numbered(own.map(({ lab }) => lab)),
    colours: new Set(
      own.flatMap(({ lab, colour }) => [...plainColours(colourWord(lab)), ...plainColours(colour ?? '')]),
    ),
    views: own as PieceView[],
  }));
  const others: Sides = new Map();
  for (const group of worded) {
    const side = sides.find(({ colours }) => [...group.colours].some((one) => colours.has(one)));
    if (side === undefined) others.set([...group.colours].sort().join(' and '), group.views);
    else side.views.push(...group.views);
  }
  return new Map([...sides.map((side) => [side.value, side.views] as const), ...others]);
}
