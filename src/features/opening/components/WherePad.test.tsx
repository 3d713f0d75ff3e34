import { fireEvent } from '@testing-library/react';
import { useState } from 'react';
import type { Face, Layer } from '@/core/zones';
import type { SeenSign } from '@/core/looks';
import { SIGNS } from '@/core/signs';
import { person, press, screen, server, show } from '../../../../test-support/dom';

const { SignPad } = await import('./SignPad');
const { WherePad } = await import('./WherePad');

const SHA = 'a'.repeat(64);
const PAINTS = { body: '#ccc', bodyName: 'Peat', coat: () => ({ colour: '#888', name: 'Tarn' }) };
const PIECE = {
  id: '0192c7cd-5baa-71a4-a619-90db87e81001',
  generation: 1,
  code: 'A7CFK',
  form: 'L',
  faces: [{ no: 1, kind: 'bare', slip: null } as Face],
  layers: [] as Layer[],
};
const FAULT = SIGNS.find(({ usually }) => usually === 'fault')!;

let held: SeenSign[];
function Pad() {
  const [signs, setSigns] = useState<SeenSign[]>([]);
  held = signs;
  return (
    <SignPad
      signs={signs}
      onChange={setSigns}
      where={(sign, onPoints) => (
        <WherePad
          sign={sign}
          piece={PIECE}
          paints={PAINTS}
          shot={{ key: SHA, sha: SHA }}
          onPoints={onPoints}
        />
      )}
    />
  );
}
/** Everything is drawn 100 by 200 here. */
function touch(element: Element, clientX: number, clientY: number): void {
  element.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 200 }) as DOMRect;
  fireEvent.click(element, { clientX, clientY });
}
const face = () => document.querySelector('[data-face="1"]')!;

test('a fault that was touched asks where it is; a touch of drawing or picture says so, again takes it back', async () => {
  const hand = person();
  show(<Pad />);
  expect(screen.queryByRole('group', { name: /^Where/ })).toBeNull();
  await press(hand, FAULT.name);
  touch(face(), 25, 20);
  expect(held[0]!.points).toEqual([{ face: 1, sha: null, x: 0.25, y: 0.1 }]);
  touch(screen.getByRole('button', { name: 'Where on the picture of A7CFK' }), 50, 180);
  expect(held[0]!.points).toEqual([
    { face: 1, sha: null, x: 0.25, y: 0.1 },
    { face: null, sha: SHA, x: 0.5, y: 0.9 },
  ]);
  // Worse, and where it is stays.
  await press(hand, new RegExp(`^${FAULT.name}, slight`));
  expect(held[0]).toMatchObject({ severity: 2, points: [{ face: 1 }, { sha: SHA }] });
  touch(face(), 26, 21);
  expect(held[0]!.points).toEqual([{ face: null, sha: SHA, x: 0.5, y: 0.9 }]);
  await press(hand, 'Nowhere in particular');
  expect(held[0]!.points).toEqual([]);
});

test('each sign has its own places, and a sign that is taken away asks nothing', async () => {
  const hand = person();
  show(<Pad />);
  const other = SIGNS.filter(({ usually }) => usually === 'fault')[1]!;
  await press(hand, FAULT.name);
  touch(face(), 10, 10);
  await press(hand, other.name);
  touch(face(), 90, 190);
  expect(held.map(({ points }) => points?.map(({ x }) => x))).toEqual([[0.1], [0.9]]);
  for (const severity of ['slight', 'marked', 'ruinous']) await press(hand, `${other.name}, ${severity}`);
  expect(screen.queryByRole('group', { name: /^Where/ })).toBeNull();
});

test('in a framed picture a touch says in which coats it is; without a network it is kept all the same', async () => {
  const hand = person();
  const corners = [
    { x: 0.1, y: 0.9 },
    { x: 0.9, y: 0.9 },
    { x: 0.9, y: 0.1 },
    { x: 0.1, y: 0.1 },
  ];
  const sent = server(() => ({
    ok: true,
    data: {
      photo: {
        sha: SHA,
        width: 100,
        height: 200,
        frames: [{ face: 1, shape: { kind: 'corners', corners } }],
      },
    },
  }));
  const { unmount } = show(<Pad />);
  await press(hand, FAULT.name);
  touch(screen.getByRole('button', { name: 'Where on the picture of A7CFK' }), 50, 100);
  expect(await screen.findByText('bare Peat, foot to rim')).toBeTruthy();
  expect(sent[0]!.path).toContain(`sha=${SHA}`);
  unmount();
  server(() => ({ ok: false, problem: { code: 'offline', message: 'No network.' } }));
  show(<Pad />);
  await press(hand, FAULT.name);
  touch(screen.getByRole('button', { name: 'Where on the picture of A7CFK' }), 50, 100);
  expect(held[0]!.points).toEqual([{ face: null, sha: SHA, x: 0.5, y: 0.5 }]);
});
