'use client';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import {
  analyse,
  expansion,
  fieldOf,
  fit,
  OXIDES,
  ratioTendency,
  type Chemistry,
  type Line,
} from '@/core/chemistry';
import { Nothing } from '@/ui/Page';
import { formula } from '../words';

const FieldChart = dynamic(() => import('./FieldChart').then((module) => module.FieldChart), {
  ssr: false,
  loading: () => <Box sx={{ height: 300 }} />,
});

const figure = (value: number | null | undefined, digits = 2): string =>
  value === null || value === undefined ? '–' : value.toFixed(digits);

function Change({ now, before }: { now: number; before: number | undefined }) {
  if (before === undefined || Math.abs(now - before) < 0.005) return null;
  return (
    <Typography component="span" variant="body2" color="text.secondary">
      {' '}
      {now > before ? '+' : '−'}
      {Math.abs(now - before).toFixed(2)}
    </Typography>
  );
}

function safely(lines: readonly Line[]): Chemistry | null {
  try {
    return analyse(lines);
  } catch {
    return null;
  }
}

/** What a recipe is in oxides, beside what it was before or another version. */
export function ChemistryPanel({
  lines,
  other,
  bodyExpansion,
}: {
  lines: readonly Line[];
  other: { label: string; lines: readonly Line[] } | null;
  bodyExpansion: { name: string; value: number } | null;
}) {
  const now = safely(lines);
  const before = other === null ? null : safely(other.lines);
  if (now === null)
    return (
      <Nothing>
        Choose materials and amounts; the oxides, the unity formula and the expansion follow as you
        type.
      </Nothing>
    );
  const three = expansion(now);
  const was = before === null ? null : expansion(before);
  const field = now.umf === null ? null : fieldOf(now.umf);
  const points = [
    ...(now.umf
      ? [{ label: 'this', alumina: now.umf.Al2O3 ?? 0, silica: now.umf.SiO2 ?? 0, main: true }]
      : []),
    ...(before?.umf && other
      ? [
          {
            label: other.label,
            alumina: before.umf.Al2O3 ?? 0,
            silica: before.umf.SiO2 ?? 0,
            main: false,
          },
        ]
      : []),
  ];
  const sits = bodyExpansion === null ? null : fit(three.appen, bodyExpansion.value);
  const shown = OXIDES.filter((oxide) => now.mass[oxide] || before?.mass[oxide]);
  return (
    <Box>
      {now.unknown.names.length > 0 && (
        <Typography role="status" sx={{ fontWeight: 650, mb: 1 }}>
          {now.unknown.names.join(', ')}: no analysis, {Math.round(100 * now.unknown.share)} % of
          the recipe. The rest is reckoned without it.
        </Typography>
      )}
      <Table size="small" aria-label="Chemistry">
        <TableHead>
          <TableRow>
            <TableCell>Oxide</TableCell>
            <TableCell align="right">Unity formula</TableCell>
            <TableCell align="right">Mass %</TableCell>
            <TableCell align="right">Mole %</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.map((oxide) => (
            <TableRow key={oxide}>
              <TableCell>{formula(oxide)}</TableCell>
              <TableCell align="right">
                {now.umf === null ? '–' : figure(now.umf[oxide] ?? 0, 3)}
                {now.umf && before?.umf && (
                  <Change now={now.umf[oxide] ?? 0} before={before.umf[oxide] ?? 0} />
                )}
              </TableCell>
              <TableCell align="right">{figure(now.mass[oxide] ?? 0)}</TableCell>
              <TableCell align="right">{figure(now.mole[oxide] ?? 0)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto 1fr',
          columnGap: 2,
          rowGap: 0.5,
          my: 2,
          '& dd': { m: 0, fontWeight: 650 },
        }}
      >
        <dt>Silica to alumina</dt>
        <dd>
          {figure(now.silicaAlumina, 1)}
          {now.silicaAlumina === null ? '' : `, tends to ${ratioTendency(now.silicaAlumina)}`}
          {now.silicaAlumina !== null && before?.silicaAlumina != null && (
            <Change now={now.silicaAlumina} before={before.silicaAlumina} />
          )}
        </dd>
        <dt>Alkalis : earths</dt>
        <dd>
          {figure(now.alkali)} : {figure(now.earth)}
        </dd>
        <dt>Loss on ignition</dt>
        <dd>{figure(now.loi, 1)} %</dd>
        <dt>Expansion, 10⁻⁶/K</dt>
        <dd>
          Appen {figure(three.appen)} <Change now={three.appen} before={was?.appen} />
          <br />
          English &amp; Turner {figure(three.englishTurner)}{' '}
          <Change now={three.englishTurner} before={was?.englishTurner} />
          <br />
          Winkelmann &amp; Schott {figure(three.winkelmannSchott)}{' '}
          <Change now={three.winkelmannSchott} before={was?.winkelmannSchott} />
        </dd>
        {sits && bodyExpansion && (
          <>
            <dt>On {bodyExpansion.name}</dt>
            <dd>
              {sits.tendency} ({sits.difference > 0 ? '+' : '−'}
              {Math.abs(sits.difference).toFixed(2)})
              {sits.remedies.length > 0 && `. Towards a fit: ${sits.remedies[0]?.change}.`}
            </dd>
          </>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        The three expansions are estimates that differ by up to 15 %; trust differences between
        related glazes, not the figures.
      </Typography>
      {points.length > 0 && <FieldChart points={points} />}
      {field && (
        <Typography variant="body2">
          It lies in “{field.name}”: {field.words}. The field was drawn for lime–potash glazes at
          cone 11; elsewhere it only hints.
        </Typography>
      )}
    </Box>
  );
}
