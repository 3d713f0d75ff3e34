'use client';
import Box from '@mui/material/Box';
import { Chart, Legend, LinearScale, LineElement, PointElement, Tooltip, type ChartDataset } from 'chart.js';
import annotation from 'chartjs-plugin-annotation';
import { Scatter } from 'react-chartjs-2';
import { QUANTITIES, type Units } from '@/core/units';
import { useInk } from '@/ui/chart';

Chart.register(LinearScale, LineElement, PointElement, Tooltip, Legend, annotation);

export type CurveLine = {
  label: string;
  points: readonly { t: number; c: number }[];
  kind: 'measured' | 'planned' | 'other';
};
export type CurveBand = { from: number; to: number; label: string; strength: number };
export type CurveEvent = { t: number; label: string };

/** Temperatures over hours: measured, planned, the air as bands, events as lines. */
export default function CurveChart({
  lines,
  bands = [],
  events = [],
  levels = [],
  probe = [],
  units,
  height = 300,
  label,
}: {
  lines: readonly CurveLine[];
  bands?: readonly CurveBand[];
  events?: readonly CurveEvent[];
  /** Temperatures worth a line of their own, as the end point of the target cone. */
  levels?: readonly { celsius: number; label: string }[];
  /** An oxygen probe's mV, against an axis of its own. */
  probe?: readonly { t: number; mv: number }[];
  units: Pick<Units, 'temperature'>;
  height?: number;
  label: string;
}) {
  const ink = useInk();
  const dash = { measured: [], planned: [7, 5], other: [2, 3] };
  const datasets: ChartDataset<'scatter', { x: number; y: number }[]>[] = lines.map((line) => ({
    label: line.label,
    data: line.points.map(({ t, c }) => ({
      x: t / 3600,
      y: QUANTITIES.temperature.shown(c, units),
    })),
    showLine: true,
    borderColor: line.kind === 'planned' ? ink.accent : ink.text,
    borderDash: dash[line.kind],
    borderWidth: line.kind === 'measured' ? 2.5 : 1.75,
    pointRadius: line.points.length < 40 && line.kind === 'measured' ? 3 : 0,
    pointHitRadius: 8,
    backgroundColor: ink.text,
  }));
  if (probe.length > 0)
    datasets.push({
      label: 'probe, mV',
      data: probe.map(({ t, mv }) => ({ x: t / 3600, y: mv })),
      yAxisID: 'mv',
      showLine: true,
      borderColor: ink.faint,
      borderDash: [2, 3],
      borderWidth: 1.5,
      pointRadius: 0,
    });
  const hours = Math.max(...lines.map(({ points }) => (points.at(-1)?.t ?? 0) / 3600), 0);
  const narrow = (band: CurveBand): boolean => (band.to - band.from) / 3600 < 0.2 * hours;
  const text = { color: ink.text };
  return (
    <Box sx={{ height, position: 'relative' }}>
      <Scatter
        aria-label={label}
        role="img"
        data={{ datasets }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          normalized: true,
          interaction: { mode: 'nearest', axis: 'x', intersect: false },
          scales: {
            x: {
              title: { display: true, text: 'hours', ...text },
              ticks: { ...text, maxTicksLimit: 14 },
              grid: { display: false },
              border: text,
            },
            y: {
              title: { display: true, text: `°${units.temperature}`, ...text },
              ticks: { ...text },
              grid: { color: ink.line, lineWidth: 0.4 },
              border: text,
            },
            ...(probe.length > 0
              ? {
                  mv: {
                    position: 'right' as const,
                    title: { display: true, text: 'mV', ...text },
                    ticks: { ...text },
                    grid: { display: false },
                    border: text,
                    min: 0,
                  },
                }
              : {}),
          },
          plugins: {
            legend: {
              display: lines.length + Number(probe.length > 0) > 1,
              labels: { ...text, boxHeight: 0, boxWidth: 28, usePointStyle: false },
              position: 'top',
              align: 'end',
            },
            tooltip: {
              displayColors: false,
              callbacks: {
                title: (items) => {
                  const hours = items[0]?.parsed.x ?? 0;
                  const whole = Math.floor(hours);
                  return `${whole} h ${Math.round((hours - whole) * 60)} min`;
                },
                label: (item) =>
                  `${item.dataset.label}: ${Math.round(item.parsed.y ?? 0)}${item.dataset.yAxisID === 'mv' ? '' : ` °${units.temperature}`}`,
              },
            },
            annotation: {
              annotations: [
                ...bands.map((band) => ({
                  type: 'box' as const,
                  xMin: band.from / 3600,
                  xMax: band.to / 3600,
                  backgroundColor: `rgba(128,128,128,${0.08 + 0.09 * band.strength})`,
                  borderWidth: 0,
                  label: {
                    display: band.to - band.from > 1800,
                    content: band.label,
                    // A narrow band has its word standing on end.
                    rotation: narrow(band) ? -90 : 0,
                    position: {
                      x: 'center' as const,
                      y: narrow(band) ? ('center' as const) : ('end' as const),
                    },
                    color: ink.text,
                    font: { size: 11 },
                  },
                })),
                ...events.map((event) => ({
                  type: 'line' as const,
                  xMin: event.t / 3600,
                  xMax: event.t / 3600,
                  borderColor: ink.faint,
                  borderWidth: 1,
                  borderDash: [2, 2],
                  label: {
                    display: true,
                    content: event.label,
                    position: 'start' as const,
                    backgroundColor: 'transparent',
                    color: ink.text,
                    font: { size: 11 },
                  },
                })),
                ...levels.map((level) => ({
                  type: 'line' as const,
                  yMin: QUANTITIES.temperature.shown(level.celsius, units),
                  yMax: QUANTITIES.temperature.shown(level.celsius, units),
                  borderColor: ink.faint,
                  borderWidth: 1,
                  label: {
                    display: true,
                    content: level.label,
                    position: 'start' as const,
                    backgroundColor: 'transparent',
                    color: ink.text,
                    font: { size: 11 },
                    yAdjust: -9,
                  },
                })),
              ],
            },
          },
        }}
      />
    </Box>
  );
}
