'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import type { RoomPiece } from '../room';
import { PlanTile } from './PlanTile';

/** The load shelf by shelf: touch a piece to take it in hand. */
export function PlanList({
  pieces,
  written,
  at,
  onPick,
  extra,
  strangers,
}: {
  pieces: readonly RoomPiece[];
  written: ReadonlySet<string>;
  at: string;
  onPick: (id: string) => void;
  extra: readonly { id: string; label: string }[];
  /** Where a pot is written down that was on no list; null where nobody may. */
  strangers: string | null;
}) {
  const shelves = [...new Set(pieces.map((piece) => piece.shelf))];
  return (
    <Box component="nav" aria-label="Pieces of this firing">
      <Box sx={{ display: 'flex', gap: 0.5, mb: 1 }}>
        {extra.map((one) => (
          <ButtonBase
            key={one.id}
            onClick={() => onPick(one.id)}
            aria-current={at === one.id}
            sx={{
              flex: 1,
              minHeight: 44,
              border: '1px solid',
              borderColor: 'divider',
              bgcolor: at === one.id ? 'text.primary' : 'background.paper',
              color: at === one.id ? 'background.paper' : 'text.primary',
              fontFamily: 'inherit',
              fontWeight: 650,
              fontSize: '0.9rem',
            }}
          >
            {one.label}
          </ButtonBase>
        ))}
      </Box>
      {shelves.map((shelf) => (
        <Box key={shelf ?? 0} sx={{ mb: 1 }}>
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            {shelf === null ? 'Shelf not said' : `Shelf ${shelf}`}
          </Typography>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(76px, 1fr))',
              gap: '3px',
              borderBottom: '4px solid',
              borderColor: 'text.primary',
              pb: '3px',
            }}
          >
            {pieces
              .filter((piece) => piece.shelf === shelf)
              .map((piece) => {
                return (
                  <PlanTile
                    key={piece.id}
                    piece={piece}
                    here={at === piece.id}
                    done={written.has(piece.id)}
                    onPick={() => onPick(piece.id)}
                  />
                );
              })}
          </Box>
        </Box>
      ))}
      {strangers !== null && (
        <Button component={Link} href={strangers} fullWidth>
          A pot on no list
        </Button>
      )}
    </Box>
  );
}
