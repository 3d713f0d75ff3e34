'use client';
import { useEffect } from 'react';
import { useDevicePerson } from '@/platform/device/person';
import { useSay } from '@/ui/Undo';
import { askWishes } from '../wishes';

/** Asks what was asked without a network, when a page is opened and when the network is back. */
export function Wishes() {
  const person = useDevicePerson();
  const say = useSay();
  useEffect(() => {
    if (person === null) return;
    const ask = (): void =>
      void askWishes(
        person,
        (said) =>
        say('caseId' in said ? 'What you asked without a network stands in the clinic now' : `“Why?” could not be asked: ${said.refused}`), // prettier-ignore
      );
    ask();
    window.addEventListener('online', ask);
    return () => window.removeEventListener('online', ask);
  }, [person, say]);
  return null;
}
