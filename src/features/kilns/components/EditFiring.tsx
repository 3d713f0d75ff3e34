'use client';
import Button from '@mui/material/Button';
import { useState, type ComponentProps } from 'react';
import { FiringForm } from './FiringForm';

/** Opens the form of a planned firing in place. */
export function EditFiring(props: Omit<ComponentProps<typeof FiringForm>, 'onDone'>) {
  const [open, setOpen] = useState(false);
  return open ? (
    <FiringForm {...props} onDone={() => setOpen(false)} />
  ) : (
    <Button variant="outlined" onClick={() => setOpen(true)}>
      Change plan
    </Button>
  );
}
