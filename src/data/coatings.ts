/** Coatings and their versions. */
import type { CoatingKind } from '@/core/zones';
import type { Source } from './database';
import { newId } from './ids';
import { freeSlug } from './slugs';
import type { CoatingTrait } from '@/core/load/check-terms';

export type CoatingVersion = { id: string; no: number; notes: string; createdAt: Date };

export type Coating = {
  id: string;
  slug: string;
  name: string;
  kind: CoatingKind;
  coneLow: string | null;
  coneHigh: string | null;
  colour: string;
  atmosphereNotes: string;
  whatItDoes: string;
  cautions: string;
  traits: CoatingTrait[];
  revision: number;
  archived: boolean;
  /** It was a double of this one, which has its records now. */
  mergedInto: string | null;
  /** Made by a question for its blends; not offered among the studio's own. */
  trial: boolean;
  versions: CoatingVersion[];
};

export type CoatingFields = Omit<
  Coating,
  'id' | 'slug' | 'revision' | 'archived' | 'mergedInto' | 'trial' | 'versions'
>;

export const coatingColumns = (coating: CoatingFields): Record<string, unknown> => ({
  name: coating.name,
  kind: coating.kind,
  cone_low: coating.coneLow,
  cone_high: coating.coneHigh,
  colour: coating.colour,
  atmosphere_notes: coating.atmosphereNotes,
  what_it_does: coating.whatItDoes,
  cautions: coating.cautions,
  traits: JSON.stringify(coating.traits),
});

export async function listCoatings(src: Source): Promise<Coating[]> {
  const [rows, versions] = await Promise.all([
    src('coating').orderBy('name'),
    src('coating_version').orderBy('no'),
  ]);
  const byCoating = new Map<string, CoatingVersion[]>();
  for (const row of versions) {
    const list = byCoating.get(row.coating_id) ?? [];
    list.push({ id: row.id, no: row.no, notes: row.notes, createdAt: row.created_at });
    byCoating.set(row.coating_id, list);
  }
  return rows.map((row) => ({
    id: row.id,
    slug: row.slug,
    name: row.name,
    kind: row.kind,
    coneLow: row.cone_low,
    coneHigh: row.cone_high,
    colour: row.colour,
    atmosphereNotes: row.atmosphere_notes,
    whatItDoes: row.what_it_does,
    cautions: row.cautions,
    traits: row.traits,
    revision: row.revision,
    archived: row.archived_at !== null,
    mergedInto: row.merged_into,
    trial: Boolean(row.trial),
    versions: byCoating.get(row.id) ?? [],
  }));
}

/** The blends of a question's own coating by version: "Question 4, tile 12: A 50, C 50". */
const blendsOf = ({ trial, name, versions }: Coating): Record<number, string> =>
  Object.fromEntries(
    trial ? versions.map(({ no, notes }) => [no, notes === '' ? name : `${name}, ${notes}`]) : [],
  );

/** What drawings and words need of coatings. */
export const paintable = (coatings: readonly Coating[]) =>
  coatings.map((one) => ({
    slug: one.slug,
    name: one.name,
    colour: one.colour,
    blends: blendsOf(one),
  }));

/** Names by slug; each blend of a question besides by slug#version. */
export const coatNames = (coatings: readonly Coating[]): Record<string, string> =>
  Object.fromEntries(
    coatings.flatMap((one) => [
      [one.slug, one.name],
      ...Object.entries(blendsOf(one)).map(([no, name]) => [`${one.slug}#${no}`, name]),
    ]),
  );

export type Offered = { coating: Coating; version: CoatingVersion; name: string };

/**
 * What can be put on: the newest version of every coating in use, and the versions `also`,
 * by id, as a piece or a link names them. Within a coating the newest comes last.
 */
export function offeredVersions(coatings: readonly Coating[], also: readonly string[] = []): Offered[] {
  return coatings.flatMap((coating) => {
    const newest = coating.archived || coating.trial ? null : coating.versions.at(-1);
    return coating.versions
      .filter((version) => version === newest || also.includes(version.id))
      .map((version) => ({
        coating,
        version,
        name: version === newest ? coating.name : `${coating.name} v${version.no}`,
      }));
  });
}

/** A new coating comes with its version 1. */
export async function createCoating(
  src: Source,
  id: string,
  fields: CoatingFields,
  now: Date,
): Promise<string> {
  const slug = await insertCoating(src, id, fields, false);
  await addVersion(src, id, '', now);
  return slug;
}

/** What a question blends: every blend of it becomes a version, named by its notes. */
export const createTrial = (src: Source, id: string, fields: CoatingFields): Promise<string> =>
  insertCoating(src, id, fields, true);

async function insertCoating(
  src: Source,
  id: string,
  fields: CoatingFields,
  trial: boolean,
): Promise<string> {
  const slug = await freeSlug(src, 'coating', fields.name);
  await src('coating').insert({ id, slug, trial, ...coatingColumns(fields) });
  return slug;
}

export async function addVersion(
  src: Source,
  coatingId: string,
  notes: string,
  now: Date,
): Promise<{ id: string; no: number }> {
  await src('coating').where({ id: coatingId }).forUpdate().first('id');
  const row = await src('coating_version').where({ coating_id: coatingId }).max({ no: 'no' }).first();
  const no = Number(row?.no ?? 0) + 1;
  const id = newId();
  await src('coating_version').insert({
    id,
    coating_id: coatingId,
    no,
    notes,
    created_at: now,
  });
  return { id, no };
}

/** A coating version, held until the transaction ends; null when there is none. */
export async function holdVersion(
  src: Source,
  id: string,
): Promise<{ coatingId: string; no: number } | null> {
  const row = await src('coating_version').where({ id }).forUpdate().first();
  return row === undefined ? null : { coatingId: row.coating_id, no: row.no };
}

/** Of some coatings those that lie on no piece outside the bin. */
export async function onNoPiece(src: Source, ids: readonly string[]): Promise<string[]> {
  const used: string[] = await src('layer')
    .join('piece', 'piece.id', 'layer.piece_id')
    .join('coating_version', 'coating_version.id', 'layer.coating_version_id')
    .whereIn('coating_version.coating_id', ids)
    .whereNull('layer.superseded_at')
    .whereNull('piece.binned_at')
    .distinct()
    .pluck('coating_version.coating_id');
  return ids.filter((id) => !used.includes(id));
}
