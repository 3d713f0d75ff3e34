'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Prints the page; what belongs to the screen only is left out by the style sheet. */
export function PrintButton({ children }: { children: ReactNode }) {
  return (
    <Button variant="contained" onClick={() => window.print()}>
      {children}
    </Button>
  );
}
