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
];

/** Brings a database up to date, or up to `through`; says which steps were taken. */
export async function migrate(db: Knex, through?: string): Promise<string[]> {
  const steps =
    through === undefined
      ? MIGRATIONS
      : MIGRATIONS.slice(0, MIGRATIONS.findIndex(({ name }) => name === through) + 1);
  const [, taken] = (await db.migrate.latest({
    migrationSource: {
      getMigrations: () => Promise.resolve([...steps]),
      getMigrationName: (step: Migration) => step.name,
      getMigration: (step: Migration) =>
        Promise.resolve({
          up: step.up,
          down: () => Promise.reject(new Error('Migrations go forward only.')),
        }),
    },
  })) as [number, string[]];
  return taken;
}
