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
  expansionHolds,
  fieldOf,
  fieldSilence,
  fit,
  OXIDES,
  ratioTendency,
  rulesOfThumb,
  type Chemistry,
  type Line,
} from '@/core/chemistry';
import { ownWords, placedWords, sits } from '@/core/fit';
import { Nothing } from '@/ui/Page';
import type { BodyFit } from '../fits';
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

/** Where a method's factors do not hold its figure says so. */
const beyond = (holds: boolean): string =>
  holds ? '' : ', outside what its factors were found on: do not rely on it';

/** What the studio's own pieces say of a glaze with this figure. */
const SITS = {
  crazes: 'will craze, as others above it did',
  near: 'on the edge: some may craze, make a tile of it',
  holds: 'will hold, as others below it did',
} as const;

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
  body,
  glaze,
  cone,
  additions,
}: {
  lines: readonly Line[];
  other: { label: string; lines: readonly Line[] } | null;
  body: BodyFit | null;
  /** The version that is edited, as records name it: "slug#2". */
  glaze: string;
  /** The highest cone that it is fired to, and what is added to its base, %. */
  cone: string | null;
  additions: readonly { name: string; percent: number }[];
}) {
  const now = safely(lines);
  const before = other === null ? null : safely(other.lines);
  if (now === null)
    return (
      <Nothing>
        Choose materials and amounts; the oxides, the unity formula and the expansion follow as you type.
      </Nothing>
    );
  const three = expansion(now);
  const was = before === null ? null : expansion(before);
  const silence = now.umf === null ? null : fieldSilence(now.umf, now.alkali, cone);
  const field = now.umf === null || silence !== null ? null : fieldOf(now.umf);
  const holds = expansionHolds(now, three.covered);
  const rules = rulesOfThumb(now, additions, cone);
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
  const computed = body?.value == null ? null : fit(three.appen, body.value);
  const placed = body?.placed ?? null;
  const own = body?.own[glaze];
  const shown = OXIDES.filter((oxide) => now.mass[oxide] || before?.mass[oxide]);
  return (
    <Box>
      {now.unknown.names.length > 0 && (
        <Typography role="status" sx={{ fontWeight: 650, mb: 1 }}>
          {now.unknown.names.join(', ')}: no analysis, {Math.round(100 * now.unknown.share)} % of the recipe.
          The rest is reckoned without it.
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
        <dd>{now.loi < 0 ? `a gain of ${figure(-now.loi, 1)} %` : `${figure(now.loi, 1)} %`}</dd>
        <dt>Expansion, 10⁻⁶/K</dt>
        <dd>
          Appen {figure(three.appen)}
          {beyond(holds.appen)} <Change now={three.appen} before={was?.appen} />
          <br />
          English &amp; Turner {figure(three.englishTurner)}
          {beyond(holds.englishTurner)} <Change now={three.englishTurner} before={was?.englishTurner} />
          <br />
          Winkelmann &amp; Schott {figure(three.winkelmannSchott)}
          {beyond(holds.winkelmannSchott)}{' '}
          <Change now={three.winkelmannSchott} before={was?.winkelmannSchott} />
        </dd>
        {body && computed && (
          <>
            <dt>On {body.name}, computed</dt>
            <dd>
              {computed.tendency} ({computed.difference > 0 ? '+' : '−'}
              {Math.abs(computed.difference).toFixed(2)})
              {computed.remedies.length > 0 && `. Towards a fit: ${computed.remedies[0]?.change}.`}
            </dd>
          </>
        )}
        {body && placed && (
          <>
            <dt>On {body.name}, by your pieces</dt>
            <dd>
              {own === undefined ? SITS[sits(three.appen, placed)] : ownWords(own)}
              {own !== undefined && other !== null && ', as it was kept'}
              <Typography variant="body2">{placedWords(placed)}</Typography>
            </dd>
          </>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        The three expansions are estimates that differ by up to 15 %; trust differences between related
        glazes, not the figures.
      </Typography>
      {rules.map(({ says, source }) => (
        <Typography key={says} sx={{ mb: 0.5 }}>
          {says}{' '}
          <Typography component="span" variant="body2" color="text.secondary">
            ({source})
          </Typography>
        </Typography>
      ))}
      {points.length > 0 && silence === null && <FieldChart points={points} />}
      {silence !== null && (
        <Typography variant="body2">The silica–alumina field says nothing of it: {silence}.</Typography>
      )}
      {field && (
        <Typography variant="body2">
          It lies in “{field.name}”: {field.words}. The field was drawn for lime–potash glazes at cone 11.
        </Typography>
      )}
    </Box>
  );
}
