/** Schedules a studio fires by. A firing keeps its own copy of the one it was run with. */
import type { Segment } from '@/core/heatwork';
import { writeOver } from './rows';
import type { Row, Source } from './database';

export type Schedule = {
  id: string;
  name: string;
  notes: string;
  segments: Segment[];
  revision: number;
  archived: boolean;
};
export type ScheduleFields = Pick<Schedule, 'name' | 'notes' | 'segments'>;

export async function listSchedules(src: Source): Promise<Schedule[]> {
  const rows: Row[] = await src('schedule').orderBy('name');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    notes: row.notes,
    segments: row.segments,
    revision: row.revision,
    archived: row.archived_at !== null,
  }));
}

const columns = (fields: ScheduleFields): Record<string, unknown> => ({
  name: fields.name,
  notes: fields.notes,
  segments: JSON.stringify(fields.segments),
});

export async function createSchedule(
  src: Source,
  id: string,
  fields: ScheduleFields,
  by: string,
  now: Date,
): Promise<void> {
  await src('schedule').insert({ id, ...columns(fields), by_person: by, at: now });
}

/** Saves over the revision that was read; false when somebody saved in between. */
export async function updateSchedule(
  src: Source,
  id: string,
  fields: ScheduleFields,
  revision: number,
): Promise<boolean> {
  return writeOver(src, 'schedule', { id, revision }, columns(fields));
}

export async function archiveSchedule(src: Source, id: string, at: Date | null): Promise<void> {
  await src('schedule').where({ id }).update({ archived_at: at });
}
