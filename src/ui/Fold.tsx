import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A part of a page that waits folded under its title, with a few words on what is in it. */
export function Fold({
  id,
  title,
  hint,
  children,
}: {
  id: string;
  title: string;
  hint?: string;
  children: ReactNode;
}) {
  return (
    <Box
      component="details"
      id={id}
      sx={{
        borderBottom: '1px solid',
        borderColor: 'divider',
        '& > summary': { cursor: 'pointer', minHeight: 48, alignContent: 'center', py: 0.75 },
        '& > summary:focus-visible': { outline: '3px solid', outlineColor: 'primary.main' },
      }}
    >
      <summary>
        <Typography component="span" variant="h2">
          {title}
        </Typography>
        {hint !== undefined && hint !== '' && (
          <Typography component="span" color="text.secondary" sx={{ ml: 1.5 }}>
            {hint}
          </Typography>
        )}
      </summary>
      <Box sx={{ pt: 1, pb: 3 }}>{children}</Box>
    </Box>
  );
}

/** The folded rest of a page, as an index of what else it has. */
export const Folds = ({ children }: { children: ReactNode }) => (
  <Box
    component="section"
    aria-label="The rest of this page"
    sx={{ borderTop: '2px solid', borderColor: 'text.primary', mt: 2, mb: 4 }}
  >
    {children}
  </Box>
);
