'use client';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { parseCone } from '@/core/cones';
import { ATMOSPHERES, signOf } from '@/core/signs';
import type { SeenInput } from '../contracts';
import { RefireRisk, type Refires } from './RefireRisk';

type Refire = NonNullable<SeenInput['refire']>;

/** What is usually done before a piece goes in again (common practice, no source). */
const TODOS = [
  'as it is',
  'another coat',
  'another coat, warmed first',
  'another coat, sprayed',
  'touched up where it is thin',
  'ground and cleaned',
  'a lower cone',
  'a slower firing',
];

export const NO_INTENTION: Refire = { why: '', todo: '', cone: null, atmosphere: null };

/** What a refire is for: why, what will be done first, at which cone. It waits for that. */
export function RefireFields({
  seen,
  onChange,
  refires,
  stacks,
}: {
  seen: SeenInput;
  onChange: (refire: Refire) => void;
  /** What refires did here; null where this page does not know. */
  refires: Refires | null;
  stacks: readonly string[];
}) {
  const refire = seen.refire ?? NO_INTENTION;
  const set = (part: Partial<Refire>): void => onChange({ ...refire, ...part });
  const faults = seen.signs
    .filter(({ wanted }) => !wanted)
    .map(({ sign }) => signOf(sign)?.name.toLowerCase() ?? sign);
  const cone = refire.cone ?? '';
  const read = parseCone(cone);
  const wrong = cone !== '' && !read.ok;
  return (
    <Stack
      spacing={1.25}
      role="group"
      aria-label="What the refire is for"
      sx={{ borderLeft: '4px solid', borderColor: 'primary.main', pl: 1.5, mb: 1.5 }}
    >
      <Box>
        <TextField
          label="Why again"
          value={refire.why}
          onChange={(event) => set({ why: event.target.value.slice(0, 300) })}
        />
        {refire.why === '' && faults.length > 0 && (
          <Chip label={faults.join(', ')} onClick={() => set({ why: faults.join(', ') })} sx={{ mt: 0.5 }} />
        )}
      </Box>
      <Box>
        <Typography variant="body2" sx={{ mb: 0.5 }}>
          What will be done first
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mb: 1 }}>
          {TODOS.map((todo) => (
            <Chip
              key={todo}
              label={todo}
              color={refire.todo === todo ? 'primary' : 'default'}
              variant={refire.todo === todo ? 'filled' : 'outlined'}
              aria-pressed={refire.todo === todo}
              onClick={() => set({ todo: refire.todo === todo ? '' : todo })}
            />
          ))}
        </Box>
        <TextField
          label="In your words"
          value={refire.todo}
          onChange={(event) => set({ todo: event.target.value.slice(0, 200) })}
        />
      </Box>
      {refires !== null && (
        <RefireRisk
          {...refires}
          faults={seen.signs.filter(({ wanted }) => !wanted).map(({ sign }) => sign)}
          stacks={stacks}
          todo={refire.todo}
        />
      )}
      <Stack direction="row" spacing={1}>
        <TextField
          label="At cone"
          value={cone}
          error={wrong}
          helperText={wrong ? `There is no cone “${cone}”.` : 'Empty: as it was made for.'}
          onChange={(event) => set({ cone: event.target.value || null })}
          onBlur={() => read.ok && set({ cone: read.cone })}
        />
        <TextField
          select
          label="In"
          value={refire.atmosphere ?? ''}
          onChange={(event) =>
            set({ atmosphere: ATMOSPHERES.find((one) => one === event.target.value) ?? null })
          }
        >
          <MenuItem value="">as it was made for</MenuItem>
          {ATMOSPHERES.map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </TextField>
      </Stack>
    </Stack>
  );
}
