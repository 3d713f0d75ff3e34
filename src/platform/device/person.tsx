'use client';
import { createContext, useContext, type ReactNode } from 'react';

const Context = createContext<string | null>(null);

/** Whose device this is just now: what waits or was begun here belongs to that person. */
export function DevicePerson({ id, children }: { id: string; children: ReactNode }) {
  return <Context value={id}>{children}</Context>;
}

/** The id of who is signed in on this device; null outside of the studio. */
export const useDevicePerson = (): string | null => useContext(Context);
