import type { Knex } from 'knex';

/** How a firing cooled is kept as a curve, and taken anew from its log after this. */
export async function up(db: Knex): Promise<void> {
  await db('firing').update({ cooled: null });
}
