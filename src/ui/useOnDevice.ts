'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** What only the device itself can say; taken to be so until the page is in its hands. */
export const useOnDevice = (ask: () => boolean): boolean => useSyncExternalStore(never, ask, () => true);
