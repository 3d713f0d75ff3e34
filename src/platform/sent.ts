/** Answers that are written once and sent to many. */
import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';

/** An answer ready to leave, plain and small, with the mark it is known by. */
export type Sent = { plain: Buffer; small: Buffer; mark: string };

const squeeze = promisify(gzip);

export async function written(data: unknown): Promise<Sent> {
  const plain = Buffer.from(JSON.stringify({ ok: true, data }));
  const mark = `"${createHash('sha256').update(plain).digest('base64url')}"`;
  return { plain, small: await squeeze(plain), mark };
}

/** Written once for each version of a thing, for as long as the thing itself is kept. */
export function writtenOnce<T extends object>(): (
  of: T,
  version: string,
  tell: () => unknown,
) => Promise<Sent> {
  const kept = new WeakMap<T, Map<string, Promise<Sent>>>();
  return (of, version, tell) => {
    const versions = kept.get(of) ?? new Map<string, Promise<Sent>>();
    kept.set(of, versions);
    const made = versions.get(version) ?? written(tell());
    versions.set(version, made);
    return made;
  };
}
