/** Ports of this machine. */
import { createServer } from 'node:net';

/** The port that was got: the wanted one (0 for any), or null when it is taken. */
function listen(port: number, host: string): Promise<number | null> {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(null));
    server.listen(port, host, () => {
      const address = server.address();
      const got = typeof address === 'object' && address !== null ? address.port : null;
      server.close(() => resolve(got));
    });
  });
}

/** A port that nothing listens on at this moment. */
export async function freePort(host = '127.0.0.1'): Promise<number> {
  const port = await listen(0, host);
  if (port === null) throw new Error(`Nothing can listen on ${host}.`);
  return port;
}

const PREFERRED = 3000;

/**
 * The port to be used, and a word when it is not the usual one.
 * Errors: a port that was asked for by number is taken.
 */
export async function portFor(
  asked: number | null,
  host: string,
): Promise<{ port: number; word: string | null }> {
  const wanted = asked ?? PREFERRED;
  if ((await listen(wanted, host)) !== null) return { port: wanted, word: null };
  if (asked !== null)
    throw new Error(`Port ${wanted} is taken by another program. Stop that one, or start with another PORT.`);
  const port = await freePort(host);
  return { port, word: `Port ${wanted} is taken by another program; ${port} is used instead.` };
}
