/** How much this device can still keep. */

/** A picture of a phone's camera, as a round figure. */
const PICTURE_BYTES = 4_000_000;
/** Fewer than so many pictures more are said. */
const FEW = 60;

/** Asks the browser not to throw away what is kept when the device runs short of room; it decides itself. */
export const askToStay = async (): Promise<boolean> =>
  (await globalThis.navigator?.storage?.persist?.().catch(() => false)) ?? false;

/** Bytes that a page of this address may still keep; null where the browser does not say. */
export async function roomLeft(storage = globalThis.navigator?.storage): Promise<number | null> {
  const said = await storage?.estimate?.().catch(() => null);
  return said?.quota === undefined ? null : Math.max(0, said.quota - (said.usage ?? 0));
}

/** A word before the device is full; null while there is room. */
export function roomWords(left: number | null): string | null {
  if (left === null) return null;
  const pictures = Math.floor(left / PICTURE_BYTES);
  if (pictures >= FEW) return null;
  if (pictures === 0)
    return 'This device has no room for another picture. Send what waits, or make room on it.';
  return `This device has room for about ${pictures} more pictures. Send what waits, or make room on it.`;
}

/** Did it fail because the device is full? Browsers say so in two ways, and Dexie wraps both. */
export function isFull(error: unknown): boolean {
  const names = [error, (error as { inner?: unknown })?.inner].map(
    (one) => (one as { name?: string } | undefined)?.name,
  );
  return names.includes('QuotaExceededError');
}
