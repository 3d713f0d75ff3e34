import type { Instrumentation } from 'next';
import { log } from './platform/log';

/** What a page could not be made of is logged under the number that the page quotes. */
export const onRequestError: Instrumentation.onRequestError = (error, request) => {
  const fault = error as Error & { digest?: string };
  log.error(
    { fault: fault.digest, path: request.path, error: fault.stack ?? String(error) },
    'a page could not be made',
  );
};
