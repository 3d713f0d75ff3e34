/**
 * What was written on this device and is not yet on the server. Each act is a row of its own, so that tabs do
 * not overwrite one another; it is sent in the order of writing, by one tab at a time, under its writer's
 * name alone, and leaves the device only when the server has it. What the server refuses is set aside and
 * holds up nothing.
 */
import { v7 } from 'uuid';
import { clockAhead, studioNow } from '../device/clock';
import type { DeviceStore, Item } from './store';

export type Delivery =
  | { outcome: 'done'; answer?: unknown }
  /** The server cannot be reached, or is ill: try the same again later. `tried`: it answered, and failed. */
  | { outcome: 'later'; message: string; tried?: boolean }
  /** The server said no: a person must look at it. */
  | { outcome: 'refused'; problem: NonNullable<Item['problem']> };

export type Deliver = (item: Item, file: File | null) => Promise<Delivery>;

/** An act to be kept and sent. */
export type ToKeep = Pick<Item, 'id' | 'name' | 'input' | 'label' | 'about'> &
  Partial<Pick<Item, 'back' | 'anyway'>> & { file?: File | null };

/** One tab at a time; a browser without locks lets them all, and ids make the same act one. */
export type Locks = Pick<LockManager, 'request'> | undefined;

/** An act that the server fails at so often, while it answers, is set aside. */
const TRIES = 5;
/** How long what was sent is remembered: a page that was kept on the device may be older than it. */
const REMEMBERED_MS = 7 * 86_400_000;

export class Sender {
  private flushing: Promise<void> | null = null;
  private again = false;
  /** Why nothing goes out just now; null where it does. */
  trouble: string | null = null;

  constructor(
    readonly store: DeviceStore,
    readonly person: string,
    private readonly deliver: Deliver,
    private readonly changed: () => void = () => undefined,
    private readonly locks: Locks = globalThis.navigator?.locks,
  ) {}

  /** Keeps an act; resolves when it is safe on the device. Sending goes on by itself. */
  async add({ file = null, ...act }: ToKeep): Promise<void> {
    await this.keep(act, file);
    void this.flush();
  }

  /** The same without sending; also inside a transaction over items and files. */
  async keep(act: Omit<ToKeep, 'file'>, file: File | null): Promise<void> {
    const { store } = this;
    await store.transaction('rw', store.items, store.files, async () => {
      // Touched twice before it was answered: it is the same act.
      if ((await store.items.get({ id: act.id })) !== undefined) return;
      if (file !== null) await store.files.put({ id: act.id, blob: file });
      await store.items.add({
        back: null,
        anyway: null,
        ...act,
        person: this.person,
        fileName: file?.name ?? null,
        at: Date.now(),
        ahead: clockAhead(),
        state: 'waiting',
        tries: 0,
        problem: null,
        sentAt: null,
        answer: null,
      });
    });
  }

  /**
   * Takes an act back: one that nobody has sent is as if never written; after one that the server has, or may
   * have, its opposite is sent.
   */
  async takeBack(id: string): Promise<void> {
    const { store } = this;
    await store.transaction('rw', store.items, store.files, async () => {
      const item = await store.items.get({ id });
      if (item === undefined) return;
      if (item.state === 'waiting' || item.state === 'refused') return this.forget(item);
      if (item.back === null) return;
      await this.keep({ ...item.back, id: v7(), label: `Not: ${item.label}`, about: item.about }, null);
    });
    void this.flush();
  }

  /** Answers a refusal: this instead (null: leave it out). It keeps its place in the order. */
  async settle(id: string, instead: { id: string; input: unknown } | null): Promise<void> {
    const { store } = this;
    await store.transaction('rw', store.items, store.files, async () => {
      const item = await store.items.get({ id });
      if (item === undefined || item.state !== 'refused') return;
      if (instead === null) return this.forget(item);
      const file = await store.files.get(id);
      if (file !== undefined) {
        await store.files.delete(id);
        await store.files.put({ ...file, id: instead.id });
      }
      await store.items.put({ ...item, ...instead, state: 'waiting', problem: null, tries: 0 });
    });
    await this.flush();
  }

  private async forget(item: Item): Promise<void> {
    await this.store.files.delete(item.id);
    await this.store.items.delete(item.seq!);
  }

  /**
   * Sends what waits, in order, until something cannot be sent now. Called while it runs, it looks once more.
   */
  flush(): Promise<void> {
    if (this.flushing !== null) {
      this.again = true;
      return this.flushing;
    }
    this.flushing = this.alone().finally(() => {
      this.flushing = null;
      this.changed();
    });
    this.changed();
    return this.flushing;
  }

  get sending(): boolean {
    return this.flushing !== null;
  }

  private async alone(): Promise<void> {
    do {
      this.again = false;
      const send = (): Promise<void> => this.sendAll();
      await (this.locks === undefined ? send() : this.locks.request(`jiten-sender-${this.person}`, send));
    } while (this.again && this.trouble === null);
  }

  private async sendAll(): Promise<void> {
    for (;;) {
      const item = await this.next();
      if (item === undefined) {
        this.trouble = null;
        await this.forgetOld();
        return;
      }
      // From here on the server may have it: taking it back means its opposite.
      await this.store.items.update(item.seq!, { state: 'sending' });
      const kept = item.fileName === null ? undefined : await this.store.files.get(item.id);
      const file = kept && new File([kept.blob], item.fileName ?? 'file', { type: kept.blob.type });
      const delivery = await this.deliver(item, file ?? null);
      if (!(await this.settled(item, delivery))) return;
    }
  }

  /** The first that is to go out. What was being sent when a tab was closed is sent again, under its id. */
  private async next(): Promise<Item | undefined> {
    const open = await this.store.items
      .where('[person+state]')
      .anyOf([this.person, 'waiting'], [this.person, 'sending'])
      .sortBy('seq');
    return open[0];
  }

  /** Writes down what became of an item; false where nothing more can go out now. */
  private async settled(item: Item, delivery: Delivery): Promise<boolean> {
    const { store } = this;
    const seq = item.seq!;
    if (delivery.outcome === 'later') {
      const tries = item.tries + (delivery.tried === true ? 1 : 0);
      if (tries < TRIES) {
        await store.items.update(seq, { tries });
        this.trouble = delivery.message;
        return false;
      }
      const problem = { code: 'failed', message: `${delivery.message} It was tried ${tries} times.` };
      await store.items.update(seq, { state: 'refused', problem, tries });
    } else if (delivery.outcome === 'refused')
      await store.items.update(seq, { state: 'refused', problem: delivery.problem });
    else
      await store.transaction('rw', store.items, store.files, async () => {
        await store.files.delete(item.id);
        await store.items.update(seq, {
          state: 'sent',
          sentAt: studioNow(),
          answer: delivery.answer ?? null,
        });
      });
    this.trouble = null;
    this.changed();
    return true;
  }

  private async forgetOld(): Promise<void> {
    const old = studioNow() - REMEMBERED_MS;
    await this.store.items
      .where('[person+state]')
      .equals([this.person, 'sent'])
      .filter(({ sentAt }) => (sentAt ?? 0) < old)
      .delete();
  }
}
