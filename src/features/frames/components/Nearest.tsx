'use client';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Lab } from '@/core/colour';
import { bandWords } from '@/core/firing';
import { call } from '@/platform/client';
import Link from '@/ui/Link';
import { ProblemNote } from '@/ui/Problem';
import { ZonePicture } from '@/ui/ZonePicture';
import type { What } from '../what';

/** What may be known of the piece besides its colour. */
export type Narrowed = {
  bodies: readonly { slug: string; name: string }[];
  cones: readonly string[];
  atmospheres: readonly string[];
  surfaces: readonly string[];
  effects: readonly { value: string; label: string }[];
  coatings: readonly { slug: string; name: string }[];
  firings: readonly { value: string; label: string }[];
};
type Known = {
  body: string;
  cone: string;
  atmosphere: string;
  surface: string;
  effect: string;
  firing: string;
  among: string;
  clean: string;
};
const NOTHING: Known = {
  body: '',
  cone: '',
  atmosphere: '',
  surface: '',
  effect: '',
  firing: '',
  among: '',
  clean: 'no',
};

/** The studio’s stacks nearest to a colour, narrowed by what is known. */
export function Nearest({ lab, byGrey, ...choices }: { lab: Lab; byGrey: boolean } & Narrowed) {
  const [known, setKnown] = useState<Known>(NOTHING);
  const [what, setWhat] = useState<What | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [l, a, b] = lab.map((value) => value.toFixed(2));
  const query = new URLSearchParams({
    l: l!,
    a: a!,
    b: b!,
    grey: byGrey ? 'yes' : 'no',
    ...known,
  }).toString();
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      void call<What>(`/api/what?${query}`, {}).then((answer) => {
        if (!current) return;
        setProblem(answer.ok ? null : answer.problem.message);
        if (answer.ok) setWhat(answer.data);
      });
    }, 150);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [query]);
  const pick = (name: keyof Known, label: string, of: readonly { value: string; label: string }[]) => (
    <TextField
      select
      fullWidth={false}
      size="small"
      label={label}
      value={known[name]}
      onChange={(event) => setKnown({ ...known, [name]: event.target.value })}
      sx={{ minWidth: 130 }}
    >
      <MenuItem value="">any</MenuItem>
      {of.map((one) => (
        <MenuItem key={one.value} value={one.value}>
          {one.label}
        </MenuItem>
      ))}
    </TextField>
  );
  const plain = (list: readonly string[]) => list.map((value) => ({ value, label: value }));
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
        {pick(
          'body',
          'Body',
          choices.bodies.map(({ slug, name }) => ({ value: slug, label: name })),
        )}
        {pick(
          'cone',
          'Cone',
          choices.cones.map((cone) => ({ value: cone, label: bandWords(cone) })),
        )}
        {pick('atmosphere', 'Atmosphere', plain(choices.atmospheres))}
        {pick('surface', 'Surface', plain(choices.surfaces))}
        {pick('effect', 'Effect', choices.effects)}
        {choices.firings.length > 0 && pick('firing', 'Out of', choices.firings)}
        <TextField
          select
          fullWidth={false}
          size="small"
          label="Coatings it may have"
          value={known.among === '' ? [] : known.among.split(',')}
          onChange={(event) =>
            setKnown({ ...known, among: (event.target.value as unknown as string[]).join(',') })
          }
          slotProps={{
            select: {
              multiple: true,
              displayEmpty: true,
              renderValue: (value) => {
                const { length } = value as string[];
                return length === 0 ? 'any' : `${length} of them`;
              },
            },
            inputLabel: { shrink: true },
          }}
          sx={{ minWidth: 160 }}
        >
          {choices.coatings.map(({ slug, name }) => (
            <MenuItem key={slug} value={slug}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <FormControlLabel
          control={
            <Switch
              checked={known.clean === 'yes'}
              onChange={(_, on) => setKnown({ ...known, clean: on ? 'yes' : 'no' })}
            />
          }
          label="no fault, does not run"
        />
      </Box>
      <ProblemNote>{problem}</ProblemNote>
      <Typography role="status" sx={{ fontWeight: 650, mb: 1 }}>
        {what?.words ?? 'Looking …'}
      </Typography>
      <Box
        component="ol"
        sx={{
          listStyle: 'none',
          p: 0,
          m: 0,
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: 'repeat(auto-fill, minmax(140px, 1fr))',
        }}
      >
        {what?.cells.map((cell) => (
          <Box component="li" key={cell.id}>
            <Box
              component={Link}
              href={cell.href}
              prefetch={false}
              sx={{ color: 'inherit', textDecoration: 'none', display: 'block' }}
            >
              <ZonePicture sha={cell.photo} cut={cell.cut} alt="" sx={{ aspectRatio: '1' }} />
              <Typography variant="body2" sx={{ fontWeight: 650, mt: 0.5 }}>
                {cell.title}
              </Typography>
              <Typography variant="body2">
                {cell.where}
                {cell.surface === null ? '' : `: ${cell.surface}`}
              </Typography>
              {cell.distance !== null && (
                <Typography variant="body2" color="text.secondary">
                  {cell.distance.toFixed(1)} ΔE₀₀: {cell.words}
                </Typography>
              )}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
