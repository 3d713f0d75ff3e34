import { notePageFault } from './platform/faults';
import { log } from './platform/log';

/**
 * A page that failed is written down with the number that the person sees, without what an address carries.
 */
export function onRequestError(
  error: unknown,
  request: { path: string; method: string },
  context: { routePath: string },
): void {
  notePageFault();
  const { digest, stack } = error as { digest?: string; stack?: string };
  log.error(
    { where: `${request.method} ${context.routePath}`, digest, error: stack ?? String(error) },
    'a page failed',
  );
}
