import type { Knex } from 'knex';

/**
 * What a firing says of its kiln's thermocouple is kept under each law of the bend, and a kiln is known
 * with what its next firing may feel. Both are derived from logs and cones, and taken anew after this.
 */
export async function up(db: Knex): Promise<void> {
  await db('firing').update({ said: null, taught: null });
}
