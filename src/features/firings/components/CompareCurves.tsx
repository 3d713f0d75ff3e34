'use client';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { Reading } from '@/core/heatwork';
import type { Units } from '@/core/units';
import { Curve } from '../../drawings';

/** Two curves, lined up where they were lit or where their cone began to bend. */
export function CompareCurves({
  a,
  b,
  byCone,
  units,
}: {
  a: { name: string; log: readonly Reading[] };
  b: { name: string; log: readonly Reading[] };
  byCone: { a: number; b: number } | null;
  units: Pick<Units, 'temperature'>;
}) {
  const [by, setBy] = useState<'time' | 'cone'>(byCone ? 'cone' : 'time');
  const shift = by === 'cone' && byCone ? byCone : { a: 0, b: 0 };
  const moved = (log: readonly Reading[], seconds: number): Reading[] =>
    log.map(({ t, c }) => ({ t: t - seconds, c }));
  return (
    <>
      {byCone && (
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Line up by"
          value={by}
          onChange={(_, value) => value !== null && setBy(value as 'time' | 'cone')}
          sx={{ mb: 1 }}
        >
          <ToggleButton value="cone">by the cone beginning to bend</ToggleButton>
          <ToggleButton value="time">by time since lit</ToggleButton>
        </ToggleButtonGroup>
      )}
      <Curve
        label={`Temperatures of ${a.name} and ${b.name}`}
        units={units}
        lines={[
          { label: a.name, kind: 'measured', points: moved(a.log, shift.a) },
          { label: b.name, kind: 'planned', points: moved(b.log, shift.b) },
        ]}
        height={340}
      />
    </>
  );
}
