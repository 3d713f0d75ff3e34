'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Stack from '@mui/material/Stack';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { HAZARD_NAMES, OXIDES, type Oxide } from '@/core/chemistry';
import type { Material } from '@/data/materials';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { NumberInput, TextInput } from '@/ui/fields';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { materialFields, type MaterialInput } from '../recipe-schema';
import { formula } from '../words';

const COMMON: readonly Oxide[] = [
  'SiO2',
  'Al2O3',
  'B2O3',
  'Li2O',
  'Na2O',
  'K2O',
  'MgO',
  'CaO',
  'SrO',
  'BaO',
  'ZnO',
  'P2O5',
  'TiO2',
  'ZrO2',
  'SnO2',
  'Fe2O3',
  'MnO',
  'CoO',
  'CuO',
  'Cr2O3',
  'NiO',
];

type Values = Omit<MaterialInput, 'analysis'> & {
  known: boolean;
  oxides: Partial<Record<Oxide, number | null>>;
  loi: number | null;
};

const fieldsOf = ({ known, oxides, loi, ...rest }: Values): MaterialInput => ({
  ...rest,
  analysis: known
    ? {
        oxides: Object.fromEntries(
          Object.entries(oxides).filter(([, value]) => value !== null && value !== undefined),
        ) as Record<Oxide, number>,
        loi: loi ?? 0,
      }
    : null,
});

/** A material with its analysis, hazards, stock and price. */
export function MaterialForm({ material }: { material: Material | null }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const form = useForm<Values>({
    resolver: (async (values: Values, context: unknown, options: unknown) => {
      const resolve = zodResolver(materialFields) as unknown as (
        values: MaterialInput,
        context: unknown,
        options: unknown,
      ) => Promise<object>;
      return resolve(fieldsOf(values), context, options);
    }) as never,
    defaultValues: {
      name: material?.name ?? '',
      known: material === null || material.analysis !== null,
      oxides: Object.fromEntries(
        OXIDES.map((oxide) => [oxide, material?.analysis?.oxides[oxide] ?? null]),
      ),
      loi: material?.analysis?.loi ?? null,
      density: material?.density ?? null,
      hazards: (material?.hazards ?? ['dust']) as never,
      stockG: material?.stockG ?? null,
      pricePerKg: material?.pricePerKg ?? null,
      notes: material?.notes ?? '',
    },
  });
  const { control, getValues, setError, handleSubmit } = form;
  const known = useWatch({ control, name: 'known' });
  const oxides = useWatch({ control, name: 'oxides' });
  const loi = useWatch({ control, name: 'loi' });
  const sum = Object.values(oxides).reduce<number>((a, b) => a + (b ?? 0), loi ?? 0);
  const submit = handleSubmit(async () => {
    const answer = await act<{ slug?: string }>('store.save-material', {
      id: material?.id ?? null,
      revision: material?.revision ?? 0,
      fields: fieldsOf(getValues()),
    });
    showFieldProblems(answer, setError, 'fields.');
    if (!answer.ok) return;
    say(material === null ? 'The material is on the shelf' : 'Saved');
    router.push('/store/materials');
    router.refresh();
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Stack spacing={2} sx={{ maxWidth: 820 }}>
        <TextInput control={control} name="name" label="Name" />
        <Controller
          control={control}
          name="hazards"
          render={({ field }) => (
            <Autocomplete
              multiple
              options={HAZARD_NAMES}
              value={field.value as string[]}
              onChange={(_, next) => field.onChange(next)}
              renderInput={(params) => <TextField {...params} label="Beware of" />}
            />
          )}
        />
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(3, 1fr)' }}>
          <NumberInput control={control} name="density" label="Density, g/cm³" />
          <NumberInput control={control} name="stockG" label="On the shelf, g" />
          <NumberInput control={control} name="pricePerKg" label="Price per kg" />
        </Box>
        <Controller
          control={control}
          name="known"
          render={({ field }) => (
            <FormControlLabel
              control={<Switch checked={field.value} onChange={(_, on) => field.onChange(on)} />}
              label="Its analysis is known"
            />
          )}
        />
        {known && (
          <>
            <Box
              sx={{
                display: 'grid',
                gap: 1.5,
                gridTemplateColumns: { xs: 'repeat(3, 1fr)', sm: 'repeat(6, 1fr)' },
              }}
            >
              {COMMON.map((oxide) => (
                <NumberInput
                  key={oxide}
                  control={control}
                  name={`oxides.${oxide}`}
                  label={`${formula(oxide)} %`}
                />
              ))}
              <NumberInput control={control} name="loi" label="Loss %" />
            </Box>
            <Typography role="status">
              Together {sum.toFixed(1)} %.
              {sum > 0 && Math.abs(sum - 100) > 2 && ' A full analysis comes to about 100.'}
            </Typography>
          </>
        )}
        <TextInput control={control} name="notes" label="Notes" multiline />
        <ProblemNote>
          {problem ??
            (form.formState.errors as { analysis?: { message?: string } }).analysis?.message ??
            null}
        </ProblemNote>
        <Button type="submit" variant="contained" disabled={busy} sx={{ alignSelf: 'flex-start' }}>
          {material === null ? 'Add the material' : 'Save'}
        </Button>
      </Stack>
    </form>
  );
}
