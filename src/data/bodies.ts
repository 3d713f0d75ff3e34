/** Clay bodies. */
import type { BODY_KINDS, GROUNDS } from '@/core/studio';
import type { Row, Source } from './database';
import { freeSlug } from './slugs';
import type { BodyTrait } from '@/core/load/check-terms';

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
  /** It was a double of this one, which has its records now. */
  mergedInto: string | null;
};

export type BodyFields = Omit<Body, 'id' | 'slug' | 'revision' | 'archived' | 'mergedInto'>;

export const bodyColumns = (body: BodyFields): Record<string, unknown> => ({
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

export const body = (row: Row): Body => ({
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
  mergedInto: row.merged_into,
});

export async function listBodies(src: Source): Promise<Body[]> {
  return (await src('body').orderBy('name')).map(body);
}

export async function createBody(src: Source, id: string, fields: BodyFields): Promise<string> {
  const slug = await freeSlug(src, 'body', fields.name);
  await src('body').insert({ id, slug, ...bodyColumns(fields) });
  return slug;
}
