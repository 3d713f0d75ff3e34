import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A few lines that wait under their summary. */
export function More({
  summary,
  open = false,
  children,
}: {
  summary: string;
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <Box
      component="details"
      open={open}
      sx={{
        '& > summary': {
          cursor: 'pointer',
          minHeight: 40,
          alignContent: 'center',
          color: 'primary.main',
          fontWeight: 600,
        },
      }}
    >
      <summary>{summary}</summary>
      {children}
    </Box>
  );
}
