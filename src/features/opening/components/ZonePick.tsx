'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';

/** Which part is spoken of: all choices in sight on a wide screen, one field on a phone. */
export function ZonePick({
  zone,
  onZone,
  choices,
}: {
  zone: string | null;
  onZone: (zone: string | null) => void;
  choices: readonly { key: string; label: string }[];
}) {
  const pick = (key: string): void => onZone(key === '' ? null : key);
  return (
    <Box sx={{ mt: 1.5 }}>
      <TextField
        select
        label="Said of"
        value={zone ?? ''}
        onChange={(event) => pick(event.target.value)}
        sx={{ display: { xs: 'flex', lg: 'none' } }}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        {choices.map((choice) => (
          <MenuItem key={choice.key} value={choice.key}>
            {choice.label}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: { xs: 'none', lg: 'block' } }}>
        <Typography variant="h3" sx={{ mb: 0.5 }}>
          Said of
        </Typography>
        <ToggleButtonGroup
          orientation="vertical"
          exclusive
          fullWidth
          size="small"
          value={zone ?? ''}
          onChange={(_, value: string | null) => value !== null && pick(value)}
          aria-label="Which part"
        >
          {choices.map((choice) => (
            <ToggleButton
              key={choice.key}
              value={choice.key}
              sx={{ justifyContent: 'flex-start', textAlign: 'left', lineHeight: 1.2 }}
            >
              {choice.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
    </Box>
  );
}
