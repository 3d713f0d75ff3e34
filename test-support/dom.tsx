import { jest } from '@jest/globals';
import { TextEncoder } from 'node:util';
import type { ReactElement, ReactNode } from 'react';

/** What the application's router was asked; components under test navigate nowhere. */
export const router = { push: jest.fn(), replace: jest.fn(), refresh: jest.fn() };

// Every browser has it; this stand-in for one does not.
Object.assign(globalThis, { TextEncoder });

// Before any component is loaded: there is no application around it here.
jest.unstable_mockModule('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
}));

const { cleanup, configure, render, screen, within } = await import('@testing-library/react');
const { default: userEvent } = await import('@testing-library/user-event');
const { DevicePerson } = await import('../src/platform/device/person');
const { UnitsProvider } = await import('../src/ui/units');
const { Undo } = await import('../src/ui/Undo');
const { SI } = await import('../src/core/units');

// Whether each element may be seen is costly to reckon here, and no question of these tests.
// What is waited for comes at once on a quiet machine, and later on a busy one.
configure({ defaultHidden: true, asyncUtilTimeout: 15_000 });
// The stand-in for a browser matches every rule of every style sheet against every element that is asked
// about, many times for each name that is looked for; what these tests ask of styles stands on the elements
// themselves.
window.getComputedStyle = (element) => (element as HTMLElement).style;
jest.setTimeout(30_000);
afterEach(() => {
  cleanup();
  jest.clearAllMocks();
});

/** Shows something as it stands in a studio: whose device it is, the units, the messages. */
export function show(
  element: ReactElement,
  { person = 'p1', units = SI }: { person?: string; units?: typeof SI } = {},
) {
  const around = ({ children }: { children: ReactNode }) => (
    <DevicePerson id={person}>
      <UnitsProvider units={units}>
        <Undo>{children}</Undo>
      </UnitsProvider>
    </DevicePerson>
  );
  return render(element, { wrapper: around });
}

export const person = () => userEvent.setup({ delay: null, pointerEventsCheck: 0 });
export { screen, within };

/** The field under a label. */
export const named = (label: string | RegExp) => screen.getByLabelText<HTMLInputElement>(label);

/** Presses the button of a name. */
export const press = (hand: ReturnType<typeof person>, name: string | RegExp) =>
  hand.click(screen.getByRole('button', { name }));

export type Posted = { path: string; body: { id?: string; input?: unknown } };

/** What was sent: with a file the fields come as a form. */
function written(body: unknown): Posted['body'] {
  if (body instanceof FormData)
    return { id: String(body.get('id')), input: JSON.parse(String(body.get('input') ?? 'null')) };
  return JSON.parse(typeof body === 'string' ? body : '{}') as Posted['body'];
}

/** A server that answers what the test says, and what was sent to it. */
export function server(answer: (sent: Posted) => object): Posted[] {
  const sent: Posted[] = [];
  globalThis.fetch = (async (path: string, init: { body?: unknown }) => {
    const posted = { path, body: written(init.body) };
    sent.push(posted);
    const said = answer(posted);
    return { status: 200, headers: { get: () => null }, json: async () => said };
  }) as unknown as typeof fetch;
  return sent;
}
