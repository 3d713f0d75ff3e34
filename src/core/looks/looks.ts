import type { Meeting, Opacity, Surface } from '../signs';
import type { Point } from './points';

/** A fault or an effect as it was seen on a piece, and where, if somebody showed it. */
export type SeenSign = {
  sign: string;
  severity: 1 | 2 | 3;
  wanted: boolean;
  points?: Point[];
};

/** What can be said of how a piece came out; null where nothing was said. */
export type Looks = {
  surface: Surface | null;
  opacity: Opacity | null;
  colour: string | null;
  movementMm: number | null;
  met: Meeting | null;
  rating: number | null;
  /** How often it was heard to ping in a minute: the glaze cracks as it is listened to. */
  pings?: number | null;
  signs: SeenSign[];
  /** Signs of before that were looked for and are not there any more. */
  healed?: string[];
};

/** Where somebody stood when they looked. */
export const PLACES = ['kiln', 'desk'] as const;
export type Place = (typeof PLACES)[number];

/** One look: what somebody wrote at one moment of a piece (`zone: null`) or of one of its zones. */
export type Seen = Looks & { zone: string | null; seenAt: string; by: string };

const DAY = 86_400_000;
/** Within this time the same person puts right what they said; after it they look again. */
const SAME_SITTING = DAY;
/** Looks this close together are of one state of the piece; later ones may see it changed. */
export const ONE_STATE = 3 * DAY;

/** A moment that is given, in milliseconds; no clock is asked. */
const time = (look: { seenAt: string | Date }): number =>
  // eslint-disable-next-line no-restricted-globals -- reads a text, asks no clock
  new Date(look.seenAt).getTime();

/**
 * What somebody who writes again is taken to do unless they say otherwise: put right what they
 * themselves said within a day, or look once more. Common sense of the trade, no source.
 */
export const meansCorrection = (
  before: { by: string; seenAt: string | Date },
  now: { by: string; seenAt: string | Date },
): boolean => before.by === now.by && Math.abs(time(now) - time(before)) < SAME_SITTING;

/** A moment as a device tells it, held between the opening and its arrival: clocks are wrong. */
export function believedMoment(told: Date | null, opened: Date | null, arrived: Date): Date {
  if (told === null || told > arrived) return arrived;
  return opened !== null && told < opened ? opened : told;
}

/** Oldest first; looks of one moment in a fixed order. */
export const inOrder = <L extends { seenAt: string | Date }>(looks: readonly L[]): L[] =>
  [...looks].sort((a, b) => time(a) - time(b));

/** Did this look go over the surface? A note or a measured run alone says nothing of faults. */
export const wentOver = (look: Omit<Looks, 'movementMm'>): boolean =>
  look.signs.length > 0 ||
  (look.healed?.length ?? 0) > 0 ||
  [look.surface, look.opacity, look.colour, look.met, look.rating].some((said) => said !== null);

const FACTS = ['surface', 'opacity', 'colour', 'movementMm', 'met', 'rating', 'pings'] as const;

/** A look that says nothing. */
export const NOTHING: Looks = {
  surface: null,
  opacity: null,
  colour: null,
  movementMm: null,
  met: null,
  rating: null,
  signs: [],
};

/** One look laid over what was known: what it says stands, what it is silent about stays. */
function layOver(before: Looks, look: Looks, signs: SeenSign[]): Looks {
  const said = { ...before, signs };
  for (const fact of FACTS) if (look[fact] != null) Object.assign(said, { [fact]: look[fact] });
  return said;
}

/** Looks of one and the same place, oldest first, to what it is now: a sign not found any more has ended. */
const chain = (looks: readonly Looks[]): Looks =>
  looks.reduce<Looks>((now, look) => layOver(now, look, wentOver(look) ? look.signs : now.signs), NOTHING);

/**
 * What was said of a part, over what was said of the whole: later words about the same sign replace earlier
 * ones.
 */
export function joinSigns(lists: readonly (readonly SeenSign[])[]): SeenSign[] {
  const bySign = new Map<string, SeenSign>();
  for (const sign of lists.flat()) bySign.set(sign.sign, sign);
  return [...bySign.values()].sort((a, b) => (a.sign < b.sign ? -1 : 1));
}

/**
 * Looks by the part they are of, oldest first: the whole before its parts, these as they were first spoken
 * of.
 */
function byPart(sorted: readonly Seen[]): Seen[][] {
  const parts = new Map<string | null, Seen[]>([[null, []]]);
  for (const look of sorted) {
    const own = parts.get(look.zone);
    if (own === undefined) parts.set(look.zone, [look]);
    else own.push(look);
  }
  return [...parts.values()].filter((own) => own.length > 0);
}

/**
 * Cuts the looks at one part into states: other people's words soon after are of the same state;
 * who looks again themselves, or anybody after three days, may see it changed. Common sense of
 * the trade, no source.
 */
export function statesOf<L extends { by: string; seenAt: string | Date }>(looks: readonly L[]): L[][] {
  const states: L[][] = [];
  for (const look of inOrder(looks)) {
    const state = states.at(-1);
    const same =
      state !== undefined &&
      state.every(({ by }) => by !== look.by) &&
      time(look) - time(state[0]!) < ONE_STATE;
    if (same) state.push(look);
    else states.push([look]);
  }
  return states;
}

/** What is known of each part, overlaid: words of a part lie over those of the whole piece. */
function overlay(parts: readonly Looks[]): Looks {
  return {
    ...parts.reduce((now, part) => layOver(now, part, []), NOTHING),
    signs: joinSigns(parts.map(({ signs }) => signs)),
  };
}

/** How a place changed since it came out. */
export type Changes = {
  /** Signs it has now and nobody found on it when it came out. */
  later: string[];
  /** Signs it came out with and has no more. */
  gone: string[];
  /** The surface it came out with, where it is another now. */
  surfaceWas: Surface | null;
};

/** Several looks at one place as one: what it is now, what it came out as, and what changed between. */
export type State = { now: Looks; cameOut: Looks; changes: Changes; seenAt: string };

const names = ({ signs }: Looks): string[] => signs.map(({ sign }) => sign);

/**
 * What looks at one place say together; null when there are none. The latest decides what it is
 * now, the first what it came out as; what a look is silent about stays as it was. Looks of other
 * parts that speak for this place lie over those of the whole piece.
 */
export function stateOf(looks: readonly Seen[]): State | null {
  const sorted = inOrder(looks);
  const last = sorted.at(-1);
  if (last === undefined) return null;
  const parts = byPart(sorted);
  const firsts = parts.map((own) => statesOf(own)[0]!);
  const now = overlay(parts.map(chain));
  // Where the first person was silent, the others who saw the same state are heard.
  const cameOut = overlay(firsts.map((own) => chain([...own].reverse())));
  const then = overlay(firsts.map(chain));
  const found = new Set(firsts.flat().flatMap(names));
  return {
    now,
    cameOut,
    seenAt: last.seenAt,
    changes: {
      later: names(now).filter((sign) => !found.has(sign)),
      gone: names(then).filter((sign) => !names(now).includes(sign)),
      surfaceWas: then.surface === now.surface ? null : then.surface,
    },
  };
}

/** Has anything changed at all? */
export const changed = ({ later, gone, surfaceWas }: Changes): boolean =>
  later.length > 0 || gone.length > 0 || surfaceWas !== null;
