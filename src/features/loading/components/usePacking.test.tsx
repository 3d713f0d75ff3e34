import { act } from 'react';
import type { PackRequest } from '@/workers/pack.worker';
import { person, press, screen, show } from '../../../../test-support/dom';
import { usePacking } from './usePacking';

/** A worker in the test's hand: what it was asked, and what it says when the test lets it. */
class HandWorker {
  static last: HandWorker;
  onmessage: (event: { data: object }) => void = () => {};
  onerror: () => void = () => {};
  asked: PackRequest | null = null;
  ended = false;
  constructor() {
    HandWorker.last = this;
  }
  postMessage(request: PackRequest): void {
    this.asked = request;
  }
  terminate(): void {
    this.ended = true;
  }
}
Object.assign(globalThis, { Worker: HandWorker });

const REQUEST: PackRequest = {
  kind: 'pack',
  shelf: { shape: 'rectangle', widthMm: 400, depthMm: 400 },
  shelves: 2,
  chamberMm: null,
  parcels: [],
};

function Room() {
  const { done, wrong, inWorker } = usePacking();
  return (
    <>
      <button onClick={() => inWorker(REQUEST, ({ left }) => show(<p>{left.length} left</p>))}>Pack</button>
      <p>{done === null ? 'idle' : `${done} done`}</p>
      <p>{wrong}</p>
    </>
  );
}

test('while it packs it says how far it is, then hands over the answer and ends', async () => {
  show(<Room />);
  await press(person(), 'Pack');
  expect(screen.getByText('0 done')).toBeTruthy();
  expect(HandWorker.last.asked).toEqual(REQUEST);
  act(() => HandWorker.last.onmessage({ data: { done: 12 } }));
  expect(screen.getByText('12 done')).toBeTruthy();
  act(() =>
    HandWorker.last.onmessage({
      data: { answer: { spots: [], left: [{ id: 'a', why: 'no room left' }], turned: [] } },
    }),
  );
  expect(screen.getByText('1 left')).toBeTruthy();
  expect(screen.getByText('idle')).toBeTruthy();
  expect(HandWorker.last.ended).toBe(true);
});

test('a packing that breaks off says so, and can be begun again', async () => {
  show(<Room />);
  const hand = person();
  await press(hand, 'Pack');
  act(() => HandWorker.last.onerror());
  expect(screen.getByText(/broke off; nothing was moved/)).toBeTruthy();
  expect(HandWorker.last.ended).toBe(true);
  await press(hand, 'Pack');
  expect(screen.queryByText(/broke off/)).toBeNull();
});
