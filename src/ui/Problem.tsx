'use client';
import ErrorOutline from '@mui/icons-material/ErrorOutlined';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { inUnits } from '@/core/units';
import { useUnits } from './units';

/** Why something did not work, in words, where it was tried. */
export function ProblemNote({ children, act }: { children: ReactNode; act?: ReactNode }) {
  const units = useUnits();
  if (!children) return null;
  return (
    <Box
      role="alert"
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 1,
        border: '2px solid',
        borderColor: 'error.main',
        p: 1.5,
        my: 1.5,
      }}
    >
      <ErrorOutline color="error" aria-hidden />
      <Typography sx={{ flex: 1, minWidth: 200 }}>
        {typeof children === 'string' ? inUnits(children, units) : children}
      </Typography>
      {act}
    </Box>
  );
}
