'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { Controller, useWatch } from 'react-hook-form';
import { HAZARD_NAMES, type Oxide } from '@/core/chemistry';
import { figure } from '@/core/units';
import type { Material } from '@/data/materials';
import { useContractForm } from '@/platform/useContractForm';
import { FieldGrid } from '@/ui/FieldGrid';
import { FormShell } from '@/ui/FormShell';
import { TextInput } from '@/ui/fields';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { formula } from '../words';
import * as contracts from '../contracts';
import { NumberInput } from '@/ui/NumberField';

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

/** A material with its analysis, hazards, stock and price. */
export function MaterialForm({ material }: { material: Material | null }) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.saveMaterial, {
    start: {
      id: material?.id ?? null,
      revision: material?.revision ?? 0,
      fields: {
        name: material?.name ?? '',
        analysis: material === null ? { oxides: {}, loi: null } : material.analysis,
        density: material?.density ?? null,
        hazards: material?.hazards ?? ['dust'],
        stockG: material?.stockG ?? null,
        pricePerKg: material?.pricePerKg ?? null,
        notes: material?.notes ?? '',
      },
    },
    draft: material === null ? 'new' : `${material.id}/${material.revision}`,
    done: () => {
      say(material === null ? 'The material is on the shelf' : 'Saved');
      router.push('/store/materials');
      router.refresh();
    },
  });
  const { control } = form;
  const analysis = useWatch({ control, name: 'fields.analysis' });
  const sum =
    analysis === null
      ? 0
      : Object.values(analysis.oxides).reduce<number>((a, b) => a + (b ?? 0), analysis.loi ?? 0);
  return (
    <FormShell form={form} act={material === null ? 'Add the material' : 'Save'} sx={{ maxWidth: 820 }}>
      <TextInput control={control} name="fields.name" label="Name" />
      <Controller
        control={control}
        name="fields.hazards"
        render={({ field }) => (
          <Autocomplete
            multiple
            options={HAZARD_NAMES}
            value={field.value}
            onChange={(_, next) => field.onChange(next)}
            renderInput={(params) => <TextField {...params} label="Beware of" />}
          />
        )}
      />
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(3, 1fr)' }}>
        <NumberInput control={control} name="fields.density" label="Density, g/cm³" />
        <NumberInput control={control} name="fields.stockG" quantity="mass" label="On the shelf" />
        <NumberInput control={control} name="fields.pricePerKg" label="Price per kg" />
      </Box>
      <Controller
        control={control}
        name="fields.analysis"
        render={({ field, fieldState }) => (
          <>
            <FormControlLabel
              control={
                <Switch
                  checked={field.value !== null}
                  onChange={(_, on) => field.onChange(on ? { oxides: {}, loi: null } : null)}
                />
              }
              label="Its analysis is known"
            />
            <ProblemNote>{fieldState.error?.message ?? null}</ProblemNote>
          </>
        )}
      />
      {analysis !== null && (
        <>
          <FieldGrid phone={3} wide={6}>
            {COMMON.map((oxide) => (
              <NumberInput
                key={oxide}
                control={control}
                name={`fields.analysis.oxides.${oxide}`}
                label={`${formula(oxide)} %`}
              />
            ))}
            <NumberInput control={control} name="fields.analysis.loi" label="Loss %, a gain below 0" />
          </FieldGrid>
          <Typography role="status">
            Together {figure(sum, 1)} %.
            {sum > 0 && Math.abs(sum - 100) > 2 && ' A full analysis comes to about 100.'}
          </Typography>
        </>
      )}
      <TextInput control={control} name="fields.notes" label="Notes" multiline />
    </FormShell>
  );
}
