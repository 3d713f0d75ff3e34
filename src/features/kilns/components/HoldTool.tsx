'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { formatCone, parseCone } from '@/core/cones';
import { climbTo, endPointFor, holdFor } from '@/core/heatwork';
import { count, formatDuration, formatTemperature } from '@/core/units';
import { NumberField } from '@/ui/NumberField';
import { useUnits } from '@/ui/units';
import type { ScheduleKiln } from '../learn';

/** "How long must I hold at 1200 °C for cone 6 here?" */
export function HoldTool({ kilns }: { kilns: readonly ScheduleKiln[] }) {
  const units = useUnits();
  const [cone, setCone] = useState('6');
  const [celsius, setCelsius] = useState<number | null>(1200);
  const [perHour, setPerHour] = useState<number | null>(60);
  const [kilnId, setKilnId] = useState(kilns[0]?.id ?? '');
  const kiln = kilns.find(({ id }) => id === kilnId);
  const read = parseCone(cone);
  const offset = kiln?.offset ?? 0;
  const answer = (): string => {
    if (!read.ok) return read.message;
    if (!celsius || !perHour || perHour <= 0) return 'Give a temperature and a rate.';
    if (celsius > 1450 || celsius < 500)
      return units.temperature === 'C' && celsius > 1450
        ? `${formatTemperature(celsius, units)} is hotter than these cones. Is it °F?`
        : 'Give the temperature of the hold.';
    const hold = holdFor(read.cone, celsius, climbTo(celsius, perHour), offset);
    const end = formatTemperature(endPointFor(read.cone, perHour, offset), units);
    if (hold.kind === 'already')
      return `Cone ${formatCone(read.cone)} is down before: without a hold it falls at ${end}.`;
    if (hold.kind === 'too cool')
      return `No hold worth the name does it there: cone ${formatCone(read.cone)} falls at ${end} at this rate.`;
    return `Hold ${formatDuration(hold.minutes)}; without a hold cone ${formatCone(read.cone)} falls at ${end}.`;
  };
  return (
    <Box>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', mb: 1 }}>
        <TextField
          label="Cone"
          value={cone}
          onChange={(event) => setCone(event.target.value)}
          sx={{ width: 90 }}
        />
        <NumberField
          label="Hold at"
          quantity="temperature"
          value={celsius}
          onChange={setCelsius}
          width={130}
        />
        <NumberField label="Reached at" quantity="rate" value={perHour} onChange={setPerHour} width={160} />
        {kilns.length > 0 && (
          <TextField
            select
            label="In"
            value={kilnId}
            onChange={(event) => setKilnId(event.target.value)}
            sx={{ width: 150 }}
          >
            {kilns.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Stack>
      <Typography role="status" sx={{ fontSize: '1.2rem', fontWeight: 650 }}>
        {answer()}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {kiln?.offset == null
          ? 'This kiln’s thermocouple is taken at its word.'
          : `Temperatures as ${kiln.name} shows them; its offset is learned from ${count(kiln.firings, 'firing')}.`}{' '}
        A model fitted to published end points: let the cones decide.
      </Typography>
    </Box>
  );
}
