import { jest } from '@jest/globals';
import { server } from '../../test-support/dom';
import { comeBack } from './recover';

const later = (seconds: number) => jest.advanceTimersByTimeAsync(seconds * 1000);
beforeEach(() => {
  jest.useFakeTimers();
  sessionStorage.clear();
});
afterEach(() => void jest.useRealTimers());

test('a server that was away and is back brings its page back, as often as it was away', async () => {
  let there = false;
  server(() => {
    if (!there) throw new TypeError('no network');
    return { ok: true, data: null };
  });
  for (const _ of [1, 2]) {
    there = false;
    const reload = jest.fn();
    comeBack(reload);
    await later(10);
    expect(reload).not.toHaveBeenCalled();
    there = true;
    await later(10);
    expect(reload).toHaveBeenCalledTimes(1);
  }
});

test('where the server answers all along it is tried once, and not over and over', async () => {
  server(() => ({ ok: true, data: null }));
  const [first, second, muchLater] = [jest.fn(), jest.fn(), jest.fn()];
  comeBack(first);
  await later(10);
  expect(first).toHaveBeenCalledTimes(1);
  const end = comeBack(second);
  await later(30);
  expect(second).not.toHaveBeenCalled();
  end();
  await later(60);
  comeBack(muchLater);
  await later(5);
  expect(muchLater).toHaveBeenCalledTimes(1);
});

test('who leaves the page is not brought back to it', async () => {
  server(() => ({ ok: true, data: null }));
  const reload = jest.fn();
  comeBack(reload)();
  await later(30);
  expect(reload).not.toHaveBeenCalled();
});
