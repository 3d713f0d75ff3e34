'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Prints the page; what belongs to the screen only is left out by the style sheet. */
export function PrintButton({ children, quiet = false }: { children: ReactNode; quiet?: boolean }) {
  return (
    <Button variant={quiet ? 'outlined' : 'contained'} onClick={() => window.print()}>
      {children}
    </Button>
  );
}
