/**
 * People at work on a studio that is killed under them: each goes on sending one thing until it is answered.
 */
import { setTimeout as wait } from 'node:timers/promises';
import sharp from 'sharp';
import { v7 } from 'uuid';

export type Sent = {
  kind: 'piece' | 'body' | 'picture';
  mark: string;
  acknowledged: boolean;
  tries: number;
};

type Answer = { ok: boolean; data?: unknown; problem?: { code: string; message: string } };

const UNSURE = new Set(['failed', 'database-away', 'no-room']);

export class Person {
  readonly sent: Sent[] = [];
  private cookie = '';

  constructor(
    private readonly url: string,
    private readonly stopped: () => boolean,
  ) {}

  /** Sends under one id until there is an answer that is sure; null when it was stopped before. */
  async act(name: string, input: unknown, file?: Buffer): Promise<Answer | null> {
    const id = v7();
    for (let tries = 1; ; tries++) {
      const last = this.sent.at(-1);
      if (last !== undefined && !last.acknowledged) last.tries = tries;
      const answer = await this.once(`/api/act/${name}`, id, input, file);
      if (answer?.ok) return answer;
      if (answer?.problem?.code === 'not-signed-in') await this.signIn();
      else if (answer !== null && !UNSURE.has(answer.problem?.code ?? 'failed'))
        throw new Error(`${name}: ${JSON.stringify(answer)}`);
      if (this.stopped()) return null;
      await wait(100);
    }
  }

  private async once(path: string, id: string, input: unknown, file?: Buffer): Promise<Answer | null> {
    let body: string | FormData = JSON.stringify({ id, input });
    if (file !== undefined) {
      body = new FormData();
      body.set('id', id);
      body.set('input', JSON.stringify(input));
      body.set('file', new Blob([new Uint8Array(file)]), 'tile.png');
    }
    try {
      const answer = await fetch(this.url + path, {
        method: 'POST',
        headers: {
          cookie: this.cookie,
          ...(file === undefined ? { 'content-type': 'application/json' } : {}),
        },
        body,
        signal: AbortSignal.timeout(20_000),
      });
      return (await answer.json()) as Answer;
    } catch {
      return null;
    }
  }

  /** The cookie of this person. */
  get signedInBy(): string {
    return this.cookie;
  }

  async signIn(): Promise<void> {
    try {
      const answer = await fetch(`${this.url}/api/door/sign-in`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ login: 'ada', password: 'a-long-way-to-go' }),
      });
      this.cookie = answer.headers
        .getSetCookie()
        .map((one) => one.split(';')[0])
        .join('; ');
    } catch {
      // It is down; the next try comes.
    }
  }

  private async one(
    kind: Sent['kind'],
    mark: string,
    name: string,
    input: unknown,
    file?: Buffer,
  ): Promise<void> {
    this.sent.push({ kind, mark, acknowledged: false, tries: 0 });
    const answer = await this.act(name, input, file);
    if (answer !== null) this.sent.at(-1)!.acknowledged = true;
  }

  async makesPieces(bodyId: string): Promise<void> {
    for (let i = 0; !this.stopped(); i++) {
      const mark = `piece ${v7()}`;
      await this.one('piece', mark, 'tests.make', {
        kind: 'tile',
        bodyId,
        form: 'L tile',
        heightMm: 90,
        count: 1,
        marks: [],
        ownerId: null,
        madeOn: null,
        notes: mark,
        faces: [{ no: 1, kind: 'bare', slipVersionId: null }],
        layers: [],
        exceptions: [],
        flag: '',
        waitingFor: 'glaze',
        wantedCone: '6',
        wantedAtmosphere: 'oxidation',
      });
    }
  }

  async addsBodies(fields: object): Promise<void> {
    for (let i = 0; !this.stopped(); i++) {
      const mark = `body ${v7()}`;
      await this.one('body', mark, 'store.save-body', {
        id: null,

        fields: { ...fields, name: mark },
      });
    }
  }

  async takesPictures(pieceId: string): Promise<void> {
    for (let i = 0; !this.stopped(); i++) {
      const background = { r: i % 256, g: Math.floor(i / 256) % 256, b: 90 };
      const picture = await sharp({ create: { width: 40 + (i % 7), height: 60, channels: 3, background } })
        .png()
        .toBuffer();
      const { createHash } = await import('node:crypto');
      const mark = createHash('sha256').update(picture).digest('hex');
      await this.one('picture', mark, 'media.add-picture', { pieceId, firingId: null }, picture);
    }
  }
}
