'use client';
import { v7 } from 'uuid';
import type { Problem } from './refusal';

export type Sent<T> =
  | { ok: true; data: T }
  | {
      ok: false;
      problem:
        Problem | { code: 'offline'; message: string; fields?: undefined; details?: undefined };
    };

const OFFLINE = {
  code: 'offline' as const,
  message:
    'There is no connection to the studio. What you typed is still here; try again when you are back in range.',
};

/** A request whose answer is always an Answer, whatever the network does. */
export async function call<T>(path: string, init: RequestInit): Promise<Sent<T>> {
  let response: Response;
  try {
    response = await fetch(path, init);
  } catch {
    return { ok: false, problem: OFFLINE };
  }
  try {
    return (await response.json()) as Sent<T>;
  } catch {
    return {
      ok: false,
      problem: {
        code: 'failed',
        message: `The studio’s server gave no proper answer (${response.status}). Nothing was changed; try again.`,
      },
    };
  }
}

/** Asks the person to sign in again; resolves true once they have. The dialog answers this. */
export function askSignIn(): Promise<boolean> {
  return new Promise((resolve) => {
    const event = new CustomEvent('jiten-sign-in', { detail: resolve, cancelable: true });
    if (window.dispatchEvent(event)) resolve(false);
  });
}

/**
 * Carries out an operation. Its id makes a repeat harmless, so after signing in again
 * the very same request is sent once more.
 */
export async function send<T = unknown>(
  name: string,
  input: unknown,
  id: string = v7(),
): Promise<Sent<T>> {
  const request = (): Promise<Sent<T>> =>
    call<T>(`/api/act/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id, input }),
    });
  const answer = await request();
  if (answer.ok || answer.problem.code !== 'not-signed-in') return answer;
  return (await askSignIn()) ? request() : answer;
}
