'use client';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useDevicePerson } from '@/platform/device/person';
import { studioNow } from '@/platform/device/clock';
import { startKeeping } from '../offline';
import { Strip } from './WaitingStrip';

/** A page that is no older than this is of now, ms. */
const OLD_MS = 120_000;

/**
 * Keeps what is at hand on this device; where a newer application is here, its reader says when to use it.
 */
export function Keeping({
  madeAt,
  offer = true,
}: {
  /** When the page that this stands in was made, by the studio's clock, ms. */
  madeAt: number;
  offer?: boolean;
}) {
  const person = useDevicePerson();
  // A page from the device looks like one from the server: how old it is, is said.
  const [old, setOld] = useState(false);
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the clock of the device is read in the browser only
    setOld(studioNow() - madeAt > OLD_MS);
    // Only as it was loaded: pages that follow in it are new.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see above
  }, []);
  const [use, setUse] = useState<(() => void) | null>(null);
  useEffect(() => {
    if (person === null) return;
    return startKeeping(
      person,
      () => window.dispatchEvent(new Event('jiten-kept')),
      (newer) => setUse(() => newer),
    );
  }, [person]);
  if (old)
    return (
      <Strip>
        The studio cannot be reached. This page is of{' '}
        {new Date(madeAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}; what was said
        elsewhere since is not in it.
      </Strip>
    );
  if (use === null || !offer) return null;
  return (
    <Strip>
      A newer version is here. Nothing that waits is lost by it.{' '}
      <Button size="small" variant="outlined" onClick={use}>
        Load it
      </Button>
    </Strip>
  );
}
