import { fireEvent, waitFor } from '@testing-library/react';
import { person, press, screen, server, show } from '../../../test-support/dom';
import { lookerSees, picturesAre } from '../../../test-support/looker';

lookerSees(() => ({}));
picturesAre({ width: 4, height: 3 });

const { FrameHere } = await import('./components/FrameHere');
const { FrameWaiting } = await import('./components/FrameWaiting');
const { CellColour, sharesWords } = await import('./components/CellColour');

const ID = '0192c7cd-5baa-71a4-a619-90db87e81001';
const sha = 'a'.repeat(64);

test('the frame of a picture in hand is asked for when it is wanted, and closing it tells whoever waits', async () => {
  let there = false;
  const photo = { id: ID, sha, width: 4, height: 3, frames: [], grey: null, colours: [] };
  const sent = server(() =>
    there
      ? { ok: true, data: { photo, faces: [{ no: 1, label: 'bare', zones: [] }], code: 'K3RV1', card: null } }
      : { ok: false, problem: { code: 'not-found', message: 'This picture is not there any more.' } },
  );
  let done = 0;
  const hand = person();
  show(<FrameHere pieceId={ID} sha={sha} onDone={() => done++} />);
  expect(sent).toEqual([]);
  await press(hand, 'Frame it');
  await screen.findByText('This picture is not there any more.');
  there = true;
  await press(hand, 'Frame it');
  expect(sent.at(-1)!.path).toBe(`/api/frame?piece=${ID}&sha=${sha}`);
  await screen.findByText('Where K3RV1 is in the picture', {}, { timeout: 10_000 });
  await press(hand, 'Not now');
  expect(done).toBe(1);
});

const part = (l: number, a: number, b: number, share: number) => ({ lab: [l, a, b] as const, share });

test('parts of one name are said together; one colour has no shares', () => {
  expect(sharesWords([part(50, 0, 0, 0.6), part(52, 0, 0, 0.4)])).toBe('');
  const words = sharesWords([part(85, 0, 0, 0.5), part(35, 45, 30, 0.3), part(36, 45, 30, 0.2)]);
  expect(words.split(', ')).toHaveLength(2);
  expect(words).toMatch(/ 50 %, .* 50 %$/);
});

test('a cell is said in the terms of repeats, of one firing or of several; of one piece nothing is compared', () => {
  const repeats = {
    within: { usual: 1, most: 2, stacks: 12 },
    between: { usual: 3, most: 6, stacks: 12 },
  } as never;
  const colour = (rest: object) =>
    ({ lab: [50, 0, 0], parts: [part(50, 0, 0, 1)], pieces: 3, firings: 1, scatter: 2.5, ...rest }) as never;
  const text = (rest: object): string => {
    const { container, unmount } = show(<CellColour colour={colour(rest)} repeats={repeats} />);
    const said = container.textContent;
    unmount();
    return said;
  };
  expect(text({ scatter: null, pieces: 1 })).toMatch(/; one piece measured$/);
  const [inOne, inMany] = [text({}), text({ firings: 4 })];
  expect(inOne).toMatch(/3 pieces measured, two of them 2\.5 ΔE₀₀ apart/);
  expect(inOne).not.toBe(inMany);
});

test('a picture on this device is framed there; one that cannot be shown is said, and what was said is not asked again', async () => {
  let shows = false;
  /** Stands in for a picture that is loaded. */
  class Loaded {
    onload = () => {};
    onerror = () => {};
    naturalWidth = 400;
    naturalHeight = 300;
    set src(_: string) {
      queueMicrotask(() => (shows ? this.onload() : this.onerror()));
    }
  }
  Object.assign(globalThis, { Image: Loaded });
  const accepted: object[] = [];
  const hand = person();
  const waiting = (framed: boolean) => (
    <FrameWaiting
      url="blob:here"
      code="K3RV1"
      faces={[{ no: 1, label: 'bare', zones: [] }]}
      card={null}
      framed={framed}
      onFrame={(one) => accepted.push(one)}
    />
  );
  const { rerender } = show(waiting(false));
  await press(hand, 'Frame it');
  await screen.findByText(/cannot be shown here: it is framed once it is sent/);
  shows = true;
  await press(hand, 'Frame it');
  const picture = await screen.findByAltText('Picture of K3RV1', {}, { timeout: 10_000 });
  expect(picture.getAttribute('src')).toBe('blob:here');
  fireEvent.load(picture);
  await waitFor(() =>
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'That is it' }).disabled).toBe(false),
  );
  await press(hand, 'That is it');
  expect(accepted).toMatchObject([{ frames: [{ face: 1, shape: { kind: 'corners' } }], grey: null }]);
  rerender(waiting(true));
  expect(screen.getByText('Framed; it is measured when it is sent.')).toBeTruthy();
});
