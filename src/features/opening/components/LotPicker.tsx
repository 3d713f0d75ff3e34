'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { MONO } from '@/ui/theme';
import type { RoomPiece } from '../room';

/** Which pieces of the lot this is said of: all but the exceptions. */
export function LotPicker({
  piece,
  lot,
  chosen,
  onChange,
}: {
  piece: RoomPiece;
  lot: readonly RoomPiece[];
  chosen: ReadonlySet<string>;
  onChange: (chosen: ReadonlySet<string>) => void;
}) {
  if (lot.length < 2) return null;
  const all = chosen.size === lot.length;
  const toggle = (id: string): void => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChange(next);
  };
  return (
    <Box sx={{ border: '1px solid', borderColor: 'divider', p: 1, mb: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography sx={{ flex: 1 }}>
          {chosen.size > 1
            ? `Said of ${chosen.size} of ${lot.length} alike. Touch those that differ.`
            : `One of ${lot.length} alike.`}
        </Typography>
        <Button
          size="small"
          variant={all ? 'outlined' : 'contained'}
          onClick={() => onChange(all ? new Set([piece.id]) : new Set(lot.map((one) => one.id)))}
        >
          {all ? 'Only this one' : `All ${lot.length} alike`}
        </Button>
      </Box>
      {chosen.size > 1 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 1 }}>
          {lot.map((one) => (
            <ToggleButton
              key={one.id}
              value={one.id}
              size="small"
              selected={chosen.has(one.id)}
              disabled={one.id === piece.id}
              onChange={() => toggle(one.id)}
              sx={{ fontFamily: MONO }}
            >
              {one.code}
            </ToggleButton>
          ))}
        </Box>
      )}
    </Box>
  );
}
