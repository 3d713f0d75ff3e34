'use client';
import Box from '@mui/material/Box';
import { Chart, LinearScale, LineElement, PointElement } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { Scatter } from 'react-chartjs-2';
import { count, QUANTITIES, type Units } from '@/core/units';
import { offsetSaid } from '../words';
import { useInk } from '@/ui/chart';

Chart.register(LinearScale, LineElement, PointElement, annotation);

export type OffsetPoint = { no: number; low: number; high: number };

/** Beyond this an open end is drawn as a long line, °C. */
const FAR = 60;

/** What each firing said of the thermocouple, as a bar, and what they come to together. */
export default function OffsetBars({
  points,
  estimate,
  units,
}: {
  points: readonly OffsetPoint[];
  estimate: { offset: number | null; low: number; high: number };
  units: Pick<Units, 'temperature'>;
}) {
  const ink = useInk();
  const show = (value: number): number => QUANTITIES.span.shown(value, units);
  const clip = (value: number): number => Math.max(-FAR, Math.min(FAR, value));
  const far = Math.max(
    20,
    ...points.flatMap(({ low, high }) => [low, high].filter(Number.isFinite).map((one) => Math.abs(one) + 5)),
  );
  const reach = Math.ceil(show(Math.min(FAR, far)) / 5) * 5;
  return (
    <Box sx={{ height: 220, maxWidth: 760 }}>
      <Scatter
        role="img"
        aria-label={`Thermocouple offset: ${offsetSaid(estimate, units)}, from ${count(points.length, 'firing')}`}
        data={{
          datasets: points.map(({ no, low, high }) => ({
            data: [
              { x: no, y: show(clip(low)) },
              { x: no, y: show(clip(high)) },
            ],
            showLine: true,
            borderColor: ink.text,
            borderWidth: 4,
            borderDash: Number.isFinite(low) && Number.isFinite(high) ? [] : [2, 3],
            pointRadius: 0,
          })),
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: {
              title: { display: true, text: 'firing', color: ink.text },
              ticks: { color: ink.text, precision: 0 },
              grid: { display: false },
              border: { color: ink.text },
              min: Math.min(...points.map(({ no }) => no)) - 1,
              max: Math.max(...points.map(({ no }) => no)) + 1,
            },
            y: {
              title: {
                display: true,
                text: `reads low by, °${units.temperature}`,
                color: ink.text,
              },
              ticks: { color: ink.text },
              grid: { color: ink.line, lineWidth: 0.4 },
              min: -reach,
              max: reach,
            },
          },
          plugins: {
            legend: { display: false },
            tooltip: { enabled: false },
            annotation: {
              annotations: [
                {
                  type: 'box',
                  yMin: show(estimate.low),
                  yMax: show(estimate.high),
                  backgroundColor: 'rgba(128,128,128,0.22)',
                  borderWidth: 0,
                },
                {
                  type: 'line',
                  display: estimate.offset !== null,
                  yMin: show(estimate.offset ?? 0),
                  yMax: show(estimate.offset ?? 0),
                  borderColor: ink.accent,
                  borderWidth: 2,
                },
              ],
            },
          },
        }}
      />
    </Box>
  );
}
