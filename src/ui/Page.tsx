import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** The head of a place: its name, a line about it, and what can be done there. */
export function Page(props: {
  title: ReactNode;
  lead?: ReactNode;
  acts?: ReactNode;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Box
      component="main"
      id="content"
      sx={{ px: { xs: 2, md: 4 }, py: { xs: 2, md: 3 }, maxWidth: props.wide ? 'none' : 1280 }}
    >
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'flex-end',
          gap: 2,
          pb: 1.5,
          mb: 2.5,
          borderBottom: '2px solid',
          borderColor: 'text.primary',
        }}
      >
        <Box sx={{ flex: '1 1 260px', minWidth: 0 }}>
          <Typography variant="h1">{props.title}</Typography>
          {props.lead && (
            <Typography component="div" color="text.secondary" sx={{ mt: 0.5 }}>
              {props.lead}
            </Typography>
          )}
        </Box>
        {props.acts && (
          <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            {props.acts}
          </Box>
        )}
      </Box>
      {props.children}
    </Box>
  );
}

/** A part of a page under its own heading. */
export function Section(props: { title: ReactNode; acts?: ReactNode; children: ReactNode; id?: string }) {
  return (
    <Box component="section" id={props.id} sx={{ mb: 4 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', flexWrap: 'wrap', gap: 1, mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1, minWidth: 160 }}>
          {props.title}
        </Typography>
        {props.acts}
      </Box>
      {props.children}
    </Box>
  );
}

/** What stands where there is nothing yet: what would be here, and the act that begins it. */
export function Nothing({ children, act }: { children: ReactNode; act?: ReactNode }) {
  return (
    <Box
      sx={{
        border: '1px dashed',
        borderColor: 'divider',
        p: 3,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 2,
        alignItems: 'center',
      }}
    >
      <Typography sx={{ flex: '1 1 260px' }}>{children}</Typography>
      {act}
    </Box>
  );
}
