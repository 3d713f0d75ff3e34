'use client';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { useState, type ReactNode } from 'react';
import { Undo } from './Undo';
import { theme } from './theme';

/** `nonce` marks the sheets that tables lay into the page as the server's own. */
export function ThemeRoot({ nonce, children }: { nonce?: string | undefined; children: ReactNode }) {
  // The page keeps the mark that it came with; a newer one would be no better.
  const [marked] = useState(() => ({
    ...theme,
    components: { ...theme.components, MuiDataGrid: { defaultProps: { nonce } } },
  }));
  return (
    <ThemeProvider theme={marked} defaultMode="system">
      <CssBaseline />
      <Undo>{children}</Undo>
    </ThemeProvider>
  );
}
