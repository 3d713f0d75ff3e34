'use client';
import Button from '@mui/material/Button';
import { useState, type ComponentProps } from 'react';
import { ReplanForm } from './FiringForm';

/** Opens the form of a planned firing in place. */
export function EditFiring(props: Omit<ComponentProps<typeof ReplanForm>, 'onDone'>) {
  const [open, setOpen] = useState(false);
  return open ? (
    <ReplanForm {...props} onDone={() => setOpen(false)} />
  ) : (
    <Button variant="outlined" onClick={() => setOpen(true)}>
      Change plan
    </Button>
  );
}
