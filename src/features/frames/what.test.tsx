import { fireEvent, waitFor } from '@testing-library/react';
import { person, screen, server, show } from '../../../test-support/dom';
import { lookerSees, picturesAre } from '../../../test-support/looker';

/** Left half: the card's two steps one over the other; right half: a glaze of middle grey. */
function pixels(): Uint8ClampedArray {
  const data = new Uint8ClampedArray(40 * 40 * 4).fill(255);
  for (let y = 0; y < 40; y++)
    for (let x = 0; x < 40; x++)
      data.fill(x >= 20 ? 119 : y < 20 ? 60 : 200, (y * 40 + x) * 4, (y * 40 + x) * 4 + 3);
  return data;
}
let opens = true;
lookerSees(() => ({}));
picturesAre({ width: 40, height: 40, data: pixels() }, () => opens);

const { WhatIs } = await import('./components/WhatIs');

const CHOICES = {
  bodies: [{ slug: 'peat', name: 'Peat' }],
  cones: ['6'],
  atmospheres: ['oxidation'],
  surfaces: ['gloss'],
  effects: [{ value: 'crystals', label: 'crystals' }],
  coatings: [
    { slug: 'tarn', name: 'Tarn' },
    { slug: 'gull', name: 'Gull' },
  ],
  firings: [{ value: '0192c7cd-5baa-71a4-a619-90db87e81009', label: 'Marta 12' }],
};
const CELL = {
  id: 'c',
  title: 'Tarn over Gull',
  where: 'Peat, cone 6, oxidation',
  href: '/chart?body=peat',
  photo: null,
  cut: null,
  surface: 'gloss',
  distance: 2.34,
  words: 'as near as two repeats',
  pieces: 3,
};
const asked = (sent: ReturnType<typeof server>) => new URL(`http://x${sent.at(-1)!.path}`).searchParams;
const file = new File(['x'], 'pot.jpg', { type: 'image/jpeg' });
const open = () =>
  fireEvent.change(screen.getByLabelText('Picture of what is to be found'), { target: { files: [file] } });
async function touch(x: number, y: number): Promise<void> {
  const shown = await screen.findByRole('button', { name: /^Touch the glaze in the picture/ });
  shown.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 100 }) as DOMRect;
  // This page knows no pointer events: their places are set on a plain one.
  const event = new Event('pointerdown', { bubbles: true });
  Object.assign(event, { clientX: x, clientY: y });
  fireEvent(shown, event);
}

test('without a grey it is looked for by eye; once the card’s steps are touched, by number', async () => {
  const sent = server(() => ({
    ok: true,
    data: { cells: [CELL], words: 'One comes as near as two repeats do.' },
  }));
  const hand = person();
  show(<WhatIs card={[25, 80]} {...CHOICES} />);
  open();
  await screen.findByText('Touch the glaze.');
  await touch(75, 50);
  await waitFor(() => expect(asked(sent).get('grey')).toBe('no'));
  expect(screen.getByText('by eye, not measured')).toBeTruthy();
  await hand.click(screen.getByRole('button', { name: 'Touch the grey card' }));
  await touch(25, 25);
  await screen.findByText(/^Touch step 2 of 2/);
  await touch(25, 75);
  await waitFor(() => expect(asked(sent).get('grey')).toBe('yes'));
  await screen.findByText('Measured by the grey card.');
  await screen.findByText('2.3 ΔE₀₀: as near as two repeats');
  // The picture itself went nowhere.
  expect(sent.every(({ path }) => path.startsWith('/api/what?'))).toBe(true);
});

test('the arrow keys move the spot; what is known narrows the question', async () => {
  const sent = server(() => ({
    ok: true,
    data: { cells: [], words: 'Nothing that was measured fits what is known of it.' },
  }));
  const hand = person();
  show(<WhatIs card={null} {...CHOICES} />);
  open();
  const shown = await screen.findByRole('button', { name: /^Touch the glaze in the picture/ });
  fireEvent.keyDown(shown, { key: 'ArrowRight' });
  await waitFor(() => expect(sent.length).toBeGreaterThan(0));
  await hand.click(screen.getByRole('combobox', { name: 'Coatings it may have' }));
  await hand.click(screen.getByRole('option', { name: 'Tarn' }));
  await hand.click(screen.getByRole('option', { name: 'Gull' }));
  await hand.keyboard('{Escape}');
  await hand.click(screen.getByRole('combobox', { name: 'Out of' }));
  await hand.click(screen.getByRole('option', { name: 'Marta 12' }));
  await waitFor(() =>
    expect([asked(sent).get('among'), asked(sent).get('firing')]).toEqual([
      'tarn,gull',
      '0192c7cd-5baa-71a4-a619-90db87e81009',
    ]),
  );
  await hand.click(screen.getByLabelText('no fault, does not run'));
  await waitFor(() => expect(asked(sent).get('clean')).toBe('yes'));
  await screen.findByText(/Nothing that was measured fits/);
});

test('what is no picture, and a network that is gone, are said; nothing is shown as found', async () => {
  opens = false;
  server(() => ({ ok: false, problem: { code: 'offline', message: 'No network.' } }));
  show(<WhatIs card={null} {...CHOICES} />);
  open();
  await screen.findByText(/no picture that can be shown here, or it is too large/);
  opens = true;
  fireEvent.change(screen.getByLabelText('A colour to look for'), { target: { value: '#336699' } });
  await screen.findByText('No network.');
  expect(screen.queryByRole('listitem')).toBeNull();
});
