'use client';
import { v7 } from 'uuid';
import type { z } from 'zod';
import type { Contract } from './contract';
import { noteClock } from './device/clock';
import { pagePerson } from './device/person';
import type { Problem } from './refusal';

export type Sent<T> =
  | { ok: true; data: T }
  | {
      ok: false;
      problem: Problem | { code: 'offline'; message: string; fields?: undefined; details?: undefined };
    };

const OFFLINE = {
  code: 'offline' as const,
  message:
    'There is no connection to the studio. What you typed is still here; try again when you are back in range.',
};

/** Words are JSON, and the server takes nothing else for them. */
const saying = (init: RequestInit): RequestInit =>
  typeof init.body === 'string' && init.headers === undefined
    ? { ...init, headers: { 'content-type': 'application/json' } }
    : init;

/** A request whose answer is always an Answer, whatever the network does. */
export async function call<T>(path: string, init: RequestInit): Promise<Sent<T>> {
  let response: Response;
  const asked = Date.now();
  try {
    response = await fetch(path, saying(init));
  } catch {
    return { ok: false, problem: OFFLINE };
  }
  noteClock(response.headers.get('date'), asked, Date.now());
  try {
    return (await response.json()) as Sent<T>;
  } catch {
    return {
      ok: false,
      problem: {
        code: 'failed',
        message: `The studio’s server gave no proper answer (${response.status}). Whether anything was changed is not known: look, or try again.`,
      },
    };
  }
}

/**
 * The answer of an act that is on record, also where it got there before and was changed since; null: it is
 * not.
 */
export const onRecord = <T>(answer: Sent<T>): T | null => {
  if (answer.ok) return answer.data;
  return answer.problem.code === 'arrived' ? (answer.problem.details as T) : null;
};

/** Asks the person to sign in again; resolves true once they have. The dialog answers this. */
export function askSignIn(): Promise<boolean> {
  return new Promise((resolve) => {
    const event = new CustomEvent('jiten-sign-in', { detail: resolve, cancelable: true });
    if (window.dispatchEvent(event)) resolve(false);
  });
}

/**
 * Carries out an operation, with a file where its contract wants one. Its id makes a repeat harmless, so
 * after signing in again the very same request is sent once more.
 */
export const send = <I extends z.ZodType, R>(
  contract: Contract<I, R>,
  input: z.input<I>,
  id: string = v7(),
  file: File | null = null,
): Promise<Sent<R>> =>
  contract.door === undefined
    ? sendKept<R>({ id, name: contract.name, input, file })
    : call<R>(`/api/door/${contract.door}`, { method: 'POST', body: JSON.stringify(input) });

/** A write that waited on this device, by the name its contract had when it was kept. */
export type Kept = {
  id: string;
  name: string;
  input: unknown;
  file?: File | null;
  /** Who wrote it; for whom the page was made where that is not said. */
  as?: string;
};

/** Problems that pass by themselves: the same can be sent again later. */
const PASSING = new Set([
  'offline',
  'failed',
  'database-away',
  'no-room',
  'not-signed-in',
  'other-person',
  'too-many',
]);
export const passes = (code: string): boolean => PASSING.has(code);

/** Sends it under its writer’s name; the server takes it from nobody else. */
export async function sendKept<R = unknown>({
  id,
  name,
  input,
  file = null,
  as = pagePerson() ?? undefined,
}: Kept): Promise<Sent<R>> {
  const request = (): Promise<Sent<R>> => {
    if (file === null)
      return call<R>(`/api/act/${name}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ id, input, as }),
      });
    const form = new FormData();
    form.set('id', id);
    form.set('input', JSON.stringify(input));
    if (as !== undefined) form.set('as', as);
    form.set('file', file);
    return call<R>(`/api/act/${name}`, { method: 'POST', body: form });
  };
  const answer = await request();
  if (answer.ok || answer.problem.code !== 'not-signed-in') return answer;
  return (await askSignIn()) ? request() : answer;
}
