import { cableTo } from '../../test-support/cable';
import { phone } from '../../test-support/phone';
import { allSent, judge, onDevice, prepared, signIn, writeUp } from './hand';
import { world } from './world';
import type { Told } from './told';

const EACH = 20;

/** One tablet, two people in turn and two tabs at once, without a network; each sends what is theirs. */
export async function shared(): Promise<Told> {
  const here = await world(60);
  const cable = await cableTo(here.url);
  const hand = await phone();
  const opening = `${cable.url}/opening/${here.firingId}`;
  await prepared(hand.page, cable.url, 'tech');
  const second = await hand.context.newPage();
  await hand.page.goto(opening);
  await second.goto(opening);
  await cable.pull();
  for (let n = 0; n < EACH; n++) {
    await writeUp(hand.page, n);
    await writeUp(second, n + 1);
  }
  // Somebody else takes the tablet; the first one's tabs stay open.
  await cable.plugIn();
  const other = await hand.context.newPage();
  await signIn(other, cable.url, 'teach');
  await other.goto(opening);
  for (let n = 0; n < EACH; n++) await writeUp(other, n);
  await allSent(other, 'teach', 60_000);
  // And gives it back.
  await signIn(hand.page, cable.url, 'tech');
  await hand.page.goto(opening);
  await allSent(hand.page, 'tech', 60_000);
  const verdict = await judge(here, await onDevice(hand.page));
  await hand.end();
  await cable.close();
  await here.end();
  const { acts, lost, doubled, underAnotherName } = verdict;
  return {
    said: `${acts} acts by two people and in two tabs of one device: ${lost} lost, ${doubled} doubled, ${underAnotherName} under another name`,
    good: acts === 3 * EACH && lost + doubled + underAnotherName === 0,
  };
}
