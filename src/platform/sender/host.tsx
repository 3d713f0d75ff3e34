'use client';
import {
  createContext,
  useContext,
  useEffect,
  useEffectEvent,
  useMemo,
  useState,
  type ReactNode,
} from 'react';
import { useDevicePerson } from '../device/person';
import type { Sender } from './sender';
import type { Item, TrayItem } from './store';

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
      const [started, end] = startSender(person, () =>
        setNow({ sending: started.sending, trouble: started.trouble }),
      );
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

/** Something of this device that tells its changes; null until it was first told. */
function useWatched<T>(
  watch: (live: typeof import('./live'), person: string, tell: (found: T) => void) => () => void,
  of: string,
): T | null {
  const person = useDevicePerson();
  const [found, setFound] = useState<T | null>(null);
  const start = useEffectEvent(watch);
  useEffect(() => {
    if (person === null) return;
    let stop = (): void => undefined;
    let gone = false;
    void import('./live').then((live) => {
      if (!gone) stop = start(live, person, setFound);
    });
    return () => {
      gone = true;
      stop();
    };
  }, [person, of]);
  return found;
}

/**
 * All that this device knows of a page's acts, those that were sent included; null until it has been looked
 * through.
 */
export const useItemsAbout = (about: string): readonly Item[] | null =>
  useWatched<Item[]>((live, person, tell) => live.watchItems(person, { about }, tell), about);

/** What lies in a page's tray, in the order of taking. */
export const useTray = (about: string): readonly TrayItem[] | null =>
  useWatched<TrayItem[]>((live, person, tell) => live.watchTray(person, about, tell), about);
