/** The page's side of the worker that holds the application without a network. */
import { call } from '@/platform/client';
import type { AtHand, FromWorker, ToWorker } from '@/offline/names';

const KEPT = 'jiten-kept';
/** How often what is at hand is looked through anew. */
const EVERY_MS = 10 * 60_000;

/** What this device can show without a network, as it was last brought here; null where that never was. */
export type KeptHere = { person: string; pages: number; of: number; at: number };

export function keptHere(): KeptHere | null {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? 'null') as KeptHere | null;
  } catch {
    return null;
  }
}

/** Browsers keep it from pages that come without TLS. */
export const canKeep = (): boolean => 'serviceWorker' in navigator;

async function say(message: ToWorker): Promise<void> {
  const ready = await navigator.serviceWorker.ready;
  ready.active?.postMessage(message);
}

/** Every page that is opened asks; what was brought so short a while ago is not brought again. */
const JUST_NOW_MS = 2 * 60_000;

function justBrought(person: string): boolean {
  const kept = keptHere();
  return (
    kept !== null &&
    kept.person === person &&
    kept.pages === kept.of &&
    Math.abs(Date.now() - kept.at) < JUST_NOW_MS
  );
}

async function bring(person: string): Promise<void> {
  if (justBrought(person)) return;
  const answer = await call<AtHand>('/api/at-hand', {});
  if (answer.ok && answer.data.person === person) await say({ kind: 'keep', hand: answer.data });
}

/**
 * Starts keeping what is at hand for a person. Ends when what comes back is called.
 * @param newer called where a newer version of the application waits to be used; it is given the way to use
 * it.
 */
export function startKeeping(
  person: string,
  changed: () => void,
  newer: (use: () => void) => void,
): () => void {
  if (!canKeep()) return () => undefined;
  const { serviceWorker } = navigator;
  const heard = ({ data }: MessageEvent<FromWorker>): void => {
    if (data.kind !== 'kept') return;
    localStorage.setItem(
      KEPT,
      JSON.stringify({ person: data.person, pages: data.pages, of: data.of, at: Date.now() }),
    );
    changed();
  };
  serviceWorker.addEventListener('message', heard);
  const offer = (registration: ServiceWorkerRegistration): void => {
    const { waiting } = registration;
    if (waiting === null || serviceWorker.controller === null) return;
    newer(() => {
      serviceWorker.addEventListener('controllerchange', () => window.location.reload(), { once: true });
      waiting.postMessage({ kind: 'take over' } satisfies ToWorker);
    });
  };
  serviceWorker
    .register('/sw.js')
    .then((registration) => {
      offer(registration);
      registration.addEventListener('updatefound', () => {
        const { installing } = registration;
        installing?.addEventListener('statechange', () => offer(registration));
      });
    })
    // A private window, or a browser that is told not to: pages come from the server alone.
    .catch(() => undefined);
  const again = (): void => void bring(person);
  again();
  window.addEventListener('online', again);
  const timer = setInterval(again, EVERY_MS);
  return () => {
    serviceWorker.removeEventListener('message', heard);
    window.removeEventListener('online', again);
    clearInterval(timer);
  };
}

/**
 * Takes a person's pages and pictures off this device; what they wrote and did not send stays, for them
 * alone.
 */
export async function forgetPages(): Promise<void> {
  localStorage.removeItem(KEPT);
  if (!canKeep()) return;
  await say({ kind: 'forget' });
}
