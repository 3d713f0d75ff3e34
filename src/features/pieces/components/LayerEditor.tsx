'use client';
import Add from '@mui/icons-material/Add';
import ArrowDownward from '@mui/icons-material/ArrowDownward';
import ArrowUpward from '@mui/icons-material/ArrowUpward';
import Close from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Controller, useFieldArray, useFormContext } from 'react-hook-form';
import { METHODS, STAGES, WEIGHTS, type WareSurface } from '@/core/zones';
import { newLayer } from '../contracts';
import { RegionFields } from './RegionFields';
import type { LayerInput } from '../contracts';
import { FieldGrid } from '@/ui/FieldGrid';
import { NumberInput } from '@/ui/NumberField';
import { SelectInput, type Choice } from '@/ui/choice-fields';

export type LayersForm = {
  layers: LayerInput[];
  faces: {
    no: number;
    kind: string;
    slipVersionId: string | null;
    surface?: WareSurface | null;
  }[];
  heightMm: number | null;
};
export type CoatingChoice = {
  versionId: string;
  name: string;
  slug: string;
  kind: string;
  version: number;
  colour: string;
};

const words = (values: readonly string[]): Choice[] => values.map((value) => ({ value, label: value }));

/** The layers in the order they go on: first one first. */
export function LayerEditor({
  coatings,
  generation = 1,
}: {
  coatings: readonly CoatingChoice[];
  generation?: number;
}) {
  const { control, formState } = useFormContext<LayersForm>();
  const wrong = formState.errors.layers?.message ?? formState.errors.layers?.root?.message;
  const { fields, append, remove, move } = useFieldArray({ control, name: 'layers' });
  const choices = coatings.map((one) => ({
    value: one.versionId,
    label: `${one.name}${one.version > 1 ? ` v${one.version}` : ''}${one.kind === 'glaze' ? '' : ` (${one.kind})`}`,
  }));
  const first = coatings.find((one) => one.kind === 'glaze') ?? coatings[0];
  return (
    <Box>
      {fields.map((field, i) => (
        <Box
          key={field.id}
          role="group"
          aria-label={`Layer ${i + 1}`}
          sx={{ borderTop: '1px solid', borderColor: 'divider', py: 2 }}
        >
          <Stack direction="row" sx={{ alignItems: 'center', mb: 1.5 }}>
            <Typography variant="h3" sx={{ flex: 1 }}>
              {i === 0 ? 'First on' : `Then, over it`}
            </Typography>
            <IconButton
              aria-label={`Layer ${i + 1} earlier`}
              disabled={i === 0}
              onClick={() => move(i, i - 1)}
            >
              <ArrowUpward fontSize="small" />
            </IconButton>
            <IconButton
              aria-label={`Layer ${i + 1} later`}
              disabled={i === fields.length - 1}
              onClick={() => move(i, i + 1)}
            >
              <ArrowDownward fontSize="small" />
            </IconButton>
            <IconButton aria-label={`Leave out layer ${i + 1}`} onClick={() => remove(i)}>
              <Close fontSize="small" />
            </IconButton>
          </Stack>
          <FieldGrid phone={2} wide="2fr 1fr 1fr 1fr">
            <SelectInput
              control={control}
              name={`layers.${i}.coatingVersionId`}
              label="Coating"
              choices={choices}
              sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}
            />
            <SelectInput control={control} name={`layers.${i}.method`} label="How" choices={words(METHODS)} />
            <NumberInput control={control} name={`layers.${i}.coats`} label="Dips or coats" />
            <SelectInput
              control={control}
              name={`layers.${i}.weight`}
              label="Weight"
              choices={words(WEIGHTS)}
            />
            <SelectInput control={control} name={`layers.${i}.stage`} label="On" choices={words(STAGES)} />
            <NumberInput control={control} name={`layers.${i}.seconds`} label="Seconds" />
            <NumberInput
              control={control}
              name={`layers.${i}.thicknessMm`}
              quantity="length"
              label="Measured"
            />
            <DriedInput index={i} />
          </FieldGrid>
          <RegionFields index={i} />
        </Box>
      ))}
      {wrong && <Typography color="error">{wrong}</Typography>}
      <Button
        startIcon={<Add />}
        variant="outlined"
        disabled={first === undefined}
        onClick={() => first && append(newLayer(first.versionId, generation))}
      >
        {fields.length === 0 ? 'Put a layer on' : 'Put another layer over it'}
      </Button>
      {first === undefined && (
        <Typography sx={{ mt: 1 }}>There is no coating in the store yet; add one there first.</Typography>
      )}
    </Box>
  );
}

/** Was the layer below dry: yes, no, or not known. */
function DriedInput({ index }: { index: number }) {
  const { control } = useFormContext<LayersForm>();
  return (
    <Controller
      control={control}
      name={`layers.${index}.driedBefore`}
      render={({ field }) => (
        <TextField
          select
          label="Below it dry?"
          value={field.value === null ? '' : field.value ? 'yes' : 'no'}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          onChange={(event) =>
            field.onChange(event.target.value === '' ? null : event.target.value === 'yes')
          }
        >
          <MenuItem value="">not known</MenuItem>
          <MenuItem value="yes">yes</MenuItem>
          <MenuItem value="no">no</MenuItem>
        </TextField>
      )}
    />
  );
}
