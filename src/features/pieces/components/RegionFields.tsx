'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useEffectEvent, useState } from 'react';
import { useController, useFormContext, useWatch } from 'react-hook-form';
import { inUnits, parseLength, parseNumber, type Units } from '@/core/units';
import { EVERYWHERE, NAMED_SECTORS, NAMED_STRETCHES, resolveStretch, type Mark } from '@/core/zones';
import { FieldGrid } from '@/ui/FieldGrid';
import { useUnits } from '@/ui/units';
import type { LayersForm } from './LayerEditor';

const same = (a: { from: number; to: number }, b: { from: number; to: number }): boolean =>
  Math.abs(a.from - b.from) < 1e-6 && Math.abs(a.to - b.to) < 1e-6;

/** Reads an end of a stretch: "2/3", "0.4", "40 %", or a length as "30 mm", "1 1/2 in". */
function readMark(text: string, units: Units): Mark | { message: string } {
  const fromRim = /\brim\b/i.test(text);
  const plain = text.replace(/\b(from|the|rim|foot|up)\b/gi, '').trim();
  const from = fromRim ? 'rim' : 'foot';
  const percent = /^(.*)%$/.exec(plain);
  const number = parseNumber(percent ? (percent[1] as string) : plain);
  if (number.ok && (percent || number.value <= 1))
    return { value: percent ? number.value / 100 : number.value, unit: 'fraction', from };
  const length = parseLength(plain, units);
  return length.ok ? { value: length.value, unit: 'mm', from } : { message: length.message };
}

/** Where a layer lies: face, stretch, sector, relief, by name or measured. */
export function RegionFields({ index }: { index: number }) {
  const units = useUnits();
  const { control } = useFormContext<LayersForm>();
  const { field, fieldState } = useController({ control, name: `layers.${index}.region` });
  const faces = useWatch({ control, name: 'faces' });
  const heightMm = useWatch({ control, name: 'heightMm' });
  const region = field.value ?? EVERYWHERE;
  const ware = (faces ?? []).some(({ surface }) => surface != null);
  const named = NAMED_STRETCHES.findIndex(({ stretch }) => same(stretch, region.stretch));
  const [measured, setMeasured] = useState(named < 0);
  const sector = NAMED_SECTORS.findIndex((one) => same(one.sector, region.sector));
  const motif = region.relief.startsWith('motif:') ? region.relief.slice(6) : null;
  const set = (part: object): void => field.onChange({ ...region, ...part });
  return (
    <FieldGrid phone={2} wide={4} sx={{ mt: 1.5 }}>
      <TextField
        select
        label="Where, foot to rim"
        value={measured || named < 0 ? 'measured' : String(named)}
        error={fieldState.invalid}
        helperText={fieldState.error?.message}
        onChange={(event) => {
          const chosen = NAMED_STRETCHES[Number(event.target.value)];
          setMeasured(chosen === undefined);
          if (chosen) set({ stretch: chosen.stretch });
        }}
      >
        {NAMED_STRETCHES.map(({ name }, i) => (
          <MenuItem key={name} value={String(i)}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value="measured">measured …</MenuItem>
      </TextField>
      <TextField
        select
        label="Round the piece"
        value={sector < 0 ? '' : String(sector)}
        onChange={(event) => set({ sector: NAMED_SECTORS[Number(event.target.value)]!.sector })}
      >
        {NAMED_SECTORS.map(({ name }, i) => (
          <MenuItem key={name} value={String(i)}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label={ware ? 'On which surface' : 'Face'}
        value={region.face === null ? '' : String(region.face)}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        onChange={(event) => set({ face: event.target.value === '' ? null : Number(event.target.value) })}
      >
        <MenuItem value="">{ware ? 'all but the foot' : 'every face'}</MenuItem>
        {(faces ?? []).map((face) => (
          <MenuItem key={face.no} value={String(face.no)}>
            {face.surface ?? `${face.no}: ${face.kind.replace('-', ' ')}`}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="In the relief"
        value={motif !== null ? 'motif' : region.relief}
        onChange={(event) =>
          set({ relief: event.target.value === 'motif' ? 'motif:motif' : event.target.value })
        }
      >
        <MenuItem value="all">everywhere</MenuItem>
        <MenuItem value="hollows">in the hollows</MenuItem>
        <MenuItem value="raised">on the raised parts</MenuItem>
        <MenuItem value="motif">on a motif …</MenuItem>
      </TextField>
      {motif !== null && (
        <TextField
          label="Name of the motif"
          value={motif}
          onChange={(event) => set({ relief: `motif:${event.target.value.slice(0, 30) || 'motif'}` })}
        />
      )}
      {measured && (
        <Measured
          key={index}
          units={units}
          heightMm={heightMm}
          stretch={region.stretch}
          onStretch={(stretch) => set({ stretch })}
        />
      )}
    </FieldGrid>
  );
}

/** Both ends of a stretch as they are written, on a face of this height. */
function readStretch(
  a: string,
  b: string,
  heightMm: number | null,
  units: Units,
): ReturnType<typeof resolveStretch> {
  const [start, end] = [readMark(a, units), readMark(b, units)];
  if ('message' in start) return { ok: false, message: start.message };
  if ('message' in end) return { ok: false, message: end.message };
  const result = resolveStretch(start, end, Number.isFinite(heightMm) ? heightMm : null);
  return result.ok ? result : { ok: false, message: inUnits(result.message, units) };
}

function Measured(props: {
  units: Units;
  heightMm: number | null;
  stretch: { from: number; to: number };
  onStretch: (stretch: { from: number; to: number }) => void;
}) {
  const percent = (value: number): string => `${Math.round(value * 100)} %`;
  const [from, setFrom] = useState(percent(props.stretch.from));
  const [to, setTo] = useState(percent(props.stretch.to));
  const [touched, setTouched] = useState(false);
  const read = readStretch(from, to, props.heightMm, props.units);
  // An end beyond the rim keeps the form from being sent until it is mended.
  const meant = read.ok ? read.stretch : { from: 0, to: 2 };
  const problem = touched && !read.ok ? read.message : null;
  const { stretch, onStretch } = props;
  const follow = useEffectEvent(() => {
    // What was measured from the rim follows when the height is another.
    if (touched && !same(meant, stretch)) onStretch(meant);
  });
  useEffect(() => follow(), [meant.from, meant.to]);
  return (
    <>
      <TextField
        label="From"
        value={from}
        error={problem !== null}
        helperText={problem ?? inUnits('As 1/3, 40 %, 30 mm, or “25 mm from rim”.', props.units)}
        onChange={(event) => {
          setTouched(true);
          setFrom(event.target.value);
        }}
      />
      <TextField
        label="to"
        value={to}
        error={problem !== null}
        onChange={(event) => {
          setTouched(true);
          setTo(event.target.value);
        }}
      />
    </>
  );
}
