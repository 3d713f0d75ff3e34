'use client';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { Chart, LinearScale, LineElement, PointElement, type Plugin } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { FIELDS } from '@/core/chemistry';
import { useInk } from '@/ui/chart';

Chart.register(LinearScale, LineElement, PointElement);

export type FieldPoint = { label: string; alumina: number; silica: number; main: boolean };

/** Names written into their regions, where there is most room for them. */
const names = (ink: string): Plugin<'scatter'> => ({
  id: 'field-names',
  afterDatasetsDraw: ({ ctx, scales }) => {
    ctx.save();
    ctx.fillStyle = ink;
    ctx.textAlign = 'center';
    ctx.font = '600 12px "Atkinson Hyperlegible Next Variable", sans-serif';
    const at: Record<string, [number, number]> = {
      unfused: [0.42, 7.4],
      matt: [0.72, 2.6],
      'semi-matt': [0.6, 3.4],
      bright: [0.5, 4.75],
      crazed: [0.13, 1.9],
      devitrified: [0.2, 5.2],
    };
    for (const { name } of FIELDS) {
      const [alumina, silica] = at[name] as [number, number];
      const x = scales.x?.getPixelForValue(alumina) ?? 0;
      const y = scales.y?.getPixelForValue(silica) ?? 0;
      ctx.fillText(name, x, y);
    }
    ctx.restore();
  },
});

/** Where glazes lie in the silica–alumina field; the regions are tendencies, not borders. */
export function FieldChart({ points }: { points: readonly FieldPoint[] }) {
  const ink = useInk();
  const { typography } = useTheme();
  const said = points
    .map((point) => `${point.label}: ${point.alumina.toFixed(2)} alumina, ${point.silica.toFixed(2)} silica`)
    .join('; ');
  return (
    <Box sx={{ height: 300 }}>
      <Scatter
        aria-label={`Silica–alumina field. ${said}`}
        key={ink.text}
        plugins={[names(ink.faint)]}
        data={{
          datasets: [
            ...FIELDS.map(({ name, outline }) => ({
              label: name,
              data: [...outline, outline[0]!].map(({ alumina, silica }) => ({
                x: alumina,
                y: silica,
              })),
              showLine: true,
              pointRadius: 0,
              borderWidth: 1,
              borderColor: ink.line,
            })),
            ...points.map((point) => ({
              label: point.label,
              data: [{ x: point.alumina, y: point.silica }],
              pointStyle: point.main ? ('circle' as const) : ('crossRot' as const),
              pointRadius: 7,
              borderWidth: 2.5,
              borderColor: ink.text,
              backgroundColor: point.main ? ink.accent : 'transparent',
            })),
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          font: { family: typography.fontFamily ?? 'sans-serif' },
          scales: {
            x: {
              min: 0,
              max: 1,
              title: { display: true, text: 'Al₂O₃, moles to one of flux', color: ink.text },
              ticks: { color: ink.text },
              grid: { display: false },
              border: { color: ink.text },
            },
            y: {
              min: 0,
              max: 8,
              title: { display: true, text: 'SiO₂', color: ink.text },
              ticks: { color: ink.text },
              grid: { display: false },
              border: { color: ink.text },
            },
          },
        }}
      />
    </Box>
  );
}
