import Dexie, { type DexieOptions, type Table } from 'dexie';

/** One act as it was written on this device. */
export type Item = {
  /** The order in which things were written here. */
  seq?: number;
  /** Of the operation: sent twice it is carried out once. */
  id: string;
  /** Who wrote it. Nobody else sends it, or sees it. */
  person: string;
  name: string;
  input: unknown;
  fileName: string | null;
  /** What it is, for its writer: "T-214", "Picture of T-214". */
  label: string;
  /** Which page it belongs to, as in "opening/<firing>". */
  about: string;
  /** When it was written, by the clock of this device, and by how much that was known to be ahead; ms. */
  at: number;
  ahead: number | null;
  /**
   * `sending` may be with the server already; `refused` waits for its writer; `sent` is kept a while without
   * its file, for pages that were made before.
   */
  state: 'waiting' | 'sending' | 'refused' | 'sent';
  /** How often the server answered that it could not. */
  tries: number;
  problem: { code: string; message: string; details?: unknown } | null;
  /** When the server had it, by its clock, ms, and what it answered. */
  sentAt: number | null;
  answer: unknown;
  /** The act that takes this one back, where it can be said before it is answered. */
  back: { name: string; input: unknown } | null;
  /** What to send where the server doubted it and its writer says that it is so. */
  anyway: { input: unknown } | null;
};

/** A picture or a sound that nobody has said of what it is. */
export type TrayItem = {
  id: string;
  person: string;
  /** Which page it was taken on. */
  about: string;
  kind: 'picture' | 'sound';
  /** When, by the clock of this device, ms. */
  at: number;
  fileName: string;
  /** A small one to look at; the full one is read when it goes out. */
  thumb: Blob | null;
};

/** What this device keeps: acts one by one, and their files apart so that a list does not read them. */
export class DeviceStore extends Dexie {
  items!: Table<Item, number>;
  files!: Table<{ id: string; blob: Blob }, string>;
  tray!: Table<TrayItem, string>;

  constructor(name = 'jiten', options?: DexieOptions) {
    super(name, options);
    this.version(1).stores({
      items: '++seq, &id, [person+state], [person+about]',
      files: 'id',
      tray: 'id, [person+about]',
    });
  }
}
