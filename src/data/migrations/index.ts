import type { Knex } from 'knex';
import * as people from './0001-people';
import * as store from './0002-store';
import * as pieces from './0003-pieces';
import * as firings from './0004-firings';
import * as observations from './0005-observations';
import * as recipes from './0006-recipes';
import * as questions from './0007-questions';
import * as forms from './0008-forms';
import * as firingRoom from './0009-firing-room';
import * as journey from './0010-journey';
import * as axes from './0011-axes';
import * as looks from './0012-looks';
import * as blends from './0013-blends';
import * as coneByLog from './0014-cone-by-log';
import * as lessons from './0015-lessons';
import * as paperLogs from './0016-paper-logs';
import * as calledOff from './0017-called-off';
import * as grinding from './0018-grinding';
import * as merging from './0019-merging';
import * as inHand from './0020-in-hand';
import * as refire from './0021-refire';
import * as surfaces from './0022-surfaces';
import * as coolingCurves from './0023-cooling-curves';
import * as air from './0024-air';
import * as posts from './0025-posts';
import * as askedAbout from './0026-asked-about';
import * as shown from './0027-shown';
import * as materialsPutRight from './0028-materials-put-right';
import * as words from './0029-words';
import * as keys from './0030-keys';
import * as sessions from './0031-sessions';
import * as changed from './0032-changed';
import * as clinic from './0033-clinic';
import * as disagreed from './0034-disagreed';
import * as widerCases from './0035-wider-cases';
import * as useTests from './0036-use-tests';
import * as kilnRoom from './0037-kiln-room';
import * as frames from './0038-frames';
import * as picturesChosen from './0039-pictures-chosen';
import * as asked from './0040-asked';
import * as cameAs from './0041-came-as';
import * as moreKeys from './0042-more-keys';

type Migration = { name: string; up: (db: Knex) => Promise<void> };

/** In order; a migration that has shipped never changes. */
export const MIGRATIONS: readonly Migration[] = [
  { name: '0001-people', ...people },
  { name: '0002-store', ...store },
  { name: '0003-pieces', ...pieces },
  { name: '0004-firings', ...firings },
  { name: '0005-observations', ...observations },
  { name: '0006-recipes', ...recipes },
  { name: '0007-questions', ...questions },
  { name: '0008-forms', ...forms },
  { name: '0009-firing-room', ...firingRoom },
  { name: '0010-journey', ...journey },
  { name: '0011-axes', ...axes },
  { name: '0012-looks', ...looks },
  { name: '0013-blends', ...blends },
  { name: '0014-cone-by-log', ...coneByLog },
  { name: '0015-lessons', ...lessons },
  { name: '0016-paper-logs', ...paperLogs },
  { name: '0017-called-off', ...calledOff },
  { name: '0018-grinding', ...grinding },
  { name: '0019-merging', ...merging },
  { name: '0020-in-hand', ...inHand },
  { name: '0021-refire', ...refire },
  { name: '0022-surfaces', ...surfaces },
  { name: '0023-cooling-curves', ...coolingCurves },
  { name: '0024-air', ...air },
  { name: '0025-posts', ...posts },
  { name: '0026-asked-about', ...askedAbout },
  { name: '0027-shown', ...shown },
  { name: '0028-materials-put-right', ...materialsPutRight },
  { name: '0029-words', ...words },
  { name: '0030-keys', ...keys },
  { name: '0031-sessions', ...sessions },
  { name: '0032-changed', ...changed },
  { name: '0033-clinic', ...clinic },
  { name: '0034-disagreed', ...disagreed },
  { name: '0035-wider-cases', ...widerCases },
  { name: '0036-use-tests', ...useTests },
  { name: '0037-kiln-room', ...kilnRoom },
  { name: '0038-frames', ...frames },
  { name: '0039-pictures-chosen', ...picturesChosen },
  { name: '0040-asked', ...asked },
  { name: '0041-came-as', ...cameAs },
  { name: '0042-more-keys', ...moreKeys },
];

const stepsOf = (through?: string): readonly Migration[] =>
  through === undefined
    ? MIGRATIONS
    : MIGRATIONS.slice(0, MIGRATIONS.findIndex(({ name }) => name === through) + 1);

/** The database has taken steps that this program does not know. */
export class TooNew extends Error {
  constructor(steps: readonly string[]) {
    super(
      `These records were last used by a newer version of the program (${steps.join(', ')}). Start that version; this one would not understand them.`,
    );
  }
}

/** Steps that a database has taken, in order. */
export async function takenSteps(db: Knex): Promise<string[]> {
  if (!(await db.schema.hasTable('knex_migrations'))) return [];
  return db('knex_migrations').orderBy('id').pluck('name');
}

/** Steps that a database has still to take. Errors: TooNew. */
export async function pendingSteps(db: Knex, through?: string): Promise<string[]> {
  const taken = await takenSteps(db);
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  const strange = taken.filter((name) => !known.has(name));
  if (strange.length > 0) throw new TooNew(strange);
  return stepsOf(through)
    .map(({ name }) => name)
    .filter((name) => !taken.includes(name));
}

const LOCK_WAIT_TIMEOUT = 1205;
const IN_LINE_MS = 600_000;

/**
 * Holds a row while the steps are taken, so that they are taken by one process at a time. It is let
 * go of when the holder's connection ends, however that be: nothing is left behind by a kill.
 */
async function alone<T>(db: Knex, work: () => Promise<T>): Promise<T> {
  if (!(await db.schema.hasTable('migration_hold')))
    await db.raw('CREATE TABLE IF NOT EXISTS migration_hold (id TINYINT NOT NULL PRIMARY KEY)');
  await db.raw('INSERT INTO migration_hold (id) VALUES (1) ON DUPLICATE KEY UPDATE id = id');
  const until = Date.now() + IN_LINE_MS;
  for (;;) {
    const trx = await db.transaction();
    try {
      await trx('migration_hold').where({ id: 1 }).forUpdate().first();
    } catch (error) {
      await trx.rollback();
      if ((error as { errno?: number }).errno === LOCK_WAIT_TIMEOUT && Date.now() < until) continue;
      throw error;
    }
    try {
      return await work();
    } finally {
      await trx.rollback();
    }
  }
}

/**
 * Brings a database up to date, or up to `through`, one process at a time; says which steps were
 * taken. Errors: TooNew; whatever a step throws.
 */
export async function migrate(db: Knex, through?: string): Promise<string[]> {
  // Most of the time there is nothing to do, and nobody to wait for.
  if ((await pendingSteps(db, through)).length === 0) return [];
  const config: Knex.MigratorConfig = {
    migrationSource: {
      getMigrations: () => Promise.resolve([...stepsOf(through)]),
      getMigrationName: (step: Migration) => step.name,
      getMigration: (step: Migration) =>
        Promise.resolve({
          up: step.up,
          down: () => Promise.reject(new Error('Migrations go forward only.')),
        }),
    },
  };
  return alone(db, async () => {
    // Whoever held this lock and still ran would hold the row as well.
    if (await db.schema.hasTable('knex_migrations_lock')) await db.migrate.forceFreeMigrationsLock(config);
    const [, taken] = (await db.migrate.latest(config)) as [number, string[]];
    return taken;
  });
}
