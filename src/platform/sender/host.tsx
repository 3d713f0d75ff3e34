'use client';
import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useDevicePerson } from '../device/person';
import type { Sender } from './sender';
import type { Item } from './store';

/** What waits on this device for whoever is signed in. */
export type Waiting = {
  /** Null until the device has been looked through: before that nobody knows what waits. */
  open: readonly Item[] | null;
  sending: boolean;
  trouble: string | null;
};
export type Sending = Waiting & { sender: Sender | null };

const NOBODY: Sending = { sender: null, open: null, sending: false, trouble: null };
const Context = createContext<Sending>(NOBODY);

/** The one sender of the application: every act that was written here goes out by it. */
export const useSender = (): Sending => useContext(Context);

export function SenderHost({ children }: { children: ReactNode }) {
  const person = useDevicePerson();
  const [sender, setSender] = useState<Sender | null>(null);
  const [open, setOpen] = useState<readonly Item[] | null>(null);
  const [now, setNow] = useState({ sending: false, trouble: null as string | null });
  useEffect(() => {
    if (person === null) return;
    let stop = (): void => undefined;
    let gone = false;
    // It comes with the page, but not before it: nothing is drawn by it.
    void import('./live').then(({ startSender, watchItems }) => {
      if (gone) return;
      const [started, end] = startSender(person, () => setNow({ sending: started.sending, trouble: started.trouble })); // prettier-ignore
      const unwatch = watchItems(person, 'open', setOpen);
      stop = () => {
        unwatch();
        end();
      };
      setSender(started);
    });
    return () => {
      gone = true;
      stop();
      setSender(null);
      setOpen(null);
    };
  }, [person]);
  const value = useMemo(() => ({ sender, open, ...now }), [sender, open, now]);
  return <Context value={value}>{children}</Context>;
}

/** All that this device knows of a page's acts, those that were sent included; null until it has been looked through. */
export function useItemsAbout(about: string): readonly Item[] | null {
  const person = useDevicePerson();
  const [items, setItems] = useState<readonly Item[] | null>(null);
  useEffect(() => {
    if (person === null) return;
    let stop = (): void => undefined;
    let gone = false;
    void import('./live').then(({ watchItems }) => {
      if (!gone) stop = watchItems(person, { about }, setItems);
    });
    return () => {
      gone = true;
      stop();
    };
  }, [person, about]);
  return items;
}
