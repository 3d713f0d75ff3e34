import { cableTo } from '../../test-support/cable';
import { phone } from '../../test-support/phone';
import { allSent, judge, onDevice, prepared, takePicture, writeUp } from './hand';
import { world } from './world';
import type { Told } from './told';

const [PIECES, PICTURES, BYTES] = [120, 2, 4_000_000];

/**
 * A day's load: 120 pieces with 240 pictures of 4 MB, taken without a network; how much memory and room it
 * takes.
 */
export async function large(): Promise<Told> {
  const here = await world(PIECES);
  const cable = await cableTo(here.url);
  const hand = await phone();
  await prepared(hand.page, cable.url, 'tech');
  await cable.pull();
  await hand.page.goto(`${cable.url}/opening/${here.firingId}`);
  const session = await hand.context.newCDPSession(hand.page);
  const heap = async (): Promise<number> => {
    await session.send('HeapProfiler.collectGarbage');
    return Math.round((await session.send('Runtime.getHeapUsage')).usedSize / 1e6);
  };
  const heaps = [await heap()];
  for (let piece = 0; piece < PIECES; piece++) {
    for (let i = 0; i < PICTURES; i++) await takePicture(hand.page, piece * PICTURES + i, BYTES);
    await writeUp(hand.page, piece);
    if (piece % 30 === 29) heaps.push(await heap());
  }
  const full = PIECES * (PICTURES + 1);
  await hand.page.waitForFunction(
    (text) => document.body.textContent?.includes(text),
    `${full} on this device`,
    { timeout: 120_000 },
  );
  const room = await hand.page.evaluate(async () => (await navigator.storage.estimate()).usage ?? 0);
  const promised = await onDevice(hand.page);
  const began = Date.now();
  await cable.plugIn();
  await allSent(hand.page, 'tech', 1_200_000);
  const seconds = Math.round((Date.now() - began) / 1000);
  const after = await hand.page.evaluate(async () => (await navigator.storage.estimate()).usage ?? 0);
  const verdict = await judge(here, promised);
  await hand.end();
  await cable.close();
  await here.end();
  const { lost, doubled } = verdict;
  const mb = (bytes: number): number => Math.round(bytes / 1e6);
  return {
    said: `${PIECES} pieces with ${PIECES * PICTURES} pictures of ${mb(BYTES)} MB: heap ${heaps.join(', ')} MB, ${mb(room)} MB kept, ${mb(after)} MB after sending (${seconds} s); ${lost} lost, ${doubled} doubled`,
    good: lost + doubled === 0 && Math.max(...heaps) < heaps[0]! + 100,
  };
}
