import type { Knex } from 'knex';

/** Notes, doubts and questions are found by their words. */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE piece ADD FULLTEXT KEY piece_words (notes)');
  await db.raw('ALTER TABLE observation ADD FULLTEXT KEY observation_words (note)');
  await db.raw('ALTER TABLE flag ADD FULLTEXT KEY flag_words (text)');
  await db.raw('ALTER TABLE firing ADD FULLTEXT KEY firing_words (notes)');
  await db.raw('ALTER TABLE question ADD FULLTEXT KEY question_words (text, varied, held, expected)');
}
