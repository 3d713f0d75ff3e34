/** Firings to come, what waits for them, and the same as iCalendar. */
import { count } from '@/core/units';
import { STATUSES } from '@/core/firing';
import { createEvents, type DateArray, type EventAttributes } from 'ics';
import { formatCone } from '@/core/cones';
import { bestFiring, queuesOf, type Queue } from '@/core/journey';
import { daysUntilFull, usualLoad } from '@/core/load';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { listPeople } from '@/data/people';
import { waitingGroups, type WaitingGroup } from '@/data/journey';
import { countPlacements } from '@/data/placements';
import { firingTitle } from '@/core/firing';
import type { Kiln } from '@/data/kilns';
import { listKilns } from '@/data/kilns';

/** A queue with when it fills a firing of its kind, and the planned firing that suits it. */
export type Filling = Queue<WaitingGroup> & {
  /** Days until a usual load of this kind waits; null when nothing has come lately. */
  fullIn: number | null;
  usual: number | null;
  planned: Firing | null;
};
export type Coming = { firing: Firing; pieces: number; usual: number | null; duty: string | null };
export type Calendar = { coming: Coming[]; waiting: Filling[]; kilns: Kiln[] };

/** So many past firings tell what a load usually is. */
const PAST = 300;
/** Pieces made in this many days tell how fast a queue grows. */
const LATELY_DAYS = 28;

export async function firingCalendar(src: Source, now = new Date()): Promise<Calendar> {
  const [kilns, open, past, people, groups] = await Promise.all([
    listKilns(src),
    listFirings(src, { statuses: STATUSES.filter((status) => status !== 'opened') }),
    listFirings(src, { statuses: ['opened'], limit: PAST }),
    listPeople(src),
    waitingGroups(src, new Date(now.getTime() - LATELY_DAYS * 86_400_000)),
  ]);
  const all = [...open, ...past];
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
  const coming = open
    .sort((a, b) => ((a.plannedFor ?? '9') < (b.plannedFor ?? '9') ? -1 : 1))
    .map((firing) => ({
      firing,
      pieces: counts.get(firing.id) ?? 0,
      usual: usualOf(firing, firing.kilnId),
      duty: firing.onDuty === null ? null : (names.get(firing.onDuty) ?? null),
    }));
  const planned = coming
    .map(({ firing }) => firing)
    .filter(({ status }) => status === 'planned' || status === 'loaded');
  const lastBisque = all.find((one) => one.kind === 'bisque' && one.status === 'opened');
  const waiting = queuesOf(groups).map((queue) => {
    const bisque = queue.waitsFor === 'bisque';
    const usual = usualOf({
      kind: bisque ? 'bisque' : 'glaze',
      targetCone: bisque ? (lastBisque?.targetCone ?? null) : queue.cone,
    });
    const lately = queue.waiting.reduce((sum, one) => sum + one.lately, 0);
    return {
      ...queue,
      usual,
      fullIn: usual === null ? null : daysUntilFull(queue.count, usual, lately, LATELY_DAYS),
      planned: bestFiring(queue.waiting, planned)?.firing ?? null,
    };
  });
  return { coming, waiting, kilns };
}

/** A whole day ends where the next begins (RFC 5545, 3.6.1): a duration of a day and no time is none. */
const wholeDay = (date: string): { start: DateArray; end: DateArray } => {
  const dayOf = (day: Date): DateArray => [day.getUTCFullYear(), day.getUTCMonth() + 1, day.getUTCDate()];
  const start = new Date(`${date}T00:00:00Z`);
  return { start: dayOf(start), end: dayOf(new Date(start.getTime() + 86_400_000)) };
};

/** The calendar as iCalendar text: a day for each planned firing, and for each day to bring work by. */
export function asICalendar(studio: string, coming: readonly Coming[]): string {
  const events = coming.flatMap(({ firing, pieces, duty }): EventAttributes[] => {
    const about = [
      `${firing.kind} firing${firing.targetCone ? `, cone ${formatCone(firing.targetCone)}` : ''}, ${firing.atmosphere}`,
      `${count(pieces, 'piece')} so far`,
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
        ...wholeDay(firing.plannedFor),
        calName: `${studio}: firings`,
      });
    if (firing.bringBy !== null)
      made.push({
        uid: `${firing.id}-bring@jiten`,
        productId: 'jiten',
        title: `Bring work for ${firingTitle(firing)}`,
        description: about.join('\n'),
        ...wholeDay(firing.bringBy),
      });
    return made;
  });
  const { error, value } = createEvents(events);
  if (error || value === undefined) throw error ?? new Error('The calendar could not be written.');
  return value;
}
