import { cableTo } from '../../test-support/cable';
import { phone } from '../../test-support/phone';
import { allSent, judge, onDevice, prepared, takePicture, writeUp } from './hand';
import { world } from './world';
import type { Told } from './told';

const ACTS = 200;
const DEATHS = 20;

/** 200 acts in a cellar, the browser killed at random twenty times on the way; sent at the end. */
export async function offline(): Promise<Told> {
  const here = await world(120);
  const cable = await cableTo(here.url);
  const hand = await phone();
  const opening = `${cable.url}/opening/${here.firingId}`;
  await prepared(hand.page, cable.url, 'tech');
  await cable.pull();
  await hand.page.goto(opening);
  const deaths = new Set<number>();
  while (deaths.size < DEATHS) deaths.add(1 + Math.floor(Math.random() * (ACTS - 1)));
  let broken = 0;
  for (let n = 0; n < ACTS; n++) {
    const before = (await onDevice(hand.page)).length;
    // Two pictures for three words, as it goes.
    if (n % 5 < 2) await takePicture(hand.page, n);
    else await writeUp(hand.page, n);
    await hand.page.waitForFunction(
      (text) => document.body.textContent?.includes(text),
      `${before + 1} on this device`,
    );
    if (!deaths.has(n)) continue;
    const promised = await onDevice(hand.page);
    // In the middle of the next one, which promised nothing yet.
    if (Math.random() < 0.5) void writeUp(hand.page, n).catch(() => undefined);
    await hand.restart();
    await hand.page.goto(opening);
    await hand.page.getByText(/on this device/).waitFor();
    const after = new Set((await onDevice(hand.page)).map(({ id }) => id));
    broken += promised.filter(({ id }) => !after.has(id)).length;
  }
  const promised = await onDevice(hand.page);
  await cable.plugIn();
  await allSent(hand.page, 'tech', 300_000);
  const verdict = await judge(here, promised);
  await hand.end();
  await cable.close();
  await here.end();
  const { lost, doubled, outOfOrder, underAnotherName } = verdict;
  return {
    said: `${verdict.acts} acts, the browser killed ${DEATHS} times: ${broken} lost on the device, ${lost} lost on the way, ${doubled} doubled, ${outOfOrder} out of order`,
    good: broken + lost + doubled + outOfOrder + underAnotherName === 0,
  };
}
