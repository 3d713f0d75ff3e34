'use client';
import { createContext, useContext, useEffect, type ReactNode } from 'react';

const Context = createContext<string | null>(null);
let here: string | null = null;

/** Whose device this is just now: what waits or was begun here belongs to that person. */
export function DevicePerson({ id, children }: { id: string; children: ReactNode }) {
  useEffect(() => {
    // It stays when this goes: a page that leads to another is still this person's.
    here = id;
  }, [id]);
  return <Context value={id}>{children}</Context>;
}

/** The id of who is signed in on this device; null outside of the studio. */
export const useDevicePerson = (): string | null => useContext(Context);

/**
 * For whom this page was made: its writes say so, since somebody else may sign in in another tab meanwhile.
 */
export const pagePerson = (): string | null => here;
