/** Firings as their kiln sees them: what is inside, how it is usually fired, what was called off. */
import type { Row, Source } from './database';
import { firing, firings, listFirings, type Firing } from './firings';

/** The firing of a kiln that has something inside: its lid is closed, it burns or it cools. */
export async function insideKiln(src: Source, kilnId: string, except: string): Promise<Firing | null> {
  const row = await firings(src)
    .where('firing.kiln_id', kilnId)
    .whereIn('firing.status', ['loaded', 'firing', 'cooling'])
    .whereNull('firing.called_off_at')
    .whereNot('firing.id', except)
    .orderBy('firing.planned_for', 'desc')
    .first();
  return row === undefined ? null : firing(row);
}

/** How each of these kilns was fired last, bisques apart: what a new firing of it begins with. */
export async function usualFirings(
  src: Source,
  kilnIds: readonly string[],
): Promise<Record<string, Pick<Firing, 'kind' | 'targetCone' | 'atmosphere'>>> {
  const usual: Record<string, Pick<Firing, 'kind' | 'targetCone' | 'atmosphere'>> = {};
  for (const id of kilnIds) {
    const [last] = (await listFirings(src, { kilnId: id, limit: 8 })).filter(
      ({ kind, targetCone }) => kind !== 'bisque' && targetCone !== null,
    );
    if (last !== undefined)
      usual[id] = { kind: last.kind, targetCone: last.targetCone, atmosphere: last.atmosphere };
  }
  return usual;
}

/** When a kiln was last lit, by whatever firing; null when it never was. */
export async function lastLit(src: Source, kilnId: string): Promise<Date | null> {
  const row = await src('firing').where({ kiln_id: kilnId }).max({ at: 'started_at' }).first();
  return (row?.at as Date | null) ?? null;
}

/** Calls a firing off, which frees its pieces, or takes that back where they are still free. */
export async function callOff(src: Source, id: string, at: Date | null): Promise<boolean> {
  if (at === null) {
    const taken = await src('placement')
      .where({ firing_id: id })
      .whereIn('piece_id', src('placement').whereNotNull('open_piece_id').select('open_piece_id'))
      .first('id');
    if (taken !== undefined) return false;
  }
  await src('firing')
    .where({ id })
    .update({ called_off_at: at, revision: src.raw('revision + 1') });
  await src('placement')
    .where({ firing_id: id })
    .update({ open_piece_id: at === null ? src.ref('piece_id') : null });
  return true;
}

export const setUnitSaid = (src: Source, id: string, unit: 'C' | 'F'): Promise<number> =>
  src('firing').where({ id }).update({ unit_said: unit });

export type FiringWindow = { id: string; startedAt: Date; openedAt: Date | null };

/** The last firings of a kiln that have been lit, newest first: when each began and was opened. */
export async function firingsOfKiln(src: Source, kilnId: string, limit: number): Promise<FiringWindow[]> {
  const rows: Row[] = await src('firing')
    .where({ kiln_id: kilnId })
    .whereNotNull('started_at')
    .orderBy('started_at', 'desc')
    .limit(limit)
    .select('id', 'started_at', 'opened_at');
  return rows.map((row) => ({ id: row.id, startedAt: row.started_at, openedAt: row.opened_at }));
}
