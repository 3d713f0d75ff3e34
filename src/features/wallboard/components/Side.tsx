'use client';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { MOST_SIDE } from '../contracts';

/** How many rows or columns there are, one more or one fewer. */
export function Side({
  what,
  value,
  onChange,
}: {
  what: 'rows' | 'columns';
  value: number;
  onChange: (value: number) => void;
}) {
  return (
    <Box
      role="group"
      aria-label={`Number of ${what}`}
      sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}
    >
      <IconButton aria-label={`Fewer ${what}`} disabled={value <= 1} onClick={() => onChange(value - 1)}>
        <Remove />
      </IconButton>
      <Typography sx={{ fontWeight: 650, minWidth: 92, textAlign: 'center' }}>
        {value} {value === 1 ? what.slice(0, -1) : what}
      </Typography>
      <IconButton
        aria-label={`More ${what}`}
        disabled={value >= MOST_SIDE}
        onClick={() => onChange(value + 1)}
      >
        <Add />
      </IconButton>
    </Box>
  );
}
