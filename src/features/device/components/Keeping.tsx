'use client';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useDevicePerson } from '@/platform/device/person';
import { startKeeping } from '../offline';
import { Strip } from './WaitingStrip';

/** Keeps what is at hand on this device; where a newer application is here, its reader says when to use it. */
export function Keeping({ offer = true }: { offer?: boolean }) {
  const person = useDevicePerson();
  const [use, setUse] = useState<(() => void) | null>(null);
  useEffect(() => {
    if (person === null) return;
    return startKeeping(
      person,
      () => window.dispatchEvent(new Event('jiten-kept')),
      (newer) => setUse(() => newer),
    );
  }, [person]);
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
