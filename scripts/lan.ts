/** `./start --lan [--name studio.local]`: phones on the local network reach the studio under TLS. */
import QRCode from 'qrcode';
import type { House } from '../src/keeper/house';
import {
  DEFAULT_NAME,
  PLAIN_PORT,
  TLS_PORT,
  addressOf,
  hostName,
  ownAddresses,
  trustAddressOf,
  type LanPlace,
} from '../src/keeper/lan/place';

const numbered = (name: string, usual: number): number => Number(process.env[name] ?? usual);

/** Where it is to be found; null where nobody asked for it. Errors: a name that is none. */
export function onNetwork(upstream: number, words = process.argv): LanPlace | null {
  if (!words.includes('--lan')) return null;
  const at = words.indexOf('--name');
  const named = process.env.JITEN_LAN_ADDRESS;
  return {
    name: hostName(at === -1 ? DEFAULT_NAME : (words[at + 1] ?? '')),
    addresses: named === undefined ? ownAddresses() : [named],
    port: numbered('JITEN_LAN_PORT', TLS_PORT),
    plainPort: numbered('JITEN_LAN_PLAIN_PORT', PLAIN_PORT),
    upstream,
  };
}

/** What the application is told of it: where it is seen, and that the proxy's word on who asks is good. */
export const lanSettings = (place: LanPlace): Record<string, string> => ({
  JITEN_LAN: addressOf(place),
  JITEN_LAN_TRUST: trustAddressOf(place),
  JITEN_PROXY: [process.env.JITEN_PROXY ?? '', '127.0.0.1'].filter((one) => one !== '').join(','),
});

export async function openToNetwork(house: House, place: LanPlace): Promise<void> {
  await house.openToNetwork(place);
  const address = addressOf(place);
  console.log(`\nOn the local network it is at ${address}`);
  if (place.addresses.length > 0)
    console.log(`or, where that name is not found, at https://${place.addresses[0]}:${place.port}`);
  console.log(`A phone learns to trust the studio’s certificate at ${trustAddressOf(place)}\n`);
  console.log(await QRCode.toString(trustAddressOf(place), { type: 'terminal', small: true }));
}
