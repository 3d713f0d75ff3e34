import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement, ReactNode } from 'react';
import Link from './Link';

/** A line of a day sheet: a figure, what it is, and its next act. */
export function Line({ figure, children, act }: { figure: ReactNode; children: ReactNode; act: ReactNode }) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '76px 1fr', sm: '112px 1fr auto' },
        gap: 2,
        alignItems: 'center',
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
      }}
    >
      <Typography component="div" sx={{ fontSize: '1.7rem', fontWeight: 700, lineHeight: 1.05 }}>
        {figure}
      </Typography>
      <Box sx={{ minWidth: 0 }}>{children}</Box>
      <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>{act}</Box>
    </Box>
  );
}

export const Lines = ({ children }: { children: ReactNode }) => (
  <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
    {children}
  </Box>
);

/** So many of something that wait on a page of their own: one line where there are any, none else. */
export const countedLines = (
  figure: number,
  {
    href,
    act,
    title,
    detail,
  }: {
    href: string;
    act: string;
    title: string;
    /** What follows while they wait. */ detail?: string;
  },
): ReactElement[] =>
  figure === 0
    ? []
    : [
        <Line
          key={href}
          figure={figure}
          act={
            <Button component={Link} href={href} variant="outlined">
              {act}
            </Button>
          }
        >
          <Typography sx={{ fontWeight: 650 }}>{title}</Typography>
          {detail !== undefined && <Typography variant="body2">{detail}</Typography>}
        </Line>,
      ];
