import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** The frame of the pages before one is signed in. */
export function Door({ title, lead, children }: { title: string; lead?: string; children: ReactNode }) {
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100dvh',
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: 'minmax(0,5fr) minmax(0,7fr)' },
      }}
    >
      <Box
        sx={{
          bgcolor: 'booth.ground',
          color: 'booth.ink',
          p: { xs: 3, md: 6 },
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'flex-end',
          gap: 1,
        }}
      >
        <Board />
        <Typography sx={{ fontSize: { xs: '2.2rem', md: '3.4rem' }, fontWeight: 700, lineHeight: 1 }}>
          Jiten
        </Typography>
        <Typography sx={{ maxWidth: 420 }}>
          What every glaze does here: on your bodies, in your kilns, at your cones.
        </Typography>
      </Box>
      <Box
        sx={{
          bgcolor: 'background.paper',
          p: { xs: 3, md: 6 },
          display: 'flex',
          alignItems: 'center',
        }}
      >
        <Box sx={{ width: '100%', maxWidth: 520 }}>
          <Typography variant="h1">{title}</Typography>
          {lead && (
            <Typography color="text.secondary" sx={{ mt: 1 }}>
              {lead}
            </Typography>
          )}
          <Box sx={{ mt: 3 }}>{children}</Box>
        </Box>
      </Box>
    </Box>
  );
}

/** A small board of tiles in greys: two dips, each over the other. */
function Board() {
  const shades = ['#f3f3f3', '#d0d0d0', '#8d8d8d', '#3c3c3c'];
  return (
    <Box component="svg" viewBox="0 0 160 128" aria-hidden sx={{ width: { xs: 160, md: 300 }, mb: 'auto' }}>
      {shades.flatMap((base, row) =>
        shades.map((over, column) => (
          <g key={`${row}${column}`} transform={`translate(${column * 40} ${row * 32})`}>
            <rect x={2} y={2} width={34} height={26} fill={base} />
            {row !== column && <rect x={2} y={2} width={34} height={13} fill={over} />}
            <rect
              x={2}
              y={2}
              width={34}
              height={26}
              fill="none"
              stroke="#151515"
              strokeWidth={row === column ? 1.6 : 0.6}
            />
          </g>
        )),
      )}
    </Box>
  );
}
