/**
 * What was written on this device and is not yet on the server. Items are sent in the
 * order they were written; each bears its operation id, so sending one twice is harmless.
 */
export type OutboxItem =
  | { id: string; kind: 'act'; name: string; input: unknown; label: string }
  | {
      id: string;
      kind: 'picture';
      file: Blob;
      fileName: string;
      pieceId: string;
      firingId: string;
      label: string;
    };

export type Delivery =
  | { outcome: 'done' }
  /** The server cannot be reached, or is ill: try the same again later. */
  | { outcome: 'later'; message: string }
  /** The server said no: a person must look at it. */
  | { outcome: 'refused'; message: string; details?: unknown };

export type OutboxStore = {
  read: () => Promise<OutboxItem[]>;
  write: (items: OutboxItem[]) => Promise<void>;
};
export type Refused = { item: OutboxItem; message: string; details?: unknown };
export type OutboxState = {
  /** Has the device been looked through? Before that nobody knows what waits. */
  ready: boolean;
  waiting: number;
  sending: boolean;
  trouble: string | null;
  refused: Refused | null;
};

export class Outbox {
  private items: OutboxItem[] = [];
  private refused: Refused | null = null;
  private trouble: string | null = null;
  private sending = false;
  private readonly left: Promise<readonly OutboxItem[]>;
  private ready = false;

  constructor(
    private readonly store: OutboxStore,
    private readonly deliver: (item: OutboxItem) => Promise<Delivery>,
    private readonly changed: (state: OutboxState) => void,
  ) {
    this.left = store.read().then((items) => {
      this.items = [...items];
      this.ready = true;
      this.tell();
      return items;
    });
  }

  state(): OutboxState {
    return {
      ready: this.ready,
      waiting: this.items.length,
      sending: this.sending,
      trouble: this.trouble,
      refused: this.refused,
    };
  }

  /** What an earlier visit left on this device. */
  leftBehind(): Promise<readonly OutboxItem[]> {
    return this.left;
  }

  /** Keeps an item on the device; resolves when it is safe there. Sending goes on by itself. */
  async add(item: OutboxItem): Promise<void> {
    await this.left;
    this.items.push(item);
    await this.store.write(this.items);
    this.tell();
    void this.flush();
  }

  /** Sends what waits, in order, until something cannot be sent now. */
  async flush(): Promise<void> {
    await this.left;
    if (this.sending || this.refused !== null) return;
    this.sending = true;
    this.tell();
    while (this.items.length > 0) {
      const item = this.items[0] as OutboxItem;
      const delivery = await this.deliver(item);
      if (delivery.outcome === 'later') {
        this.trouble = delivery.message;
        break;
      }
      this.trouble = null;
      if (delivery.outcome === 'refused') {
        this.refused = { item, message: delivery.message, details: delivery.details };
        break;
      }
      this.items = this.items.slice(1);
      await this.store.write(this.items);
      this.tell();
    }
    this.sending = false;
    this.tell();
  }

  /** Answers a refusal: send this instead (null: leave it out), then go on. */
  async settle(instead: OutboxItem | null): Promise<void> {
    if (this.refused === null) return;
    this.items = instead === null ? this.items.slice(1) : [instead, ...this.items.slice(1)];
    this.refused = null;
    await this.store.write(this.items);
    this.tell();
    await this.flush();
  }

  private tell(): void {
    this.changed(this.state());
  }
}
