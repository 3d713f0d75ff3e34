/** What is done to kilns between firings, and the devices that may speak for them. */
import type { UpkeepKind } from '@/core/firing';
import { gluesShelf, ON_THE_SHELF } from '@/core/signs';
import type { Row, Source } from './database';
import { tokenHash } from './ids';

export type Upkeep = {
  id: string;
  kilnId: string;
  kind: UpkeepKind;
  doneOn: string;
  note: string;
  /** The shelf that was ground; null for all of them, or for what is no shelf’s. */
  shelf: number | null;
  by: string;
};

export async function listUpkeep(src: Source, kilnIds: readonly string[]): Promise<Upkeep[]> {
  const rows: Row[] = await src('kiln_upkeep')
    .join('person', 'person.id', 'kiln_upkeep.by_person')
    .whereIn('kiln_id', kilnIds)
    .whereNull('dropped_at')
    .orderBy('done_on', 'desc')
    .select('kiln_upkeep.*', 'person.name as by_name');
  return rows.map((row) => ({
    id: row.id,
    kilnId: row.kiln_id,
    kind: row.kind,
    doneOn: row.done_on,
    note: row.note,
    shelf: row.shelf,
    by: row.by_name,
  }));
}

export async function addUpkeep(
  src: Source,
  upkeep: Omit<Upkeep, 'by'>,
  by: string,
  now: Date,
): Promise<void> {
  await src('kiln_upkeep').insert({
    id: upkeep.id,
    kiln_id: upkeep.kilnId,
    kind: upkeep.kind,
    done_on: upkeep.doneOn,
    note: upkeep.note,
    shelf: upkeep.shelf,
    by_person: by,
    at: now,
  });
}

export async function dropUpkeep(src: Source, id: string, at: Date | null): Promise<string | null> {
  const row = (await src('kiln_upkeep').where({ id }).forUpdate().first('kiln_id')) as
    { kiln_id: string } | undefined;
  if (row === undefined) return null;
  await src('kiln_upkeep').where({ id }).update({ dropped_at: at });
  return row.kiln_id;
}

export type ToGrind = { kilnId: string; kilnName: string; kilnSlug: string; shelf: number };

/** Shelves on which glaze was seen at an opening, and which nobody has ground since; by kiln and shelf. */
export async function shelvesToGrind(src: Source, kilnId?: string): Promise<ToGrind[]> {
  const query = src('observation_sign')
    .join('observation', 'observation.id', 'observation_sign.observation_id')
    .join('placement', function () {
      this.on('placement.piece_id', 'observation.piece_id').andOn(
        'placement.firing_id',
        'observation.firing_id',
      );
    })
    .join('firing', 'firing.id', 'placement.firing_id')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .whereIn('observation_sign.sign', [...ON_THE_SHELF])
    .whereNull('observation.superseded_at')
    .where('firing.status', 'opened')
    .whereNotNull('placement.shelf')
    .whereNot('placement.setting', 'waster')
    .whereNotExists(
      src('kiln_upkeep')
        .whereRaw('kiln_upkeep.kiln_id = firing.kiln_id')
        .where('kiln_upkeep.kind', 'ground')
        .whereNull('kiln_upkeep.dropped_at')
        .whereRaw('(kiln_upkeep.shelf IS NULL OR kiln_upkeep.shelf = placement.shelf)')
        .whereRaw('kiln_upkeep.done_on >= DATE(firing.opened_at)'),
    )
    .orderBy(['kiln.name', 'placement.shelf'])
    .select(
      'firing.kiln_id',
      'kiln.name',
      'kiln.slug',
      'placement.shelf',
      'observation_sign.sign',
      'observation_sign.severity',
    );
  if (kilnId !== undefined) query.where('firing.kiln_id', kilnId);
  const rows: Row[] = await query;
  const found = new Map<string, ToGrind>();
  for (const row of rows)
    if (gluesShelf({ sign: row.sign, severity: row.severity }))
      found.set(`${row.kiln_id}/${row.shelf}`, {
        kilnId: row.kiln_id,
        kilnName: row.name,
        kilnSlug: row.slug,
        shelf: row.shelf,
      });
  return [...found.values()];
}

export type KilnToken = { id: string; name: string; at: Date; usedAt: Date | null };

export async function listTokens(src: Source, kilnId: string): Promise<KilnToken[]> {
  const rows: Row[] = await src('kiln_token')
    .where({ kiln_id: kilnId })
    .whereNull('revoked_at')
    .orderBy('at');
  return rows.map((row) => ({ id: row.id, name: row.name, at: row.at, usedAt: row.used_at }));
}

export async function addToken(
  src: Source,
  token: { id: string; kilnId: string; name: string; secret: string },
  by: string,
  now: Date,
): Promise<void> {
  await src('kiln_token').insert({
    id: token.id,
    kiln_id: token.kilnId,
    name: token.name,
    token_hash: tokenHash(token.secret),
    by_person: by,
    at: now,
  });
}

export async function revokeToken(src: Source, id: string, at: Date | null): Promise<boolean> {
  return (await src('kiln_token').where({ id }).update({ revoked_at: at })) === 1;
}

/** The kiln a secret speaks for; `revoked` when it did once. */
export async function kilnOfToken(
  src: Source,
  secret: string,
): Promise<{ tokenId: string; kilnId: string; usedAt: Date | null; revoked: boolean } | null> {
  const row: Row | undefined = await src('kiln_token')
    .where({ token_hash: tokenHash(secret) })
    .first();
  return row === undefined
    ? null
    : {
        tokenId: row.id,
        kilnId: row.kiln_id,
        usedAt: row.used_at,
        revoked: row.revoked_at !== null,
      };
}

export async function markUsed(src: Source, tokenId: string, now: Date): Promise<void> {
  await src('kiln_token').where({ id: tokenId }).update({ used_at: now });
}
