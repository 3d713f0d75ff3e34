/** Firings to come, what waits for them, and the same as iCalendar. */
import { createEvents, type EventAttributes } from 'ics';
import { formatCone } from '@/core/cones';
import { daysUntilFull, usualLoad } from '@/core/load';
import type { Kiln } from '@/data/catalogue';
import { listKilns } from '@/data/catalogue';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { listPeople } from '@/data/people';
import { listPieces } from '@/data/pieces';
import { countPlacements } from '@/data/placements';
import { firingTitle } from './words';

export type Waiting = {
  waitingFor: string;
  cone: string | null;
  atmosphere: string | null;
  count: number;
  /** Days until a usual load of this kind waits; null when nothing has come lately. */
  fullIn: number | null;
  usual: number | null;
  planned: Firing | null;
};
export type Coming = { firing: Firing; pieces: number; usual: number | null; duty: string | null };
export type Calendar = { coming: Coming[]; waiting: Waiting[]; kilns: Kiln[] };

/** Pieces made in this many days tell how fast a queue grows. */
const LATELY_DAYS = 28;

export async function firingCalendar(src: Source, now = new Date()): Promise<Calendar> {
  const [kilns, all, people, pieces] = [
    await listKilns(src),
    await listFirings(src),
    await listPeople(src),
    await listPieces(src, { waiting: true }),
  ];
  const counts = await countPlacements(
    src,
    all.map(({ id }) => id),
  );
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const usualOf = (of: Pick<Firing, 'kind' | 'targetCone'>, kilnId?: string): number | null =>
    usualLoad(
      all
        .filter(
          (one) =>
            one.status === 'opened' &&
            (one.kind === 'bisque') === (of.kind === 'bisque') &&
            one.targetCone === of.targetCone &&
            (kilnId === undefined || one.kilnId === kilnId),
        )
        .slice(0, 12)
        .map(({ id }) => counts.get(id) ?? 0),
    );
  const coming = all
    .filter(({ status }) => status !== 'opened')
    .sort((a, b) => ((a.plannedFor ?? '9') < (b.plannedFor ?? '9') ? -1 : 1))
    .map((firing) => ({
      firing,
      pieces: counts.get(firing.id) ?? 0,
      usual: usualOf(firing, firing.kilnId),
      duty: firing.onDuty === null ? null : (names.get(firing.onDuty) ?? null),
    }));
  const groups = new Map<string, Waiting & { lately: number }>();
  for (const piece of pieces) {
    const bisque = piece.waitingFor === 'bisque';
    const [cone, atmosphere] = bisque ? [null, null] : [piece.wantedCone, piece.wantedAtmosphere];
    const key = `${piece.waitingFor}/${cone}/${atmosphere}`;
    const group = groups.get(key) ?? {
      waitingFor: piece.waitingFor as string,
      cone,
      atmosphere,
      count: 0,
      lately: 0,
      fullIn: null,
      usual: null,
      planned: null,
    };
    group.count++;
    if (now.getTime() - piece.createdAt.getTime() < LATELY_DAYS * 86_400_000) group.lately++;
    groups.set(key, group);
  }
  const waiting = [...groups.values()].map(({ lately, ...group }) => {
    const bisque = group.waitingFor === 'bisque';
    const usual = usualOf({
      kind: bisque ? 'bisque' : 'glaze',
      targetCone: bisque
        ? (all.find((one) => one.kind === 'bisque' && one.status === 'opened')?.targetCone ?? null)
        : group.cone,
    });
    return {
      ...group,
      usual,
      fullIn: usual === null ? null : daysUntilFull(group.count, usual, lately, LATELY_DAYS),
      planned:
        coming.find(
          ({ firing }) =>
            (firing.status === 'planned' || firing.status === 'loaded') &&
            (bisque
              ? firing.kind === 'bisque'
              : firing.kind !== 'bisque' && firing.targetCone === group.cone),
        )?.firing ?? null,
    };
  });
  return { coming, waiting: waiting.sort((a, b) => b.count - a.count), kilns };
}

const dayOf = (date: string): [number, number, number] =>
  date.split('-').map(Number) as [number, number, number];

/** The calendar as iCalendar text: a day for each planned firing, and for each day to bring work by. */
export function asICalendar(studio: string, coming: readonly Coming[]): string {
  const events = coming.flatMap(({ firing, pieces, duty }): EventAttributes[] => {
    const about = [
      `${firing.kind} firing${firing.targetCone ? `, cone ${formatCone(firing.targetCone)}` : ''}, ${firing.atmosphere}`,
      `${pieces} pieces so far`,
      duty ? `On duty: ${duty}` : '',
      firing.notice,
    ].filter(Boolean);
    const made: EventAttributes[] = [];
    if (firing.plannedFor !== null)
      made.push({
        uid: `${firing.id}@jiten`,
        productId: 'jiten',
        title: `Fire ${firingTitle(firing)}`,
        description: about.join('\n'),
        start: dayOf(firing.plannedFor),
        duration: { days: 1 },
        calName: `${studio}: firings`,
      });
    if (firing.bringBy !== null)
      made.push({
        uid: `${firing.id}-bring@jiten`,
        productId: 'jiten',
        title: `Bring work for ${firingTitle(firing)}`,
        description: about.join('\n'),
        start: dayOf(firing.bringBy),
        duration: { days: 1 },
      });
    return made;
  });
  const { error, value } = createEvents(events);
  if (error || value === undefined) throw error ?? new Error('The calendar could not be written.');
  return value;
}
