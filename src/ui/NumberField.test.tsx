import { useState } from 'react';
import { person, screen, show } from '../../test-support/dom';
import type { QuantityKind } from '@/core/units';

const { NumberField } = await import('./NumberField');

const IMPERIAL = { temperature: 'F', length: 'in', mass: 'oz' } as const;
let held: number | null;

function Field({ start = null, quantity }: { start?: number | null; quantity?: QuantityKind }) {
  const [value, setValue] = useState<number | null>(start);
  held = value;
  return (
    <>
      <NumberField
        label="Wide"
        value={value}
        onChange={setValue}
        problem={value !== null && value > 999 ? 'Too wide.' : null}
        {...(quantity === undefined ? {} : { quantity })}
      />
      <button onClick={() => setValue(25.4)}>as it was</button>
      <button onClick={() => setValue(null)}>empty</button>
    </>
  );
}
const box = (): HTMLInputElement => screen.getByRole('textbox');

test.each([
  ['12', 12],
  ['12,5', 12.5],
  ['1 1/2', 1.5],
  ['−3', -3],
])('reads %s', async (typed, value) => {
  show(<Field />);
  await person().type(box(), typed);
  expect(held).toBe(value);
  expect(box().value).toBe(typed);
});

test('what is no number stays as it was typed and is said; emptied it is nothing', async () => {
  const hand = person();
  show(<Field start={4} />);
  expect(box().value).toBe('4');
  await hand.clear(box());
  expect(held).toBeNull();
  await hand.type(box(), 'a lot');
  expect(held).toBeNaN();
  expect(box().value).toBe('a lot');
  expect(screen.getByText('“a lot” is no number')).toBeTruthy();
  expect(box().getAttribute('aria-invalid')).toBe('true');
  await hand.clear(box());
  await hand.type(box(), '1000');
  expect(screen.getByText('Too wide.')).toBeTruthy();
});

test('in the studio’s unit the record stays in SI, and what is typed does not move under the hand', async () => {
  const hand = person();
  show(<Field start={50.8} quantity="length" />, { units: IMPERIAL });
  expect(screen.getByLabelText('Wide, in')).toBe(box());
  expect(box().value).toBe('2');
  await hand.clear(box());
  await hand.type(box(), '1 1/4');
  expect(held).toBeCloseTo(31.75, 9);
  expect(box().value).toBe('1 1/4');
});

test('a figure kept in another unit is shown to five digits, and stays exact while nobody types', () => {
  show(<Field start={90} quantity="length" />, { units: IMPERIAL });
  expect(box().value).toBe('3.5433');
  expect(held).toBe(90);
});

test('temperatures, differences and parts of 1 are each shown their own way', () => {
  const shown = (quantity: QuantityKind, start: number): string => {
    const one = show(<Field start={start} quantity={quantity} />, { units: IMPERIAL });
    const text = `${box().value} ${screen.getByText(/^Wide, /, { selector: 'label' }).textContent}`;
    one.unmount();
    return text;
  };
  expect(shown('temperature', 100)).toBe('212 Wide, °F');
  expect(shown('rate', 100)).toBe('180 Wide, °F/h');
  expect(shown('share', 0.12)).toBe('12 Wide, %');
  expect(shown('largeMass', 453.59237)).toBe('1 Wide, lb');
});

test('a change from outside is shown', async () => {
  const hand = person();
  show(<Field start={1} quantity="length" />, { units: IMPERIAL });
  await hand.click(screen.getByText('as it was'));
  expect(box().value).toBe('1');
  await hand.click(screen.getByText('empty'));
  expect(box().value).toBe('');
});
