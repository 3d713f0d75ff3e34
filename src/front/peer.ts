/** Who is at the other end: the address that the connection comes from, or that a named proxy vouches for. */
import type { IncomingHttpHeaders, IncomingMessage } from 'node:http';
import { BlockList, isIP, isIPv6 } from 'node:net';

const plain = (address: string): string => address.replace(/^::ffff:(?=\d+\.)/, '');

/**
 * Proxies by address or network (“10.0.0.2, 192.168.4.0/24”). Errors: one that is neither, by name.
 */
export function namedProxies(named: string | undefined): BlockList {
  const list = new BlockList();
  for (const one of (named ?? '').split(',').map((part) => part.trim())) {
    if (one === '') continue;
    const [address = '', bits] = one.split('/');
    const family = isIPv6(address) ? 'ipv6' : 'ipv4';
    if (isIP(address) === 0) throw new Error(`JITEN_PROXY: “${one}” is no address.`);
    try {
      if (bits === undefined) list.addAddress(address, family);
      else list.addSubnet(address, Number(bits), family);
    } catch {
      throw new Error(`JITEN_PROXY: “${one}” is no network.`);
    }
  }
  return list;
}

const isNamed = (proxies: BlockList, address: string): boolean =>
  isIP(address) !== 0 && proxies.check(address, isIPv6(address) ? 'ipv6' : 'ipv4');

/** The last of a list that no named proxy stands behind: what is further left anybody may have written. */
function forwardedFor(said: string, proxies: BlockList, peer: string): string {
  let at = peer;
  for (const one of said.split(',').reverse()) {
    if (!isNamed(proxies, at)) break;
    const next = plain(one.trim());
    if (isIP(next) === 0) break;
    at = next;
  }
  return at;
}

const single = (header: string | string[] | undefined): string =>
  (Array.isArray(header) ? header.join(',') : header) ?? '';

export type Peer = { address: string; tls: boolean };

/** The address of whoever asks, and whether their way here is encrypted. */
export function peerOf(http: IncomingMessage, proxies: BlockList, ownTls: boolean): Peer {
  const direct = plain(http.socket.remoteAddress ?? '');
  if (!isNamed(proxies, direct)) return { address: direct, tls: ownTls };
  const { headers } = http;
  return {
    address: forwardedFor(single(headers['x-forwarded-for']), proxies, direct),
    tls: ownTls || single(headers['x-forwarded-proto']).split(',')[0]?.trim() === 'https',
  };
}

/** Nothing that only a proxy or the front may say reaches the application from outside. */
export function dropClaims(headers: IncomingHttpHeaders): void {
  for (const name of Object.keys(headers))
    if (name === 'forwarded' || /^x-(forwarded|jiten|middleware|real-ip)/.test(name)) delete headers[name];
}
