/** Two firings side by side: their curves, what differed, and what the same stacks did. */
import { airWords, bandsOf, minutesOf } from '@/core/atmosphere';
import { formatCone, isCone } from '@/core/cones';
import { coolingPart, decimated, thinned, workAlong, type Reading } from '@/core/heatwork';
import { signOf } from '@/core/signs';
import { formatDuration, formatLength, formatTemperature, type Units } from '@/core/units';
import { sharedSightings, type SeenIn } from '@/data/comparison';
import type { Source } from '@/data/database';
import { entriesOfFiring } from '@/data/firing-log';
import type { Firing } from '@/data/firings';
import { countPlacements } from '@/data/placements';
import { logOf } from '@/data/readings';
import { reachedWords } from '@/core/firing';
import { listCoatings } from '@/data/coatings';

export type Difference = { what: string; a: string; b: string };
export type StackDifference = { stack: string; body: string; a: string; b: string };
export type Comparison = {
  curves: { a: Reading[]; b: Reading[] };
  /** Seconds to take off each curve so that they meet where the target cone began to bend. */
  byCone: { a: number; b: number } | null;
  differences: Difference[];
  same: string[];
  stacks: StackDifference[];
  shared: number;
};

/** A curve is lined up where a twentieth of the cone's work is done. */
const LINED_UP_AT = 0.05;

function meetsCone(log: readonly Reading[], cone: string | null): number | null {
  if (cone === null || !isCone(cone)) return null;
  const index = workAlong(cone, log).findIndex((work) => work >= LINED_UP_AT);
  return index < 0 ? null : log[index]!.t;
}

/** Minutes within ten degrees of the peak. */
function minutesAtTop(log: readonly Reading[]): number | null {
  if (log.length < 2) return null;
  const peak = Math.max(...log.map(({ c }) => c));
  let seconds = 0;
  for (let i = 1; i < log.length; i++)
    if (log[i]!.c > peak - 10 && log[i - 1]!.c > peak - 10) seconds += log[i]!.t - log[i - 1]!.t;
  return seconds / 60;
}

export async function compareFirings(src: Source, a: Firing, b: Firing, units: Units): Promise<Comparison> {
  const logs = await Promise.all(
    [a, b].map(async (one) =>
      one.startedAt === null ? [] : thinned(await logOf(src, one.id, one.startedAt)),
    ),
  );
  const [entriesA, entriesB] = await Promise.all([entriesOfFiring(src, a.id), entriesOfFiring(src, b.id)]);
  const counts = await countPlacements(src, [a.id, b.id]);
  const [meetA, meetB] = [
    meetsCone(logs[0]!, a.targetCone ?? b.targetCone),
    meetsCone(logs[1]!, b.targetCone ?? a.targetCone),
  ];
  const facts: Difference[] = [a, b].reduce<Difference[]>((rows, firing, i) => {
    const log = logs[i]!;
    const entries = i === 0 ? entriesA : entriesB;
    const start = firing.startedAt?.getTime() ?? 0;
    const bands = bandsOf(
      entries.flatMap(({ atmosphere, at, text }) =>
        atmosphere === null ? [] : [{ t: (at.getTime() - start) / 1000, atmosphere, judgedBy: text }],
      ),
      coolingPart(log)[0]?.t ?? 0,
    );
    const peak = log.length > 0 ? Math.max(...log.map(({ c }) => c)) : null;
    const peakAt = peak === null ? null : log.find(({ c }) => c === peak)!.t;
    const top = minutesAtTop(log);
    const said = (kind: string): string =>
      entries
        .filter((entry) => entry.kind === kind)
        .map(({ text }) => text)
        .join('; ') || 'not on record';
    const values: [string, string][] = [
      ['Kiln', firing.kilnName],
      ['Kind', firing.kind],
      ['Target', firing.targetCone === null ? 'none' : `cone ${formatCone(firing.targetCone)}`],
      ['Reached', reachedWords(firing)],
      ['Atmosphere', airWords(firing)],
      [
        'Reduction on record',
        bands.length === 0 ? 'not on record' : formatDuration(minutesOf(bands, 'light reduction')),
      ],
      ['Pieces', String(counts.get(firing.id) ?? 0)],
      ['Peak shown', peak === null ? 'not on record' : formatTemperature(peak, units)],
      ['Time to the peak', peakAt === null ? 'not on record' : formatDuration(peakAt / 60)],
      ['Near the peak', top === null ? 'not on record' : formatDuration(top)],
      ['Schedule', firing.schedule?.name ?? 'none'],
      ['Weather', said('weather')],
      ['Damper', said('damper')],
      ['Gas', said('gas')],
    ];
    return values.map(([what, value], row) =>
      i === 0 ? { what, a: value, b: '' } : { ...rows[row]!, b: value },
    );
  }, []);
  const seen = await sharedSightings(src, a.id, b.id);
  const names = new Map((await listCoatings(src)).map(({ slug, name }) => [slug, name]));
  const stacks = new Map<string, { a: SeenIn[]; b: SeenIn[] }>();
  for (const one of seen) {
    const key = `${one.bodyName}/${one.stackKey}`;
    const pair = stacks.get(key) ?? { a: [], b: [] };
    pair[one.firingId === a.id ? 'a' : 'b'].push(one);
    stacks.set(key, pair);
  }
  return {
    curves: { a: decimated(logs[0]!, 900), b: decimated(logs[1]!, 900) },
    byCone: meetA === null || meetB === null ? null : { a: meetA, b: meetB },
    differences: facts.filter((one) => one.a !== one.b),
    same: facts.filter((one) => one.a === one.b && one.a !== 'not on record').map(({ what }) => what),
    stacks: [...stacks.values()].flatMap((pair) => {
      const [left, right] = [words(pair.a, units), words(pair.b, units)];
      if (left === right) return [];
      const one = pair.a[0]!;
      const entries = one.stackKey.split(' + ').map((part) => {
        const [slug = ''] = part.split('#');
        return names.get(slug) ?? slug;
      });
      return [{ stack: entries.reverse().join(' over '), body: one.bodyName, a: left, b: right }];
    }),
    shared: stacks.size,
  };
}

/** What pieces of one stack did, in a line: the same words for the same outcome. */
function words(seen: readonly SeenIn[], units: Units): string {
  const surfaces = [...new Set(seen.flatMap(({ surface }) => (surface === null ? [] : [surface])))];
  const signs = [
    ...new Set(
      seen.flatMap((one) =>
        one.signs.filter(({ severity }) => severity >= 2).map(({ sign }) => signOf(sign)?.name ?? sign),
      ),
    ),
  ].sort();
  const runs = seen.flatMap(({ movementMm }) => (movementMm === null ? [] : [movementMm]));
  const run = runs.length === 0 ? 0 : runs.reduce((sum, one) => sum + one, 0) / runs.length;
  const colours = [...new Set(seen.flatMap(({ colour }) => (colour === null ? [] : [colour])))];
  return [
    surfaces.sort().join(' and '),
    colours.sort().slice(0, 2).join(' and '),
    ...signs.map((one) => one.toLowerCase()),
    run >= 1 ? `runs ${formatLength(Math.round(run), units)}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
