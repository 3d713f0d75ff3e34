import { Refusal } from './refusal';

/**
 * Lets a write through when it comes from a page of this studio, or from no page at all (a device, a
 * script: browsers always say where they come from). Errors: Refusal for a page of somebody else.
 */
export function fromHere(headers: Headers): void {
  const site = headers.get('sec-fetch-site');
  if (site === 'same-origin' || site === 'none') return;
  const origin = headers.get('origin');
  if (site === null && origin === null) return;
  if (site === null && origin !== null && hostOf(origin) === headers.get('host')) return;
  throw new Refusal({
    code: 'not-allowed',
    message: 'This was sent from a page of another site, and nothing was done.',
  });
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
