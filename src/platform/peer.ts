import { headers } from 'next/headers';
import { NONCE, PEER, TLS } from './told';

/** The address of whoever asks, as the front knows it. */
export const peerAddress = async (): Promise<string> => (await headers()).get(PEER) ?? 'local';

/** Is their way here encrypted? */
export const overTls = async (): Promise<boolean> => (await headers()).get(TLS) !== null;

/** What marks as the server's own the words that it writes into this page. */
export const pageNonce = async (): Promise<string | undefined> => (await headers()).get(NONCE) ?? undefined;
