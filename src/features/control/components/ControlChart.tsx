'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import { FEWEST_CONTROLLED } from '@/core/statistics';
import { useInk } from '@/ui/chart';
import type { Series } from '../series';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

/** The control firing by firing, one line at a time, with its limits and what stands out. */
export default function ControlChart({ series }: { series: readonly Series[] }) {
  const ink = useInk();
  const [name, setName] = useState(series.find(({ said }) => said.length > 0)?.name ?? series[0]!.name);
  const shown = series.find((one) => one.name === name) ?? series[0]!;
  const { points, limits, said } = shown;
  const out = new Set(limits?.signals.map(({ at }) => at));
  const last = points.length - 1;
  const level = (y: number, dashed: boolean) => ({
    data: [
      { x: 0, y },
      { x: last, y },
    ],
    showLine: true,
    pointRadius: 0,
    borderColor: ink.accent,
    ...(dashed ? { borderDash: [6, 4] } : {}),
    borderWidth: 1.5,
  });
  const scale = { ticks: { color: ink.text }, border: { color: ink.text } };
  return (
    <>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={shown.name}
        aria-label="What is charted"
        onChange={(_, next: string | null) => next !== null && setName(next)}
        sx={{ flexWrap: 'wrap', mb: 1 }}
      >
        {series.map((one) => (
          <ToggleButton key={one.name} value={one.name}>
            {one.name}
            {one.said.length > 0 ? ' !' : ''}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ height: 220, maxWidth: 820 }}>
        <Scatter
          aria-label={`${shown.name} of the control in ${points.length} firings${limits === null ? '' : `, usually ${limits.low.toFixed(1)} to ${limits.high.toFixed(1)}`}`}
          data={{
            datasets: [
              {
                data: points.map(({ value }, x) => ({ x, y: value })),
                showLine: true,
                borderColor: ink.text,
                borderWidth: 2,
                // What stands out is larger and of another shape, for those who see no colours.
                pointRadius: points.map((_, at) => (out.has(at) ? 8 : 4)),
                pointStyle: points.map((_, at) => (out.has(at) ? 'rectRot' : 'circle')),
                backgroundColor: ink.accent,
              },
              ...(limits === null
                ? []
                : [level(limits.centre, false), level(limits.low, true), level(limits.high, true)]),
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            plugins: {
              legend: { display: false },
              tooltip: {
                callbacks: {
                  label: ({ dataIndex, datasetIndex }) =>
                    datasetIndex === 0 ? `Firing ${points[dataIndex]!.no}: ${points[dataIndex]!.words}` : '',
                },
              },
            },
            scales: {
              x: {
                ...scale,
                grid: { display: false },
                ticks: { color: ink.text, stepSize: 1, callback: (at) => points[Number(at)]?.no ?? '' },
              },
              y: { ...scale, grid: { display: false } },
            },
          }}
        />
      </Box>
      {limits === null && (
        <Typography variant="body2" color="text.secondary">
          {points.length} firings: limits are drawn from {FEWEST_CONTROLLED} on.
        </Typography>
      )}
      {said.map((line) => (
        <Typography key={line} sx={{ fontWeight: 650 }}>
          {line}
        </Typography>
      ))}
      {limits !== null && said.length === 0 && (
        <Typography>Nothing stands out of what chance does.</Typography>
      )}
    </>
  );
}
