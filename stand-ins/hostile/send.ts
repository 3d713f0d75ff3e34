/** Sends what a civil client would not: any bytes as an address. */
import { connect } from 'node:net';

export type Heard = { status: number; text: string; ms: number };

/** One request over a line of its own; status 0 when the line broke without an answer. */
export function sendRaw(
  base: string,
  request: { method: string; address: string; headers: Record<string, string>; body?: string },
): Promise<Heard> {
  const { hostname, port } = new URL(base);
  const body = Buffer.from(request.body ?? '');
  const head = {
    host: `${hostname}:${port}`,
    connection: 'close',
    ...(request.body === undefined ? {} : { 'content-length': String(body.length) }),
    ...request.headers,
  };
  const lines = Object.entries(head).map(([name, value]) => `${name}: ${value}`);
  const began = performance.now();
  return new Promise((resolve) => {
    const parts: Buffer[] = [];
    const line = connect(Number(port), hostname);
    const done = (): void => {
      const text = Buffer.concat(parts).toString('latin1');
      const status = Number(/^HTTP\/1\.\d (\d{3})/.exec(text)?.[1] ?? 0);
      resolve({ status, text, ms: performance.now() - began });
    };
    line.on('data', (part: Buffer) => parts.push(part));
    line.once('error', done).once('close', done);
    const first = `${request.method} ${request.address} HTTP/1.1`;
    line.write(Buffer.concat([Buffer.from(`${[first, ...lines].join('\r\n')}\r\n\r\n`, 'latin1'), body]));
  });
}
