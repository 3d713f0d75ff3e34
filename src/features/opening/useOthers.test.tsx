import { jest } from '@jest/globals';
import { act } from '@testing-library/react';
import { router, server, show } from '../../../test-support/dom';

const { useOthers } = await import('./useOthers');

function Room({ mark }: { mark: string }) {
  useOthers('f', mark);
  return null;
}
const later = (seconds: number) => act(() => jest.advanceTimersByTimeAsync(seconds * 1000));
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('the page is read anew when somebody else said something, and only then', async () => {
  let mark = 'a';
  const asked = server(() => ({ ok: true, data: { mark } }));
  const { rerender } = show(<Room mark="a" />);
  await later(9);
  expect(asked.map(({ path }) => path)).toEqual(['/api/opening/f', '/api/opening/f']);
  expect(router.refresh).not.toHaveBeenCalled();
  mark = 'b';
  await later(4);
  expect(router.refresh).toHaveBeenCalledTimes(1);
  // The page that was read has the new word.
  rerender(<Room mark="b" />);
  await later(9);
  expect(router.refresh).toHaveBeenCalledTimes(1);
});

test('without a network nothing is read anew: a page that cannot come would take this one away', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  show(<Room mark="a" />);
  await later(30);
  expect(router.refresh).not.toHaveBeenCalled();
});

test('a page that nobody looks at does not ask', async () => {
  const asked = server(() => ({ ok: true, data: { mark: 'b' } }));
  const hidden = jest.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
  show(<Room mark="a" />);
  await later(30);
  expect(asked).toEqual([]);
  hidden.mockRestore();
});
