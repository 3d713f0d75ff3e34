/**
 * The front of the application: the one door that requests come through. It knows who is at the other end,
 * reads the address, and says with every answer what a page may do; the pages themselves are the framework's.
 */
import { randomBytes } from 'node:crypto';
import {
  createServer as http,
  type IncomingMessage,
  type RequestListener,
  type Server,
  type ServerResponse,
} from 'node:http';
import { createServer as https } from 'node:https';
import type { BlockList } from 'node:net';
import { readAddress } from './address';
import type { Certificate } from './certificate';
import { NONCE, PEER, TLS } from '@/platform/told';
import { dropClaims, peerOf } from './peer';
import { answerHeaders, policy } from './policy';
import { answerInWords } from './refusal-page';

export type Handler = (from: IncomingMessage, to: ServerResponse) => Promise<void>;

export type FrontOptions = {
  proxies: BlockList;
  certificate: Certificate | null;
  /** The sources are followed: a page may make code of words, as what is made anew in it does. */
  dev?: boolean;
  handle: Handler;
  /** What went wrong where nobody else could say so. */
  fault: (error: unknown) => void;
};

/** A whole studio over a slow line takes its time; the head of a request may not. */
const SLOWEST_MS = 30 * 60_000;

/** A server that is not listening yet. */
export function makeFront({ proxies, certificate, dev = false, handle, fault }: FrontOptions): Server {
  const answer: RequestListener = (from, to) => {
    const nonce = randomBytes(16).toString('base64');
    for (const [name, value] of answerHeaders(nonce, certificate?.trusted ?? false, dev))
      to.setHeader(name, value);
    const address = readAddress(from.url ?? '');
    if (!address.ok) {
      answerInWords(to, address.status, address.word, from.url?.startsWith('/api/') ?? false);
      return;
    }
    from.url = address.url;
    const peer = peerOf(from, proxies, certificate !== null);
    dropClaims(from.headers);
    from.headers[PEER] = peer.address;
    from.headers['x-forwarded-proto'] = peer.tls ? 'https' : 'http';
    if (peer.tls) from.headers[TLS] = 'yes';
    from.headers[NONCE] = nonce;
    // From here the framework takes the mark for what it writes itself.
    from.headers['content-security-policy'] = policy(nonce, dev);
    handle(from, to).catch((error: unknown) => {
      fault(error);
      if (to.headersSent) to.destroy();
      else answerInWords(to, 500, 'That did not work. Nothing that was saved is lost.', false);
    });
  };
  const server = certificate === null ? http(answer) : https(certificate, answer);
  server.requestTimeout = SLOWEST_MS;
  // A proxy, and a phone that looks at a board, keep a line open longer than the five seconds of the default.
  server.keepAliveTimeout = 75_000;
  server.headersTimeout = 80_000;
  return server;
}
