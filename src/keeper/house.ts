/** The whole house on one data folder: its database and application, kept running, and its backups. */
import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { basename, join } from 'node:path';
import type { Database } from '../data/database';
import { startApplication, type RunningApplication } from './application';
import { Shelf } from './backup/shelf';
import { packInto } from './backup/packed';
import { bringUp } from './bring-up';
import { openControl } from './control';
import { currentDatabase } from './current';
import { folderOf, freeBytes, noRoom, ownDirectory, type Folder } from './folder';
import { holdFolder, type Hold } from './hold';
import { CannotDo, Jobs } from './jobs';
import { keep, type Kept } from './keep';
import { startCaddy, type RunningProxy } from './lan/caddy';
import { publishName } from './lan/name';
import type { LanPlace } from './lan/place';
import { openLogBook, type LogBook } from './log-book';
import { endLeftovers, noteChild } from './processes';
import { ensureDatabase, openOn, startDatabase, type RunningDatabase } from './server';
import { SOCKET_FILE, STATE_FILE, type HouseState } from './state';

const LOOK_EVERY_MS = 10 * 60_000;
/** The first moments belong to whoever waits for the studio. */
const FIRST_LOOK_MS = 60_000;
const FALLS_SHOWN = 20;

export type HouseOptions = {
  data: string;
  /** What holds the folder, in words for whoever finds it held. */
  what: string;
  say: (word: string) => void;
  /** Nothing helps any more: everything is ended. */
  gaveUp: () => void;
  /** Makes again what follows from the records, after a change of rules. */
  after: (db: Database) => Promise<void>;
};

export class House {
  readonly folder: Folder;
  readonly jobs: Jobs;
  private readonly since = new Date().toISOString();
  private falls: HouseState['falls'] = [];
  private control: Server | null = null;
  private timers: NodeJS.Timeout[] = [];
  private listed: HouseState['backups'] = [];
  private application: Kept<RunningApplication> | null = null;
  private door: Kept<RunningProxy> | null = null;
  private unpublish = (): void => undefined;

  private constructor(
    private readonly options: HouseOptions,
    private readonly hold: Hold,
    private readonly book: LogBook,
    private database: Kept<RunningDatabase>,
  ) {
    this.folder = folderOf(options.data);
    this.jobs = new Jobs({
      server: () => this.database.now(),
      renew: (meanwhile) => this.application?.renew(meanwhile) ?? meanwhile(),
      after: options.after,
      changed: (what) => void this.writeState(what === 'backups'),
    });
  }

  /**
   * Takes the folder, ends what a killed start left, starts the database and brings the records up to
   * date. Errors: Held; no room; the database's or a step's own words.
   */
  static async open(options: HouseOptions): Promise<House> {
    const folder = folderOf(options.data);
    mkdirSync(folder.data, { recursive: true });
    const full = noRoom(folder.data);
    if (full !== null) throw new Error(full);
    const hold = await holdFolder(folder, options.what);
    const book = openLogBook(folder);
    const fallen: { house: House | null } = { house: null };
    const words = (name: string) => ({
      name,
      fell: (word: string) => fallen.house?.fell(word),
      gaveUp: (word: string) => {
        fallen.house?.fell(word);
        options.gaveUp();
      },
    });
    try {
      const ended = await endLeftovers(folder);
      if (ended.length > 0) options.say(`Ended what a start that was killed had left: ${ended.join(', ')}.`);
      const database = await keep(async () => {
        const server = await startDatabase(options.data);
        noteChild(folder, 'database', server.pid);
        return server;
      }, words('database'));
      const house = new House(options, hold, book, database);
      fallen.house = house;
      try {
        await house.bringUp();
      } catch (error) {
        await house.stop();
        throw error;
      }
      return house;
    } catch (error) {
      book.close();
      hold.release();
      throw error;
    }
  }

  private async bringUp(): Promise<void> {
    const server = this.database.now();
    const database = currentDatabase(this.folder);
    await ensureDatabase(server, database);
    await bringUp({
      server,
      database,
      shelf: new Shelf(this.folder.backups),
      say: this.options.say,
      after: this.options.after,
    });
  }

  /** A pool on the studio's database; for whoever opened it to close. */
  open(): Database {
    return openOn(this.database.now(), currentDatabase(this.folder));
  }

  server(): RunningDatabase {
    return this.database.now();
  }

  private fell(word: string): void {
    this.falls = [{ at: new Date().toISOString(), word }, ...this.falls].slice(0, FALLS_SHOWN);
    this.options.say(word);
    this.book.note('fall', word);
    void this.writeState(false);
  }

  /** Starts the application, its keeper's door and the nights. */
  async serve(place: { host: string; port: number; env: Record<string, string> }): Promise<string> {
    this.application = await keep(
      async () => {
        const one = await startApplication({
          ...place,
          env: {
            ...place.env,
            JITEN_DATA: this.folder.data,
            JITEN_DB_SOCKET: this.folder.socket,
            JITEN_DB_KEY: this.folder.key,
            JITEN_DB_NAME: currentDatabase(this.folder),
          },
          said: (bytes) => this.book.lines(bytes),
        });
        noteChild(this.folder, 'application', one.pid);
        return one;
      },
      {
        name: 'application',
        fell: (word) => this.fell(word),
        gaveUp: (word) => {
          this.fell(word);
          this.options.gaveUp();
        },
      },
    );
    this.control = await openControl(join(this.folder.run, SOCKET_FILE), {
      begin: (act) => this.jobs.begin(act),
      pack: async (name, to) => {
        const found = (await this.jobs.shelf.list()).find((one) => one.name === basename(name));
        if (found === undefined) throw new CannotDo('There is no such backup any more.');
        to.writeHead(200, { 'content-type': 'application/x-tar' });
        await packInto(this.jobs.shelf, found, to);
      },
    });
    const look = async (): Promise<void> => {
      await this.writeState(true);
      await this.jobs.night(new Date());
    };
    const looking = (): void => void look().catch((error: unknown) => this.book.note('fall', String(error)));
    this.timers = [setTimeout(looking, FIRST_LOOK_MS), setInterval(looking, LOOK_EVERY_MS)];
    for (const timer of this.timers) timer.unref();
    await this.writeState(true);
    const { url } = this.application.now();
    this.hold.tell(url);
    return url;
  }

  /** Opens the studio to its local network, under TLS and one name. */
  async openToNetwork(place: LanPlace): Promise<void> {
    ownDirectory(this.folder.lan);
    this.door = await keep(
      async () => {
        const one = await startCaddy(this.folder.lan, place);
        noteChild(this.folder, 'door', one.pid);
        return one;
      },
      {
        name: 'door to the local network',
        fell: (word) => this.fell(word),
        // The studio goes on where it is; whoever is in the house can say so.
        gaveUp: (word) => this.fell(word),
      },
    );
    this.unpublish = publishName(place.name, () => place.addresses);
  }

  private async list(): Promise<HouseState['backups']> {
    return (await this.jobs.shelf.list()).map(({ name, manifest, verified }) => ({
      name,
      kind: manifest.kind,
      made: manifest.made,
      studio: manifest.studio,
      bytes: manifest.dump.bytes + manifest.pictures.reduce((sum, { bytes }) => sum + bytes, 0),
      pictures: manifest.pictures.filter((one) => one.name.endsWith('.original')).length,
      verified,
    }));
  }

  /** Says how things stand; a full disk keeps it from being said, not the house from running. */
  private async writeState(backups: boolean): Promise<void> {
    try {
      if (backups) this.listed = await this.list();
      const state: HouseState = {
        at: new Date().toISOString(),
        since: this.since,
        falls: this.falls,
        freeBytes: freeBytes(this.folder.data),
        backups: this.listed,
        elsewhere: this.jobs.elsewhere(),
        busy: this.jobs.busy,
        last: this.jobs.last,
      };
      const path = join(this.folder.run, STATE_FILE);
      writeFileSync(`${path}.part`, JSON.stringify(state), { mode: 0o600 });
      renameSync(`${path}.part`, path);
    } catch (error) {
      this.book.note('fall', `How the house stands could not be written: ${String(error)}`);
    }
  }

  /** Ends the application, then the database, then lets go of the folder. */
  async stop(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    this.control?.close();
    this.control?.closeAllConnections();
    this.unpublish();
    await this.door?.stop();
    await this.application?.stop();
    await this.database.stop();
    this.book.close();
    this.hold.release();
  }
}
