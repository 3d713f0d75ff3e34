import { person, screen, show } from '../../../../test-support/dom';

const { FaultPage } = await import('./FaultPage');
const { Keys } = await import('./Keys');

const fault = (digest?: string) => Object.assign(new Error('x'), digest ? { digest } : {});
function health(answer: (() => object) | 'no connection'): void {
  globalThis.fetch = (async () => {
    if (answer === 'no connection') throw new TypeError('Failed to fetch');
    return { status: 200, headers: { get: () => null }, json: async () => answer() };
  }) as unknown as typeof fetch;
}

test.each([
  ['no connection' as const, 'The studio’s server does not answer'],
  [
    () => ({ ok: false, problem: { code: 'database-away', message: 'x' } }),
    'The studio’s database does not answer',
  ],
  [() => ({ ok: true, data: { database: 'answers' } }), 'This page could not be made'],
])('the one at fault is named, with the number in the log (%#)', async (answer, title) => {
  health(answer);
  show(<FaultPage error={fault('1753579097')} />);
  expect(await screen.findByRole('heading', { name: title })).toBeTruthy();
  expect(screen.getByText('Fault 1753579097')).toBeTruthy();
  expect(screen.getByText(/Nothing that was saved is lost/)).toBeTruthy();
});

test('a server that answers nonsense is at fault itself, and a fault without a number quotes none', async () => {
  health(() => {
    throw new SyntaxError('not JSON');
  });
  show(<FaultPage error={fault()} />);
  expect(await screen.findByRole('heading', { name: 'The studio’s server does not answer' })).toBeTruthy();
  expect(screen.queryByText(/^Fault/)).toBeNull();
});

test('the page of keys names each key with what it does, and closes', async () => {
  let closed = 0;
  show(<Keys onClose={() => closed++} />);
  const keys = screen.getAllByRole('term').map((one) => one.textContent);
  expect(keys).toEqual(expect.arrayContaining(['/', '?', 'o', 'b, c, a', 'Enter']));
  expect(screen.getAllByRole('definition')).toHaveLength(keys.length);
  await person().keyboard('{Escape}');
  expect(closed).toBe(1);
});
