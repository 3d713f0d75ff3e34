/** A network that can be pulled out: a line to the application at an address of its own. */
import { connect, createServer, type Socket } from 'node:net';

export type Cable = {
  url: string;
  /** Nobody gets through any more, and what was under way is cut. */
  pull: () => Promise<void>;
  plugIn: () => Promise<void>;
  close: () => Promise<void>;
};

export async function cableTo(url: string): Promise<Cable> {
  const target = Number(new URL(url).port);
  const lines = new Set<Socket>();
  const make = () =>
    createServer((near) => {
      const far = connect(target, '127.0.0.1');
      for (const [one, other] of [
        [near, far],
        [far, near],
      ] as const) {
        lines.add(one);
        one.pipe(other);
        one.on('error', () => other.destroy());
        one.on('close', () => lines.delete(one));
      }
    });
  let server = make();
  const listen = (port: number): Promise<void> =>
    new Promise((done) => server.listen(port, '127.0.0.1', done));
  await listen(0);
  const { port } = server.address() as { port: number };
  const pull = async (): Promise<void> => {
    const closed = new Promise((done) => server.close(done));
    for (const line of lines) line.destroy();
    await closed;
  };
  return {
    url: `http://127.0.0.1:${port}`,
    pull,
    plugIn: () => {
      server = make();
      return listen(port);
    },
    close: pull,
  };
}
