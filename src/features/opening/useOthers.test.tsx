import { jest } from '@jest/globals';
import { act } from '@testing-library/react';
import { screen, server, show } from '../../../test-support/dom';
import type { Made } from './useOthers';

const { useOthers } = await import('./useOthers');

const load = (mark: string, at: number): Made => ({ pieces: [], mark, at });
function Room({ page }: { page: Made }) {
  return <p>{useOthers('f', page).made.mark}</p>;
}
const later = (seconds: number) => act(() => jest.advanceTimersByTimeAsync(seconds * 1000));
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('the load is read anew when somebody else said something, and only then', async () => {
  let mark = 'a';
  const asked = server(({ path }) => ({
    ok: true,
    data: path.endsWith('/load') ? load(mark, 20) : { mark },
  }));
  const { rerender } = show(<Room page={load('a', 10)} />);
  await later(9);
  expect(asked.map(({ path }) => path)).toEqual(['/api/opening/f', '/api/opening/f']);
  mark = 'b';
  await later(4);
  expect(screen.getByText('b')).toBeTruthy();
  expect(asked.filter(({ path }) => path.endsWith('/load'))).toHaveLength(1);
  await later(9);
  expect(asked.filter(({ path }) => path.endsWith('/load'))).toHaveLength(1);
  // A page that is made later knows more; one that is older takes nothing back.
  rerender(<Room page={load('c', 30)} />);
  expect(screen.getByText('c')).toBeTruthy();
  rerender(<Room page={load('a', 10)} />);
  expect(screen.getByText('b')).toBeTruthy();
});

test('a server that goes away takes nothing of the load away', async () => {
  let up = true;
  server(({ path }) => {
    if (!up || path.endsWith('/load')) throw new TypeError('no network');
    return { ok: true, data: { mark: 'b' } };
  });
  show(<Room page={load('a', 10)} />);
  await later(9);
  up = false;
  await later(30);
  expect(screen.getByText('a')).toBeTruthy();
});

test('a page that nobody looks at does not ask', async () => {
  const asked = server(() => ({ ok: true, data: { mark: 'b' } }));
  const hidden = jest.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
  show(<Room page={load('a', 10)} />);
  await later(30);
  expect(asked).toEqual([]);
  hidden.mockRestore();
});
