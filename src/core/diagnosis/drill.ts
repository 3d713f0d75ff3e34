/** The drill: pictures of the studio’s own pieces, each with look-alikes to choose among. */
import { signOf } from '../signs';
import { COMPLAINTS, complaintOf, complaintsOf, type Complaint } from './complaints';
import { causeOf, CAUSES } from './knowledge';

/**
 * A picture with what is on record of what it shows: one sign alone, so that nobody can be right with
 * another.
 */
export type DrillPicture = { sha: string; code: string; sign: string };
/** A case that was closed with a cause, and its picture. */
export type DrillCase = { sha: string; code: string; complaint: string; causes: readonly string[] };

export type Choice = { id: string; name: string };
export type DrillQuestion = {
  kind: 'what' | 'why';
  sha: string;
  code: string;
  asked: string;
  choices: Choice[];
  /** Those of the choices that are right. */
  right: string[];
  /** Said after the answer: what tells it, or how it comes about. */
  reason: string;
};

/** Numbers from 0 up to 1, the same for the same seed. */
export type Chance = () => number;

function shuffled<T>(list: readonly T[], chance: Chance): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
  return all;
}

const CHOICES = 4;

/** As it is on record: an effect that somebody wanted is no complaint. */
const nameOf = ({ name, sign }: Complaint): string => signOf(sign ?? '')?.name ?? name;

/**
 * Look-alikes of a complaint: of its own group first; what is on record as the same sign is no rival to it.
 */
function alike(id: string, chance: Chance): Complaint[] {
  const own = complaintOf(id)!;
  const others = COMPLAINTS.filter((one) => one.sign !== null && one.sign !== own.sign);
  const near = shuffled(
    others.filter(({ group }) => group === own.group),
    chance,
  );
  const far = shuffled(
    others.filter(({ group }) => group !== own.group),
    chance,
  );
  const signs = new Set<string>();
  const apart = [...near, ...far].filter(({ sign }) => !signs.has(sign!) && signs.add(sign!) !== undefined);
  return [own, ...apart.slice(0, CHOICES - 1)];
}

function whatIsThis({ sha, code, sign }: DrillPicture, chance: Chance): DrillQuestion[] {
  // A sign that stands for several complaints has no one right name.
  const [own, ...more] = complaintsOf(sign);
  if (own === undefined || more.length > 0) return [];
  return [
    {
      kind: 'what',
      sha,
      code,
      asked: 'What is this?',
      choices: shuffled(alike(own.id, chance), chance).map((one) => ({
        id: one.id,
        name: nameOf(one),
      })),
      right: [own.id],
      reason: `${nameOf(own)}: ${own.look}.`,
    },
  ];
}

function whatWasIt({ sha, code, complaint, causes }: DrillCase, chance: Chance): DrillQuestion[] {
  const known = causes.flatMap((id) => causeOf(id) ?? []);
  if (known.length === 0) return [];
  const rivals = CAUSES.filter(({ id, shares }) => (shares[complaint] ?? 0) > 0 && !causes.includes(id))
    .sort((a, b) => b.shares[complaint]! - a.shares[complaint]! || (a.id < b.id ? -1 : 1))
    .slice(0, CHOICES - 1);
  if (rivals.length === 0) return [];
  return [
    {
      kind: 'why',
      sha,
      code,
      asked: `${complaintOf(complaint)?.name ?? complaint}: what was the cause?`,
      choices: shuffled([known[0]!, ...rivals], chance).map(({ id, name }) => ({ id, name })),
      right: known.map(({ id }) => id),
      reason: known.map(({ name, how }) => `${name}. ${how}`).join(' '),
    },
  ];
}

/**
 * A drill of at most so many questions: what is this, and after them what was the cause. Signs take turns, so
 * that the commonest does not fill it.
 */
export function drillOf(
  pictures: readonly DrillPicture[],
  cases: readonly DrillCase[],
  chance: Chance,
  most = 10,
): DrillQuestion[] {
  const bySign = new Map<string, DrillPicture[]>();
  for (const one of shuffled(pictures, chance)) bySign.set(one.sign, [...(bySign.get(one.sign) ?? []), one]);
  const turns = [...bySign.values()];
  const inTurn = Array.from({ length: Math.max(0, ...turns.map(({ length }) => length)) }, (_, i) =>
    turns.flatMap((list) => list[i] ?? []),
  ).flat();
  const what = inTurn.flatMap((one) => whatIsThis(one, chance));
  const why = shuffled(cases, chance).flatMap((one) => whatWasIt(one, chance));
  const causes = Math.min(why.length, Math.floor(most * 0.3));
  const first = what.slice(0, most - causes);
  return [...first, ...why.slice(0, Math.max(causes, most - first.length))].slice(0, most);
}
