import Box from '@mui/material/Box';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';

/** Fields side by side: a number of equal columns or a template, on a phone and where there is room. */
export function FieldGrid({
  phone = 1,
  wide,
  sx,
  children,
}: {
  phone?: number | string;
  wide: number | string;
  sx?: SxProps<Theme>;
  children: ReactNode;
}) {
  const template = (columns: number | string): string =>
    typeof columns === 'number' ? `repeat(${columns}, 1fr)` : columns;
  return (
    <Box
      sx={[
        {
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: template(phone), sm: template(wide) },
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      {children}
    </Box>
  );
}
