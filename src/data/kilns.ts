/** Kilns as they stand in the studio. */
import type { KilnBuild, Post } from '@/core/load';
import type { CONTROLS, ENERGIES } from '@/core/studio';
import type { Row, Source } from './database';
import { freeSlug } from './slugs';

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
  /** It was a double of this one, which has its records now. */
  mergedInto: string | null;
  /** It stands for "nobody knows which". */
  nobodyKnows: boolean;
  /** Where its posts stand, where they were moved. */
  posts: Post[] | null;
};

export type KilnFields = Omit<
  Kiln,
  'id' | 'slug' | 'revision' | 'archived' | 'mergedInto' | 'nobodyKnows' | 'posts'
>;

export const kilnColumns = (kiln: KilnFields): Record<string, unknown> => ({
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
  shows_unit: kiln.showsUnit,
  notes: kiln.notes,
});

export const kiln = (row: Row): Kiln => ({
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
  showsUnit: row.shows_unit,
  notes: row.notes,
  revision: row.revision,
  archived: row.archived_at !== null,
  mergedInto: row.merged_into,
  nobodyKnows: Boolean(row.nobody_knows),
  posts: row.posts,
});

export async function listKilns(src: Source): Promise<Kiln[]> {
  return (await src('kiln').orderBy('name')).map(kiln);
}

export async function createKiln(src: Source, id: string, fields: KilnFields): Promise<string> {
  const slug = await freeSlug(src, 'kiln', fields.name);
  await src('kiln').insert({ id, slug, ...kilnColumns(fields) });
  return slug;
}

/** Where a kiln's posts stand; null: at their usual places. */
export const setPosts = (src: Source, id: string, posts: readonly Post[] | null): Promise<number> =>
  src('kiln')
    .where({ id })
    .update({ posts: posts === null ? null : JSON.stringify(posts) });
