'use client';
import Box from '@mui/material/Box';
import { Chart, LinearScale, LineElement, PointElement } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { useInk } from '@/ui/chart';
import { day } from '@/ui/time';

Chart.register(LinearScale, LineElement, PointElement);

/** A bucket's SG over time beside what it should be. */
export function DriftChart({
  points,
  aim,
  timeZone,
}: {
  points: readonly { at: number; sg: number }[];
  aim: number | null;
  timeZone: string;
}) {
  const ink = useInk();
  const [first, last] = [points[0]!.at, points.at(-1)!.at];
  const values = [...points.map(({ sg }) => sg), ...(aim === null ? [] : [aim])];
  const scale = { ticks: { color: ink.text }, border: { color: ink.text } };
  return (
    <Box sx={{ height: 180, maxWidth: 720, mb: 2 }}>
      <Scatter
        aria-label={`SG from ${points[0]!.sg.toFixed(2)} to ${points.at(-1)!.sg.toFixed(2)} in ${points.length} measurements`}
        data={{
          datasets: [
            {
              data: points.map(({ at, sg }) => ({ x: at, y: sg })),
              showLine: true,
              borderColor: ink.text,
              backgroundColor: ink.accent,
              borderWidth: 2,
              pointRadius: 5,
            },
            ...(aim === null
              ? []
              : [
                  {
                    data: [
                      { x: first, y: aim },
                      { x: last, y: aim },
                    ],
                    showLine: true,
                    pointRadius: 0,
                    borderColor: ink.accent,
                    borderDash: [6, 4],
                    borderWidth: 1.5,
                  },
                ]),
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: {
              ...scale,
              grid: { display: false },
              ticks: {
                color: ink.text,
                maxTicksLimit: 6,
                callback: (value) => day(new Date(Number(value)), timeZone),
              },
            },
            y: {
              ...scale,
              min: Math.min(...values) - 0.03,
              max: Math.max(...values) + 0.03,
              grid: { color: ink.line, lineWidth: 0.4 },
              title: { display: true, text: 'SG', color: ink.text },
              ticks: { color: ink.text, callback: (value) => Number(value).toFixed(2) },
            },
          },
        }}
      />
    </Box>
  );
}
