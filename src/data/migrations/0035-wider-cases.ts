import type { Knex } from 'knex';

/** A case may be of one bucket; and it knows which test its question was made for. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE clinic_case
    ADD COLUMN bucket_id UUID NULL REFERENCES bucket (id) AFTER coating_id,
    ADD COLUMN test_fact VARCHAR(40) CHARACTER SET ascii NULL AFTER question_id`);
}
