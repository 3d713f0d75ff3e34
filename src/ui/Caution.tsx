import ReportProblemOutlined from '@mui/icons-material/ReportProblemOutlined';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A caution where the act happens, always deferring to those who are responsible. */
export function Caution({ children, brief = false }: { children: ReactNode; brief?: boolean }) {
  return (
    <Box
      role="note"
      sx={{
        display: 'flex',
        gap: 1,
        borderLeft: '4px solid',
        borderColor: 'text.primary',
        pl: 1.5,
        py: 0.5,
        my: 1.5,
      }}
    >
      <ReportProblemOutlined fontSize="small" aria-hidden sx={{ mt: 0.25 }} />
      <Typography variant="body2">
        {children}
        {!brief &&
          ' Local codes, makers’ instructions, safety data sheets and your studio’s own rules come first.'}
      </Typography>
    </Box>
  );
}

/** Several cautions as one, each a line; nothing where there is none. */
export function Cautions({ children }: { children: readonly string[] }) {
  return children.length === 0 ? null : (
    <Caution brief>
      {children.map((line) => (
        <span key={line} style={{ display: 'block' }}>
          {line}
        </span>
      ))}
    </Caution>
  );
}
