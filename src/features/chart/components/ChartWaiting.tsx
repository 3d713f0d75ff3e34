'use client';
import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';

/** The shape of a board while it is on its way. */
export function ChartWaiting() {
  return (
    <Box role="status" aria-label="The board is on its way">
      <Skeleton width="min(720px, 90%)" height={56} />
      <Skeleton width="min(420px, 70%)" height={28} sx={{ mb: 1 }} />
      <Skeleton variant="rectangular" height="calc(100vh - 330px)" />
    </Box>
  );
}
