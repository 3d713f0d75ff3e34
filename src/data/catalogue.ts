/** Bodies, coatings with their versions, and kilns. */
import type { BodyTrait, CoatingTrait, KilnBuild } from '@/core/load';
import type { CoatingKind } from '@/core/zones';
import type { Row, Source } from './database';
import { newId, slugOf } from './ids';

export const BODY_KINDS = ['earthenware', 'stoneware', 'porcelain', 'other'] as const;
export const GROUNDS = ['light', 'mid', 'dark', 'porcelain'] as const;
export const ENERGIES = ['electric', 'gas', 'wood', 'other'] as const;
export const CONTROLS = ['controller', 'shut-off', 'by hand'] as const;

export type Body = {
  id: string;
  slug: string;
  name: string;
  kind: (typeof BODY_KINDS)[number];
  coneLow: string | null;
  coneHigh: string | null;
  ground: (typeof GROUNDS)[number];
  ironBearing: boolean;
  colour: string;
  notes: string;
  cautions: string;
  traits: BodyTrait[];
  revision: number;
  archived: boolean;
};

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
  /** Made by a question for its blends; not offered among the studio's own. */
  trial: boolean;
  versions: CoatingVersion[];
};

export type Kiln = KilnBuild & {
  id: string;
  slug: string;
  name: string;
  energy: (typeof ENERGIES)[number];
  control: (typeof CONTROLS)[number];
  volumeL: number | null;
  shelves: number;
  notes: string;
  revision: number;
  archived: boolean;
};

export type BodyFields = Omit<Body, 'id' | 'slug' | 'revision' | 'archived'>;
export type CoatingFields = Omit<
  Coating,
  'id' | 'slug' | 'revision' | 'archived' | 'trial' | 'versions'
>;
export type KilnFields = Omit<Kiln, 'id' | 'slug' | 'revision' | 'archived'>;

const bodyColumns = (body: BodyFields): Record<string, unknown> => ({
  name: body.name,
  kind: body.kind,
  cone_low: body.coneLow,
  cone_high: body.coneHigh,
  ground: body.ground,
  iron_bearing: body.ironBearing,
  colour: body.colour,
  notes: body.notes,
  cautions: body.cautions,
  traits: JSON.stringify(body.traits),
});

const coatingColumns = (coating: CoatingFields): Record<string, unknown> => ({
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

const kilnColumns = (kiln: KilnFields): Record<string, unknown> => ({
  name: kiln.name,
  energy: kiln.energy,
  control: kiln.control,
  volume_l: kiln.volumeL,
  shelves: kiln.shelves,
  shelf_shape: kiln.shelfShape,
  shelf_width_mm: kiln.shelfWidthMm,
  shelf_depth_mm: kiln.shelfDepthMm,
  chamber_mm: kiln.chamberMm,
  thermocouple_x_mm: kiln.thermocoupleXMm,
  thermocouple_y_mm: kiln.thermocoupleYMm,
  power_kw: kiln.powerKw,
  unit_price: kiln.unitPrice,
  climb_rate: kiln.climbRate,
  latest_hours: kiln.latestHours,
  notes: kiln.notes,
});

const body = (row: Row): Body => ({
  id: row.id,
  slug: row.slug,
  name: row.name,
  kind: row.kind,
  coneLow: row.cone_low,
  coneHigh: row.cone_high,
  ground: row.ground,
  ironBearing: Boolean(row.iron_bearing),
  colour: row.colour,
  notes: row.notes,
  cautions: row.cautions,
  traits: row.traits,
  revision: row.revision,
  archived: row.archived_at !== null,
});

const kiln = (row: Row): Kiln => ({
  id: row.id,
  slug: row.slug,
  name: row.name,
  energy: row.energy,
  control: row.control,
  volumeL: row.volume_l,
  shelves: row.shelves,
  shelfShape: row.shelf_shape,
  shelfWidthMm: row.shelf_width_mm,
  shelfDepthMm: row.shelf_depth_mm,
  chamberMm: row.chamber_mm,
  thermocoupleXMm: row.thermocouple_x_mm,
  thermocoupleYMm: row.thermocouple_y_mm,
  powerKw: row.power_kw,
  unitPrice: row.unit_price,
  climbRate: row.climb_rate,
  latestHours: row.latest_hours,
  notes: row.notes,
  revision: row.revision,
  archived: row.archived_at !== null,
});

export async function listBodies(src: Source): Promise<Body[]> {
  return (await src('body').orderBy('name')).map(body);
}

export async function listKilns(src: Source): Promise<Kiln[]> {
  return (await src('kiln').orderBy('name')).map(kiln);
}

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
    trial: Boolean(row.trial),
    versions: byCoating.get(row.id) ?? [],
  }));
}

export type Offered = { coating: Coating; version: CoatingVersion; name: string };

/**
 * What can be put on: the newest version of every coating in use, and the versions `also`,
 * by id, as a piece or a link names them. Within a coating the newest comes last.
 */
export function offeredVersions(
  coatings: readonly Coating[],
  also: readonly string[] = [],
): Offered[] {
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

/** A slug that no row of the table has yet. Slugs never change afterwards, names may. */
async function freeSlug(
  src: Source,
  table: 'body' | 'coating' | 'kiln',
  name: string,
): Promise<string> {
  const slug = slugOf(name);
  const taken = new Set(
    (await src(table).where('slug', 'like', `${slug}%`).select('slug')).map((row) => row.slug),
  );
  if (!taken.has(slug)) return slug;
  for (let n = 2; ; n++) if (!taken.has(`${slug}-${n}`)) return `${slug}-${n}`;
}

export async function createBody(src: Source, id: string, fields: BodyFields): Promise<string> {
  const slug = await freeSlug(src, 'body', fields.name);
  await src('body').insert({ id, slug, ...bodyColumns(fields) });
  return slug;
}

export async function createKiln(src: Source, id: string, fields: KilnFields): Promise<string> {
  const slug = await freeSlug(src, 'kiln', fields.name);
  await src('kiln').insert({ id, slug, ...kilnColumns(fields) });
  return slug;
}

/** A new coating comes with its version 1. */
export async function createCoating(
  src: Source,
  id: string,
  fields: CoatingFields,
  now: Date,
  trial = false,
): Promise<string> {
  const slug = await freeSlug(src, 'coating', fields.name);
  await src('coating').insert({ id, slug, trial, ...coatingColumns(fields) });
  await addVersion(src, id, '', now);
  return slug;
}

export async function addVersion(
  src: Source,
  coatingId: string,
  notes: string,
  now: Date,
): Promise<{ id: string; no: number }> {
  await src('coating').where({ id: coatingId }).forUpdate().first('id');
  const row = await src('coating_version')
    .where({ coating_id: coatingId })
    .max({ no: 'no' })
    .first();
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

type Editable = { body: BodyFields; coating: CoatingFields; kiln: KilnFields };
const COLUMNS = { body: bodyColumns, coating: coatingColumns, kiln: kilnColumns };

/** Saves over the revision that was read; false when somebody saved in between. */
export async function updateEntry<T extends keyof Editable>(
  src: Source,
  table: T,
  id: string,
  fields: Editable[T],
  revision: number,
): Promise<boolean> {
  const columns = (COLUMNS[table] as (fields: Editable[T]) => Record<string, unknown>)(fields);
  return (
    (await src(table)
      .where({ id, revision })
      .update({ ...columns, revision: revision + 1 })) === 1
  );
}

export async function setArchived(
  src: Source,
  table: keyof Editable,
  id: string,
  at: Date | null,
): Promise<void> {
  await src(table).where({ id }).update({ archived_at: at });
}
