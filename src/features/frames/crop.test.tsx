import { fireEvent, waitFor } from '@testing-library/react';
import { person, press, screen, server, show } from '../../../test-support/dom';

const { CropPicture, movedBox } = await import('./components/CropPicture');

const PHOTO = {
  id: '0192c7cd-5baa-71a4-a619-90db87e81001',
  sha: 'a'.repeat(64),
  width: 400,
  height: 300,
  frames: [],
  grey: null,
  colours: [],
};
const box = { x: 0.1, y: 0.1, width: 0.8, height: 0.8 };
const corners = (...list: [number, number][]) => ({
  kind: 'corners' as const,
  corners: list.map(([x, y]) => ({ x, y })) as never,
});

test('a corner that is moved takes its two sides with it, never out of the picture, never past the other side', () => {
  const [left, right, top, foot] = [0.1, 0.9, 0.1, 0.9];
  const moved = (x: number, y: number) =>
    movedBox(box, corners([left, foot], [right, foot], [x, y], [left, top]));
  expect(moved(0.7, 0.2)).toMatchObject({ x: 0.1, y: 0.2 });
  expect(moved(0.7, 0.2).width).toBeCloseTo(0.6, 9);
  const far = moved(1.2, -0.2);
  expect([far.x + far.width, far.y]).toEqual([1, 0]);
  expect(moved(-0.5, 2).width).toBeCloseTo(0.06, 9);
  expect(movedBox(box, corners([left, foot], [right, foot], [right, top], [left, top]))).toEqual(box);
});

test('it says that there is no way back, is moved by keys, and a refusal keeps it open', async () => {
  let ok = false;
  const sent = server(() =>
    ok
      ? { ok: true, data: { pieces: 3 } }
      : { ok: false, problem: { code: 'refused', message: 'That would cut into K3RV1.' } },
  );
  let closed = false;
  const hand = person();
  show(<CropPicture photo={PHOTO} code="K3RV1" onClose={() => (closed = true)} />);
  expect(screen.getByText(/There is no way back\. Backups/)).toBeTruthy();
  fireEvent.keyDown(screen.getByRole('button', { name: /^Kept: rim right/ }), {
    key: 'ArrowLeft',
    shiftKey: true,
  });
  await press(hand, 'Cut the rest away for good');
  await screen.findByText('That would cut into K3RV1.');
  expect(closed).toBe(false);
  ok = true;
  await press(hand, 'Cut the rest away for good');
  await waitFor(() => expect(closed).toBe(true));
  expect((sent.at(-1)!.body.input as { keep: { width: number } }).keep.width).toBeCloseTo(0.78, 6);
  await screen.findByText('Cut away for good, in the pictures of 3 pieces');
});
