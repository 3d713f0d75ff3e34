/** Says on the local network which address the studio's name has (multicast DNS, RFC 6762). */
import multicastDns, { type QueryPacket } from 'multicast-dns';

/** For how long whoever asked may believe it, s: a router gives out new addresses. */
const TTL_S = 120;

export type Answer = { name: string; type: 'A'; ttl: number; data: string };

/** What is answered to the questions of a packet; nothing where it is not asked for this name. */
export const answersTo = (
  questions: readonly { name: string; type: string }[],
  name: string,
  addresses: readonly string[],
): Answer[] =>
  questions.some((one) => one.name.toLowerCase() === name && (one.type === 'A' || one.type === 'ANY'))
    ? addresses.map((data) => ({ name, type: 'A', ttl: TTL_S, data }))
    : [];

/** Answers for a name under “.local” until what comes back is called; other names are a router's to give. */
export function publishName(name: string, addresses: () => readonly string[]): () => void {
  const others = addresses().some((one) => !one.startsWith('127.'));
  if (!name.endsWith('.local') || !others) return () => undefined;
  const mdns = multicastDns();
  mdns.on('query', (packet: QueryPacket) => {
    const answers = answersTo(packet.questions, name, addresses());
    if (answers.length > 0) mdns.respond(answers);
  });
  // A machine without multicast still serves; the printed address does.
  mdns.on('error', () => undefined);
  mdns.on('warning', () => undefined);
  return () => mdns.destroy();
}
