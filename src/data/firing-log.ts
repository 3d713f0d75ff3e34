/** A firing's diary, its plan of running, and what was overruled when its lid was closed. */
import type { LogKind } from '@/core/firing';
import type { Segment } from '@/core/heatwork';
import type { Atmosphere } from '@/core/signs';
import type { Row, Source } from './database';
import type { Overrule } from '@/core/load/check-terms';

export type LogEntry = {
  id: string;
  at: Date;
  kind: LogKind;
  atmosphere: Atmosphere | null;
  text: string;
  by: string;
  /** When it was written down; null where that is not known. */
  addedAt: Date | null;
};

export async function entriesOfFiring(src: Source, firingId: string): Promise<LogEntry[]> {
  const rows: Row[] = await src('firing_entry')
    .join('person', 'person.id', 'firing_entry.by_person')
    .where({ firing_id: firingId })
    .whereNull('dropped_at')
    .orderBy('firing_entry.at')
    .select('firing_entry.*', 'person.name as by_name');
  return rows.map((row) => ({
    id: row.id,
    at: row.at,
    kind: row.kind,
    atmosphere: row.atmosphere,
    text: row.text,
    by: row.by_name,
    addedAt: row.added_at,
  }));
}

export async function addEntry(
  src: Source,
  firingId: string,
  entry: Omit<LogEntry, 'by' | 'addedAt'>,
  by: string,
  now: Date,
): Promise<void> {
  await src('firing_entry').insert({
    id: entry.id,
    firing_id: firingId,
    at: entry.at,
    kind: entry.kind,
    atmosphere: entry.atmosphere,
    text: entry.text,
    by_person: by,
    added_at: now,
  });
}

export async function dropEntry(
  src: Source,
  firingId: string,
  id: string,
  at: Date | null,
): Promise<boolean> {
  return (await src('firing_entry').where({ id, firing_id: firingId }).update({ dropped_at: at })) === 1;
}

/** How a firing is to be run: its program as it was when it was chosen, and who sees to it. */
export type FiringRun = {
  schedule: { name: string; segments: Segment[] } | null;
  onDuty: string | null;
  bringBy: string | null;
  notice: string;
  nextTime: string;
  readEveryS: number;
  latestHours: number | null;
  energyUsed: number | null;
};

export const runOf = (row: Row): FiringRun => ({
  schedule: row.schedule,
  onDuty: row.on_duty,
  bringBy: row.bring_by,
  notice: row.notice,
  nextTime: row.next_time,
  readEveryS: row.read_every_s,
  latestHours: row.latest_hours,
  energyUsed: row.energy_used,
});

export async function setRun(src: Source, firingId: string, run: Partial<FiringRun>): Promise<void> {
  const columns: Record<string, unknown> = {
    on_duty: run.onDuty,
    bring_by: run.bringBy,
    notice: run.notice,
    next_time: run.nextTime,
    read_every_s: run.readEveryS,
    latest_hours: run.latestHours,
    energy_used: run.energyUsed,
    schedule:
      run.schedule === undefined ? undefined : run.schedule === null ? null : JSON.stringify(run.schedule),
  };
  const given = Object.fromEntries(Object.entries(columns).filter(([, value]) => value !== undefined));
  if (Object.keys(given).length > 0) await src('firing').where({ id: firingId }).update(given);
}

/** How full a firing was, and the air of shelves where it differed. */
export const keepHow = (
  src: Source,
  firingId: string,
  { fullness, shelfAir }: { fullness: string | null; shelfAir: Record<string, string> },
): Promise<unknown> =>
  src('firing')
    .where({ id: firingId })
    .update({ fullness, shelf_air: JSON.stringify(shelfAir) });

export type KeptOverrule = Overrule & { id: string; by: string; at: Date };

export async function overrulesOf(src: Source, firingId: string): Promise<KeptOverrule[]> {
  const rows: Row[] = await src('load_overrule')
    .join('person', 'person.id', 'load_overrule.by_person')
    .where({ firing_id: firingId })
    .orderBy('load_overrule.at', 'desc')
    .select('load_overrule.*', 'person.name as by_name');
  return rows.map((row) => ({
    id: row.id,
    finding: row.finding,
    pieces: row.pieces,
    reason: row.reason,
    by: row.by_name,
    at: row.at,
  }));
}

export async function addOverrule(
  src: Source,
  firingId: string,
  overrule: Overrule & { id: string },
  by: string,
  now: Date,
): Promise<void> {
  await src('load_overrule').insert({
    id: overrule.id,
    firing_id: firingId,
    finding: overrule.finding,
    pieces: JSON.stringify(overrule.pieces),
    reason: overrule.reason,
    by_person: by,
    at: now,
  });
}

export async function removeOverrule(src: Source, firingId: string, id: string): Promise<void> {
  await src('load_overrule').where({ id, firing_id: firingId }).delete();
}
