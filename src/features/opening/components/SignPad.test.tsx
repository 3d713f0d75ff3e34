import { useState } from 'react';
import { SIGNS, SIGN_KEYS, signOf } from '@/core/signs';
import type { SeenSign } from '@/core/looks';
import { person, screen, show, within } from '../../../../test-support/dom';

const { SignPad } = await import('./SignPad');

let held: SeenSign[];
function Pad({ start = [] as SeenSign[] }) {
  const [signs, setSigns] = useState(start);
  held = signs;
  return <SignPad signs={signs} onChange={setSigns} />;
}
const fault = SIGNS.find(({ usually }) => usually === 'fault')!;
const effect = SIGNS.find(({ usually }) => usually === 'effect')!;
const key = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}`) });

test('every sign stands on the pad once, faults and effects apart', () => {
  show(<Pad />);
  const names = (group: string) =>
    within(screen.getByRole('group', { name: group }))
      .getAllByRole('button')
      .map((one) => one.getAttribute('aria-label'));
  const of = (usually: string) => SIGNS.filter((one) => one.usually === usually);
  expect(names('Faults')).toEqual(of('fault').map(({ name }) => name));
  expect(names('Effects')).toEqual(of('effect').map(({ name }) => name));
});

test('touched it is there, again it is worse, a fourth touch takes it away', async () => {
  const hand = person();
  show(<Pad />);
  for (const severity of [1, 2, 3]) {
    await hand.click(key(fault.name));
    expect(held).toEqual([{ sign: fault.id, severity, wanted: false }]);
    expect(key(fault.name).getAttribute('aria-pressed')).toBe('true');
  }
  await hand.click(key(fault.name));
  expect(held).toEqual([]);
});

test('an effect is wanted, a fault is not, and both can be said otherwise', async () => {
  const hand = person();
  show(<Pad />);
  await hand.click(key(effect.name));
  await hand.click(key(fault.name));
  expect(held.map(({ wanted }) => wanted)).toEqual([true, false]);
  for (const wish of screen.getAllByRole('switch')) await hand.click(wish);
  expect(held.map(({ wanted }) => wanted)).toEqual([false, true]);
  expect(screen.getByText(new RegExp(`^${fault.name}.*: wanted here`))).toBeTruthy();
});

test('a sign that can hurt brings its caution, once', () => {
  const sharp = SIGNS.filter(({ caution }) => caution !== undefined);
  expect(sharp.length).toBeGreaterThan(0);
  const start = sharp.map(({ id }): SeenSign => ({ sign: id, severity: 1, wanted: false }));
  show(<Pad start={start} />);
  const cautions = [...new Set(start.map(({ sign }) => signOf(sign)!.caution))];
  expect(screen.getAllByRole('note').map((one) => one.textContent)).toEqual(cautions);
});

test('by key: a small letter is a fault, again for worse; a capital an effect; in a field it is a letter', async () => {
  const hand = person();
  show(
    <>
      <Pad />
      <input aria-label="Note" />
    </>,
  );
  await hand.keyboard(`${SIGN_KEYS[fault.id]}${SIGN_KEYS[fault.id]}`);
  expect(held).toEqual([{ sign: fault.id, severity: 2, wanted: false }]);
  await hand.keyboard(`{Shift>}${SIGN_KEYS[effect.id]}{/Shift}`);
  expect(held.map(({ sign }) => sign)).toEqual([fault.id, effect.id]);
  await hand.type(screen.getByLabelText('Note'), SIGN_KEYS[fault.id]!);
  expect(held[0]!.severity).toBe(2);
});
