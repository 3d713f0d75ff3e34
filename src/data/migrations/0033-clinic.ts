import type { Knex } from 'knex';

/**
 * Cases of the clinic: what somebody asked why of, what was said of it, and what turned out true. What
 * follows from the records is not kept here: it is read anew. Answers lie beside one another; the newest of a
 * fact stands.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE clinic_case (
    id UUID NOT NULL PRIMARY KEY,
    no INT NOT NULL UNIQUE,
    scope ENUM('piece', 'coating', 'bucket', 'body', 'kiln', 'firing') NOT NULL,
    piece_id UUID NULL REFERENCES piece (id),
    firing_id UUID NULL REFERENCES firing (id),
    coating_id UUID NULL REFERENCES coating (id),
    body_id UUID NULL REFERENCES body (id),
    question_id UUID NULL REFERENCES question (id),
    complaints LONGTEXT NOT NULL CHECK (json_valid(complaints)),
    opened_by UUID NOT NULL REFERENCES person (id),
    opened_at DATETIME(3) NOT NULL,
    turned_out LONGTEXT NULL CHECK (json_valid(turned_out)),
    closed_by UUID NULL REFERENCES person (id),
    closed_at DATETIME(3) NULL,
    closing_note VARCHAR(1000) NOT NULL DEFAULT '',
    revision INT NOT NULL DEFAULT 1,
    KEY clinic_case_piece (piece_id),
    KEY clinic_case_open (closed_at, opened_at)
  )`);
  await db.raw(`CREATE TABLE clinic_answer (
    id UUID NOT NULL PRIMARY KEY,
    case_id UUID NOT NULL,
    fact VARCHAR(40) CHARACTER SET ascii NOT NULL,
    value VARCHAR(40) CHARACTER SET ascii NULL,
    said_by UUID NOT NULL REFERENCES person (id),
    said_at DATETIME(3) NOT NULL,
    KEY clinic_answer_case (case_id, said_at),
    CONSTRAINT clinic_answer_of FOREIGN KEY (case_id) REFERENCES clinic_case (id)
  )`);
}
