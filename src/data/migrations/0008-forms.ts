import type { Knex } from 'knex';

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE form_card (
    id UUID NOT NULL PRIMARY KEY,
    name VARCHAR(80) NOT NULL UNIQUE,
    body_id UUID NULL REFERENCES body (id),
    clay_g DOUBLE NOT NULL CHECK (clay_g > 0),
    wet_height_mm FLOAT NULL CHECK (wet_height_mm > 0),
    wet_width_mm FLOAT NULL CHECK (wet_width_mm > 0),
    shrinkage FLOAT NULL CHECK (shrinkage BETWEEN 0 AND 0.3),
    fits VARCHAR(300) NOT NULL,
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL
  )`);
}
