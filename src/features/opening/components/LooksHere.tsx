'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { signOf } from '@/core/signs';
import { PLACES, lookWords, voicesOf, voicesWords, type Place } from '@/core/looks';
import type { Units } from '@/core/units';
import type { RoomLook, Writer } from '../room';

/** What others and oneself saw here before: a look is added beside them, or one of them is put right. */
export function LooksHere({
  looks,
  correcting,
  onCorrect,
  place,
  onPlace,
  writer,
  units,
}: {
  looks: readonly RoomLook[];
  correcting: RoomLook | null;
  onCorrect: (look: RoomLook | null) => void;
  place: Place;
  onPlace: (place: Place) => void;
  writer: Writer;
  units: Units;
}) {
  const names = new Map(looks.map(({ by }) => [by.id, by.name]));
  const voices = voicesOf(
    looks.map(({ by, at, seen }) => ({ ...seen, zone: null, by: by.id, seenAt: at })),
  ).flatMap((one) => voicesWords(one, (id) => names.get(id) ?? id, units));
  return (
    <Box component="section" aria-label="Looks that stand here" sx={{ mb: 1.5 }}>
      {looks.map((look) => (
        <Box
          key={look.id}
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            alignItems: 'center',
            gap: 1,
            borderLeft: '4px solid',
            borderColor: look === correcting ? 'primary.main' : 'divider',
            pl: 1,
            mb: 0.5,
          }}
        >
          <Typography variant="body2" sx={{ flex: '1 1 220px' }}>
            <b>{look.by.name}</b>, {look.at.slice(0, 10)}:{' '}
            {[
              lookWords(look.seen, units),
              ...look.seen.signs.map(({ sign }) => signOf(sign)?.name.toLowerCase() ?? sign),
            ]
              .filter(Boolean)
              .join(', ') || 'nothing particular'}
          </Typography>
          {look === correcting ? (
            <Button size="small" onClick={() => onCorrect(null)}>
              Look again instead
            </Button>
          ) : (
            <Button size="small" onClick={() => onCorrect(look)}>
              {look.by.id === writer.id ? 'Put this right' : `Put ${look.by.name}’s right`}
            </Button>
          )}
        </Box>
      ))}
      {voices.map((line) => (
        <Typography key={line} variant="body2" sx={{ fontWeight: 650 }}>
          {line}
        </Typography>
      ))}
      {looks.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          {correcting
            ? `Saving puts ${correcting.by.id === writer.id ? 'your' : `${correcting.by.name}’s`} words right; what stood there stays on record.`
            : 'Saving adds a look of your own; the others stand. Leave out what you do not find any more.'}
        </Typography>
      )}
      <ToggleButtonGroup
        exclusive
        size="small"
        value={place}
        onChange={(_, value: Place | null) => value !== null && onPlace(value)}
        aria-label="Where you look"
        sx={{ mt: 0.5 }}
      >
        {PLACES.map((one) => (
          <ToggleButton key={one} value={one}>
            at the {one}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
