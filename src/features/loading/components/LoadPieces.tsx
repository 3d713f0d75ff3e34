'use client';
import Close from '@mui/icons-material/Close';
import FlagOutlined from '@mui/icons-material/FlagOutlined';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import type { Footprint } from '@/core/load';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';

export type LoadPiece = {
  id: string;
  code: string;
  mark: string | null;
  stack: string;
  body: string;
  form: string;
  flags: string[];
  wants: string;
  suits: boolean;
  footprint: Footprint;
};
export type Placed = LoadPiece & { placementId: string; shelf: number | null; setting: string };

/** Pieces that wait, to be ticked for the load. */
export function WaitingPieces({
  pieces: shown,
  chosen,
  onToggle,
}: {
  pieces: readonly LoadPiece[];
  chosen: ReadonlySet<string>;
  onToggle: (id: string) => void;
}) {
  return (
    <Box
      sx={{
        maxHeight: 380,
        overflow: 'auto',
        borderTop: '1px solid',
        borderColor: 'divider',
      }}
      tabIndex={0}
      role="group"
      aria-label="Waiting pieces"
    >
      {shown.length === 0 && <Typography sx={{ py: 2 }}>Nothing that waits suits this firing.</Typography>}
      {shown.map((piece) => (
        <Box
          component="label"
          key={piece.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '42px 84px 1fr', md: '42px 90px 1fr 150px 250px' },
            alignItems: 'center',
            gap: 1,
            borderBottom: '1px solid',
            borderColor: 'divider',
            cursor: 'pointer',
          }}
        >
          <Checkbox checked={chosen.has(piece.id)} onChange={() => onToggle(piece.id)} />
          <Typography sx={{ fontFamily: MONO, fontWeight: 700 }}>{piece.code}</Typography>
          <Typography noWrap>
            {piece.stack}
            {piece.flags.length > 0 && <Flagged texts={piece.flags} />}
          </Typography>
          <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
            {piece.body}, {piece.form}
          </Typography>
          <Typography variant="body2" color="text.secondary" sx={{ display: { xs: 'none', md: 'block' } }}>
            {piece.wants}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

/** What is in the load, shelf by shelf from the top. */
export function LoadedPieces({
  placed,
  open,
  busy,
  problem,
  onTakeOut,
}: {
  placed: readonly Placed[];
  open: boolean;
  busy: boolean;
  problem: string | null;
  onTakeOut: (placementId: string) => void;
}) {
  return (
    <Section title={`In the load: ${placed.length}`}>
      <ProblemNote>{problem}</ProblemNote>
      {placed.length === 0 && <Typography>Nothing yet.</Typography>}
      {[...new Set(placed.map((one) => one.shelf))]
        .sort((a, b) => (b ?? 0) - (a ?? 0))
        .map((level) => (
          <Box key={level ?? 0} sx={{ mb: 1.5 }}>
            <Typography variant="h3">{level === null ? 'Shelf not said' : `Shelf ${level}`}</Typography>
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: 'repeat(auto-fill, minmax(210px, 1fr))',
                borderTop: '3px solid',
                borderColor: 'text.primary',
              }}
            >
              {placed
                .filter((one) => one.shelf === level)
                .map((piece) => (
                  <Box
                    key={piece.placementId}
                    sx={{
                      display: 'flex',
                      alignItems: 'center',
                      gap: 0.5,
                      borderRight: '1px solid',
                      borderBottom: '1px solid',
                      borderColor: 'divider',
                      px: 1,
                      py: 0.25,
                      minHeight: 48,
                    }}
                  >
                    <Box sx={{ flex: 1, minWidth: 0 }}>
                      <Typography
                        component="a"
                        href={`/pieces/${piece.code}`}
                        sx={{
                          fontFamily: MONO,
                          fontWeight: 700,
                          color: 'inherit',
                          textDecoration: 'none',
                        }}
                      >
                        {piece.code}
                      </Typography>
                      {piece.mark ? ` “${piece.mark}”` : ''}
                      <Typography variant="body2" noWrap>
                        {piece.stack}
                      </Typography>
                      {piece.flags.length > 0 && <Flagged texts={piece.flags} />}
                    </Box>
                    {open && (
                      <IconButton
                        size="small"
                        aria-label={`Take ${piece.code} out`}
                        disabled={busy}
                        onClick={() => onTakeOut(piece.placementId)}
                      >
                        <Close fontSize="small" />
                      </IconButton>
                    )}
                  </Box>
                ))}
            </Box>
          </Box>
        ))}
    </Section>
  );
}

function Flagged({ texts }: { texts: readonly string[] }) {
  return (
    <Typography component="span" variant="body2" sx={{ ml: 1, fontWeight: 700, whiteSpace: 'nowrap' }}>
      <FlagOutlined aria-label="Flag" sx={{ fontSize: 16, verticalAlign: '-3px' }} /> {texts.join('; ')}
    </Typography>
  );
}
