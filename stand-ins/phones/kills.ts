import { setTimeout as wait } from 'node:timers/promises';
import { cableTo } from '../../test-support/cable';
import { phone } from '../../test-support/phone';
import { allSent, judge, onDevice, prepared, takePicture, writeUp } from './hand';
import { world } from './world';
import type { Told } from './told';

const [SERVER, DATABASE] = [100, 50];

/** A phone sends while application and database are killed outright, in turn. */
export async function kills(): Promise<Told> {
  const here = await world(200);
  const cable = await cableTo(here.url);
  const hand = await phone();
  await prepared(hand.page, cable.url, 'tech');
  await cable.pull();
  await hand.page.goto(`${cable.url}/opening/${here.firingId}`);
  let n = 0;
  const some = async (acts: number): Promise<void> => {
    for (let i = 0; i < acts; i++, n++) {
      if (n % 3 === 0) await takePicture(hand.page, n, 40_000);
      else await writeUp(hand.page, n);
    }
  };
  await some(30);
  await cable.plugIn();
  let [server, database] = [0, 0];
  while (server + database < SERVER + DATABASE) {
    // Somewhere in what it sends, which it goes on with by itself.
    await wait(Math.random() * 400);
    if (database < DATABASE && Math.random() < DATABASE / (SERVER + DATABASE)) {
      await here.killDatabase();
      database++;
    } else if (server < SERVER) {
      await here.killApplication();
      server++;
    }
    if (n < 250) await some(1);
    await hand.page
      .getByRole('button', { name: 'Send now' })
      .tap({ timeout: 2000 })
      .catch(() => undefined);
  }
  await allSent(hand.page, 'tech', 300_000);
  const verdict = await judge(here, await onDevice(hand.page));
  await hand.end();
  await cable.close();
  await here.end();
  const { acts, lost, doubled, outOfOrder } = verdict;
  return {
    said: `${acts} acts, the application killed ${server} times and the database ${database} times while they were sent: ${lost} lost, ${doubled} doubled, ${outOfOrder} out of order`,
    good: lost + doubled + outOfOrder === 0,
  };
}
