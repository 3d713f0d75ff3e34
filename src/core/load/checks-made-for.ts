/** Checks of a load against what its pieces are made for: heat, air, and whether there are any. */
import { compareCones, formatCone, formatConeRange, isCone, type ConeRange } from '../cones';
import type { Atmosphere } from '../signs';
import type { Finding, Inside, LoadFiring, LoadItem } from './check-terms';

const codes = (items: readonly LoadItem[]): string[] => items.map(({ code }) => code);

export const reduced = (atmosphere: Atmosphere): boolean => atmosphere.includes('reduction');

export function heat(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  const { targetCone } = firing;
  if (targetCone === null || !isCone(targetCone) || firing.kind === 'bisque') return [];
  const findings: Finding[] = [];
  const over = (range: ConeRange | null): boolean =>
    range !== null && compareCones(targetCone, range.high) > 0;
  const under = (range: ConeRange | null): boolean =>
    range !== null && compareCones(targetCone, range.low) < 0;
  const groups = new Map<string, { range: ConeRange; items: LoadItem[]; melts: boolean; body: boolean }>();
  for (const item of items)
    for (const [name, range, body] of [
      [item.body.name, item.body.range, true] as const,
      ...item.coatings.map((one) => [one.name, one.range, false] as const),
    ]) {
      if (range === null || (!over(range) && !under(range))) continue;
      const key = `${name}/${over(range)}`;
      const group = groups.get(key) ?? { range, items: [], melts: over(range), body };
      if (!group.items.includes(item)) group.items.push(item);
      groups.set(key, group);
    }
  for (const [key, group] of groups) {
    const name = key.slice(0, key.lastIndexOf('/'));
    findings.push({
      id: `cone:${key}`,
      level: group.melts ? 'stop' : 'look',
      title: `${name} is for cone ${formatConeRange(group.range)}`,
      reason: group.melts
        ? `At cone ${formatCone(targetCone)} ${group.body ? 'the clay may bloat, slump or melt onto the shelf' : 'it may run off the piece'}.`
        : `At cone ${formatCone(targetCone)} ${group.body ? 'it stays open and soft' : 'it may stay dry and unmelted'}.`,
      pieces: codes(group.items),
    });
  }
  return findings;
}

export function air(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  if (firing.atmosphere === 'unknown' || firing.kind === 'bisque') return [];
  const wrong = reduced(firing.atmosphere) ? 'oxidation only' : 'reduction only';
  const names = new Map<string, LoadItem[]>();
  for (const item of items)
    for (const one of [item.body, ...item.coatings])
      if ((one.traits as readonly string[]).includes(wrong))
        names.set(one.name, [...(names.get(one.name) ?? []), item]);
  return [...names].map(([name, own]) => ({
    id: `air:${name}`,
    level: 'look',
    title: `${name} is meant for ${wrong.replace(' only', '')}`,
    reason: `This firing is ${firing.atmosphere}: expect another colour.`,
    pieces: codes(own),
  }));
}

/** A piece made for one air and put into another: reduction and oxidation are two glazes. */
export function wishes(items: readonly LoadItem[], firing: LoadFiring): Finding[] {
  if (firing.atmosphere === 'unknown' || firing.kind === 'bisque') return [];
  const other = items.filter(
    ({ wantedAtmosphere: wanted }) =>
      wanted !== null && wanted !== 'unknown' && wanted.includes('reduction') !== reduced(firing.atmosphere),
  );
  if (other.length === 0) return [];
  return [
    {
      id: 'wanted air',
      level: 'look',
      title: `Made for ${[...new Set(other.map(({ wantedAtmosphere }) => wantedAtmosphere))].join(', ')}`,
      reason: `This firing is ${firing.atmosphere}. Keep them for another, or mean it.`,
      pieces: codes(other),
    },
  ];
}

/** Why a second load cannot go into a kiln, and the way out. */
export const insideWords = ({ title, status }: Inside): string =>
  status === 'loaded'
    ? `${title} stands closed in this kiln. Fire it first, or open its load again there.`
    : `${title} is still ${status === 'firing' ? 'firing' : 'cooling'} in this kiln. Open it first; if it was opened and nobody said so, say it on its page.`;

/** One kiln holds one load: no reason lets a second one be closed beside it. */
export function occupied({ inside }: LoadFiring): Finding[] {
  if (inside === null) return [];
  return [
    {
      id: 'occupied',
      level: 'stop',
      title: `${inside.title} is inside`,
      reason: insideWords(inside),
      pieces: [],
      firm: true,
    },
  ];
}

/** A kiln with nothing in it is fired on purpose, or a load was forgotten. */
export function empty(items: readonly LoadItem[]): Finding[] {
  if (items.length > 0) return [];
  return [
    {
      id: 'empty',
      level: 'stop',
      title: 'Nothing is in the load',
      reason: 'Put pieces in from the queue or by their codes.',
      pieces: [],
    },
  ];
}
