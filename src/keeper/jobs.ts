/** What the keeper does with backups: one thing at a time, with a word about how far it is. */
import { existsSync, readFileSync } from 'node:fs';
import { mkdir, rm, stat } from 'node:fs/promises';
import { dirname, isAbsolute, join } from 'node:path';
import { z } from 'zod';
import type { Database } from '../data/database';
import { writeText } from './backup/files';
import { copyBackup, makeBackup, tidy, type Progress } from './backup/make';
import type { BackupKind } from './backup/manifest';
import { isDue } from './backup/nights';
import { unpack } from './backup/packed';
import { bringBack } from './backup/restore';
import { Shelf, type Backup } from './backup/shelf';
import { tryBackup } from './backup/verify';
import { currentDatabase, pointAt } from './current';
import { dropDatabase, openOn, type RunningDatabase } from './server';
import type { HouseAct, HouseState } from './state';

/** A wish that cannot be fulfilled, in words for whoever wished. */
export class CannotDo extends Error {}

const settings = z.object({ elsewhere: z.string().nullable() });
/** A backup that was tried is tried again after so long. */
const TRY_AGAIN_MS = 7 * 86_400_000;

export type JobWords = {
  server: () => RunningDatabase;
  /** Begins the application anew, on the database that is pointed at. */
  renew: (meanwhile: () => Promise<void>) => Promise<void>;
  after: (db: Database) => Promise<void>;
  /** Something is other than it was; `backups` when the list of them is. */
  changed: (what: 'word' | 'backups') => void;
};

export class Jobs {
  busy: HouseState['busy'] = null;
  last: HouseState['last'] = null;
  private wrongElsewhere: string | null = null;
  private queue: Promise<unknown> = Promise.resolve();

  constructor(private readonly house: JobWords) {}

  private get folder() {
    return this.house.server().folder;
  }

  get shelf(): Shelf {
    return new Shelf(this.folder.backups);
  }

  private get settingsPath(): string {
    return join(this.folder.data, 'keeper.json');
  }

  /** The folder on another disk, and what was wrong when it was last used. */
  elsewhere(): HouseState['elsewhere'] {
    if (!existsSync(this.settingsPath)) return null;
    const said = settings.safeParse(JSON.parse(readFileSync(this.settingsPath, 'utf8')));
    const path = said.success ? said.data.elsewhere : null;
    return path === null ? null : { path, wrong: this.wrongElsewhere };
  }

  /** Does one thing after another; its end is told, its error too. */
  private one(what: string, work: (said: Progress) => Promise<string>): Promise<void> {
    const run = this.queue.then(async () => {
      const since = new Date().toISOString();
      const said = (word: string): void => {
        this.busy = { what, said: word, since };
        this.house.changed('word');
      };
      said('beginning');
      try {
        this.last = { what, ok: true, said: await work(said), at: new Date().toISOString() };
      } catch (error) {
        const word = error instanceof Error ? error.message : String(error);
        this.last = { what, ok: false, said: word, at: new Date().toISOString() };
      }
      this.busy = null;
      this.house.changed('backups');
    });
    this.queue = run;
    return run;
  }

  private async find(name: string): Promise<Backup> {
    const found = (await this.shelf.list()).find((one) => one.name === name);
    if (found === undefined) throw new CannotDo('There is no such backup any more.');
    return found;
  }

  /** Begins what was asked for. Errors: CannotDo. */
  async begin(act: HouseAct): Promise<void> {
    if (act.act === 'elsewhere') return this.setElsewhere(act.path);
    if (this.busy !== null)
      throw new CannotDo(`Something else is being done: ${this.busy.what}. Wait for its end.`);
    if (act.act === 'backup') return void this.backup('asked');
    if (act.act === 'take-in') return void this.takeIn(act.file);
    const backup = await this.find(act.name);
    if (act.act === 'verify') return void this.verify(backup);
    const studio = await this.studioName();
    if (act.typed.trim() !== studio)
      throw new CannotDo(`Type the studio’s name, “${studio}”, to say that you mean it.`);
    void this.restore(backup);
  }

  backup(kind: BackupKind): Promise<void> {
    return this.one(kind === 'night' ? 'the nightly backup' : 'a backup', async (said) => {
      const { shelf } = this;
      const server = this.house.server();
      const made = await makeBackup(server, currentDatabase(server.folder), shelf, kind, { said });
      await tidy(shelf);
      const words = [`${made.manifest.pictures.length} files of pictures and the database are put away`];
      const beyond = this.elsewhere();
      if (beyond !== null) {
        said(`copying it to ${beyond.path}`);
        words.push(await this.carry(shelf, beyond.path, made));
      }
      return `${words.join('; ')}.`;
    });
  }

  /** The copy on another disk: that it is away today is no reason to have no backup at all. */
  private async carry(shelf: Shelf, path: string, backup: Backup): Promise<string> {
    try {
      if (!existsSync(path)) throw new Error(`${path} is not there: is the disk connected?`);
      const other = new Shelf(path);
      await copyBackup(shelf, other, backup);
      await tidy(other);
      this.wrongElsewhere = null;
      return `copied to ${path}`;
    } catch (error) {
      this.wrongElsewhere = error instanceof Error ? error.message : String(error);
      return `the copy failed: ${this.wrongElsewhere}`;
    }
  }

  verify(backup: Backup): Promise<void> {
    return this.one('trying a backup', async (said) => {
      const trial = await tryBackup(this.shelf, backup, this.folder.data, said);
      await this.shelf.tell(backup.name, { at: new Date().toISOString(), ...trial });
      if (!trial.ok) throw new Error(trial.said);
      return trial.said;
    });
  }

  restore(backup: Backup): Promise<void> {
    return this.one('bringing a backup back', async (said) => {
      const { shelf } = this;
      const server = this.house.server();
      const before = currentDatabase(server.folder);
      const database = await bringBack(server, shelf, backup, { said, after: this.house.after });
      let kept = '';
      // Nobody writes from here on: what was acknowledged is in the backup of before.
      try {
        await this.house.renew(async () => {
          said('a backup of what is here now');
          kept = (await makeBackup(server, before, shelf, 'before-restore')).name;
          await pointAt(server.folder, database);
          said('starting the application on it');
        });
      } catch (error) {
        // What was brought back is the studio only once it is pointed at.
        if (currentDatabase(server.folder) === before) await dropDatabase(server, database);
        throw error;
      }
      await dropDatabase(server, before);
      await tidy(shelf);
      return `The studio is as it was on ${backup.manifest.made.slice(0, 16).replace('T', ' ')} UTC. What was here before is kept as ${kept}.`;
    });
  }

  /** A packed backup that was put into the folder for it becomes one of the list. */
  takeIn(file: string): Promise<void> {
    return this.one('taking a backup in', async () => {
      const path = join(this.folder.backups, 'incoming', file.replace(/[^\w.-]/g, ''));
      try {
        const { manifest } = await unpack(path, this.shelf);
        return `The backup of “${manifest.studio}” of ${manifest.made.slice(0, 10)} is in the list now.`;
      } finally {
        await rm(path, { force: true });
      }
    });
  }

  private async studioName(): Promise<string> {
    const server = this.house.server();
    const db = openOn(server, currentDatabase(server.folder));
    try {
      return ((await db('studio').first('name'))?.name as string | undefined) ?? '';
    } finally {
      await db.destroy();
    }
  }

  /** Says where the copies go; an empty path says nowhere. */
  private async setElsewhere(path: string): Promise<void> {
    const wanted = path.trim();
    if (wanted !== '') {
      if (!isAbsolute(wanted)) throw new CannotDo('Give the whole path of the folder, from / on.');
      if (!existsSync(dirname(wanted)) && !existsSync(wanted))
        throw new CannotDo(`${dirname(wanted)} is not there: is the disk connected?`);
      try {
        await mkdir(wanted, { recursive: true, mode: 0o700 });
        await writeText(join(wanted, '.jiten-may-write'), '');
        await rm(join(wanted, '.jiten-may-write'));
      } catch {
        throw new CannotDo(`Nothing can be written into ${wanted}.`);
      }
      const [here, there] = await Promise.all([stat(this.folder.data), stat(wanted)]);
      if (here.dev === there.dev)
        throw new CannotDo(
          'That folder is on the same disk as the studio: when the disk fails, both are gone. Choose one on another disk.',
        );
    }
    this.wrongElsewhere = null;
    await writeText(this.settingsPath, JSON.stringify({ elsewhere: wanted === '' ? null : wanted }));
    this.house.changed('word');
  }

  /** Makes the night's backup when none was made, and tries one a week. */
  async night(now: Date): Promise<void> {
    if (this.busy !== null) return;
    const nights = (await this.shelf.list()).filter(({ manifest }) => manifest.kind === 'night');
    const newest = nights[0];
    if ((await this.studioName()) === '') return;
    if (!isDue(now, newest === undefined ? null : new Date(newest.manifest.made))) return;
    await this.backup('night');
    const tried = nights.map(({ verified }) => Date.parse(verified?.at ?? '') || 0);
    if (Math.max(0, ...tried) > now.getTime() - TRY_AGAIN_MS) return;
    const [made] = (await this.shelf.list()).filter(({ manifest }) => manifest.kind === 'night');
    if (made !== undefined) await this.verify(made);
  }
}
