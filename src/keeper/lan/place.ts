/** Where a studio is found on its local network. */
import { networkInterfaces } from 'node:os';

export type LanPlace = {
  /** The name that stays, whatever address the router gives: what a phone keeps belongs to it. */
  name: string;
  /** Addresses of this machine on its networks. */
  addresses: string[];
  /** Where it answers under TLS, and where a phone first learns to trust it. */
  port: number;
  plainPort: number;
  /** Where the application itself listens, on this machine alone. */
  upstream: number;
};

export const DEFAULT_NAME = 'jiten.local';
export const TLS_PORT = 8443;
export const PLAIN_PORT = 8080;

export const addressOf = ({ name, port }: Pick<LanPlace, 'name' | 'port'>): string =>
  `https://${name}${port === 443 ? '' : `:${port}`}`;
export const trustAddressOf = ({ addresses, name, plainPort }: LanPlace): string =>
  `http://${addresses[0] ?? name}${plainPort === 80 ? '' : `:${plainPort}`}`;

/** A name as hosts have them. Errors: anything else, in words. */
export function hostName(asked: string): string {
  const name = asked.trim().toLowerCase();
  if (name.length > 200 || !/^[a-z0-9]([a-z0-9-]*[a-z0-9])?(\.[a-z0-9]([a-z0-9-]*[a-z0-9])?)*$/.test(name))
    throw new Error(
      `“${asked}” is no host name. Take letters, digits, dots and hyphens, as in ${DEFAULT_NAME}.`,
    );
  return name;
}

/** IPv4 addresses by which others on a local network reach this machine. */
export const ownAddresses = (interfaces = networkInterfaces()): string[] => [
  ...new Set(
    Object.values(interfaces)
      .flat()
      .flatMap((one) => (one && !one.internal && one.family === 'IPv4' ? [one.address] : [])),
  ),
];
