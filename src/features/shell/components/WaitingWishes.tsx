'use client';
import { get } from 'idb-keyval';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { useDevicePerson } from '@/platform/device/person';
import { wishesKey } from '@/platform/device/wishes';

// The clinic comes along only where something was asked without a network.
const Wishes = dynamic(() => import('../../clinic').then((module) => module.Wishes), {
  ssr: false,
});

/** Asks the clinic what waits on this device: when a page is opened, and when the network is back. */
export function WaitingWishes() {
  const person = useDevicePerson();
  const [some, setSome] = useState(false);
  useEffect(() => {
    if (person === null) return;
    const look = (): void =>
      void get<unknown[]>(wishesKey(person)).then((kept) => setSome((kept?.length ?? 0) > 0));
    look();
    window.addEventListener('online', look);
    return () => window.removeEventListener('online', look);
  }, [person]);
  return some ? <Wishes /> : null;
}
