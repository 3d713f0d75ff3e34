import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import Link from './Link';

/** A row of a list that is a link as a whole; `columns` are its grid on phones and on desks. */
export function RowLink({
  href,
  columns,
  faded = false,
  children,
}: {
  href: string;
  columns: { xs: string; md: string };
  faded?: boolean;
  children: ReactNode;
}) {
  return (
    <Box
      component={Link}
      href={href}
      prefetch={false}
      sx={{
        display: 'grid',
        alignItems: 'center',
        gridTemplateColumns: columns,
        gap: 2,
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
        color: 'inherit',
        textDecoration: 'none',
        opacity: faded ? 0.6 : 1,
        '&:hover': { bgcolor: 'background.paper' },
      }}
    >
      {children}
    </Box>
  );
}
