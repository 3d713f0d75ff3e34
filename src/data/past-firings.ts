/** Firings of the past: brought in from files, or with their whole way. */
import { STATUSES, type FiringStatus } from '@/core/firing';
import { UNMEASURED } from '@/core/load';
import type { Atmosphere } from '@/core/signs';
import type { Source } from './database';
import { createFiring, findFiring, moveFiring, setWrittenUp, type FiringFields } from './firings';
import { newId } from './ids';
import { createKiln } from './kilns';
import { followCones, listWitnesses, readWitness, setWitnesses } from './witnesses';

/** A firing of the past, brought in: opened and written up on its day. */
export async function setImported(src: Source, id: string, at: Date): Promise<void> {
  await src('firing').where({ id }).update({
    status: 'opened',
    started_at: null,
    opened_at: at,
    written_up_at: at,
    unrecorded: true,
  });
}

/** The cone that somebody says was reached: kept as a cone that came down, as recorded. */
export async function setConeShown(
  src: Source,
  firingId: string,
  cone: string,
  by: string,
  at: Date,
): Promise<void> {
  await setWitnesses(src, firingId, [{ cone, role: 'target', place: 'as recorded' }]);
  for (const { id } of (await listWitnesses(src, [firingId])).get(firingId) ?? [])
    await readWitness(src, id, 90, by, at);
  await followCones(src, firingId);
}

/** The kiln that stands for "nobody knows which": made when it is first asked for. */
export async function unknownKiln(src: Source, now: Date): Promise<string> {
  const held: { id: string } | undefined = await src('kiln').where({ nobody_knows: true }).first('id');
  if (held !== undefined) return held.id;
  const id = newId();
  await createKiln(src, id, {
    name: 'Kiln not recorded',
    energy: 'other',
    control: 'by hand',
    volumeL: null,
    shelves: 1,
    ...UNMEASURED,
    notes: 'For pieces of which nobody knows in which kiln they were fired.',
  });
  await src('kiln').where({ id }).update({ nobody_knows: true, archived_at: now });
  return id;
}

export type Unrecorded = {
  /** Null: nobody knows which. */
  kilnId: string | null;
  /** The day, where it is known. */
  on: string | null;
  cone: string | null;
  /** Cones, or whoever fired it, showed this cone; otherwise it was only meant. */
  shown: boolean;
  atmosphere: Atmosphere;
};

/**
 * The firing that nobody wrote down of a kiln, a day, a cone and an atmosphere: one for all pieces that
 * may have been in it together, since two of them would count as two firings that agree.
 */
export async function unrecordedFiring(src: Source, of: Unrecorded, by: string, now: Date): Promise<string> {
  const kilnId = of.kilnId ?? (await unknownKiln(src, now));
  await src('kiln').where({ id: kilnId }).forUpdate().first('id');
  const held: { id: string; shown: number }[] = await src('firing')
    .where({
      kiln_id: kilnId,
      unrecorded: true,
      planned_for: of.on,
      target_cone: of.cone,
      atmosphere: of.atmosphere,
    })
    .select('id', src.raw("cone_known = 'read' AS shown"));
  const same = held.find((one) => Boolean(one.shown) === (of.shown && of.cone !== null));
  if (same !== undefined) return same.id;
  const id = newId();
  await createFiring(
    src,
    id,
    {
      kilnId,
      kind: 'glaze',
      targetCone: of.cone,
      atmosphere: of.atmosphere,
      plannedFor: of.on,
      notes: '',
    },
    by,
    now,
  );
  const at = of.on === null ? now : new Date(`${of.on}T12:00:00Z`);
  await setImported(src, id, at);
  if (of.shown && of.cone !== null) await setConeShown(src, id, of.cone, by, at);
  return id;
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
