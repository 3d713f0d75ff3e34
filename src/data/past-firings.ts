/** Firings of the past: brought in from files, or with their whole way. */
import { STATUSES, type FiringStatus } from '@/core/firing';
import type { Source } from './database';
import { createFiring, findFiring, moveFiring, setWrittenUp, type FiringFields } from './firings';

/** A firing of the past, brought in: opened and written up on its day. */
export async function setImported(src: Source, id: string, at: Date): Promise<void> {
  await src('firing')
    .where({ id })
    .update({ status: 'opened', started_at: null, opened_at: at, written_up_at: at });
}

export type PastFiring = FiringFields & {
  id: string;
  status: FiringStatus;
  at: Date;
  writtenUp: boolean;
};

/** Writes a firing with its way so far, step by step to where it stands. */
export async function setHistory(src: Source, past: PastFiring, by: string): Promise<void> {
  const hour = 3_600_000;
  await createFiring(src, past.id, past, by, new Date(past.at.getTime() - 48 * hour));
  const steps: { to: FiringStatus; at: Date }[] = [
    { to: 'loaded', at: new Date(past.at.getTime() - 12 * hour) },
    { to: 'firing', at: past.at },
    { to: 'cooling', at: new Date(past.at.getTime() + 10 * hour) },
    { to: 'opened', at: new Date(past.at.getTime() + 34 * hour) },
  ];
  for (const step of steps) {
    if (STATUSES.indexOf(step.to) > STATUSES.indexOf(past.status)) break;
    const now = await findFiring(src, past.id);
    if (now !== null) await moveFiring(src, now, step.to, null, by, step.at);
  }
  if (past.writtenUp) await setWrittenUp(src, past.id, new Date(past.at.getTime() + 50 * hour));
}
