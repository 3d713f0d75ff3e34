'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useFieldArray, type Control } from 'react-hook-form';
import { FACE_KINDS } from '@/core/zones';
import { SelectInput } from '@/ui/fields';
import type { CoatingChoice, LayersForm } from './LayerEditor';

const LABELS = {
  bare: 'bare body',
  'light-slip': 'light slip',
  'dark-slip': 'dark slip',
  textured: 'textured',
};

/** The sides of a piece, each with its own ground. */
export function FaceEditor({
  control,
  coatings,
}: {
  control: Control<LayersForm>;
  coatings: readonly CoatingChoice[];
}) {
  const { fields, append, remove } = useFieldArray({ control, name: 'faces' });
  const slips = coatings
    .filter((one) => one.kind === 'slip' || one.kind === 'engobe')
    .map((one) => ({ value: one.versionId, label: one.name }));
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr auto' },
        alignItems: 'start',
      }}
    >
      {fields.map((field, i) => (
        <Box key={field.id} sx={{ display: 'contents' }}>
          <SelectInput
            control={control}
            name={`faces.${i}.kind`}
            label={`Face ${i + 1}`}
            choices={FACE_KINDS.map((kind) => ({ value: kind, label: LABELS[kind] }))}
          />
          <SelectInput
            control={control}
            name={`faces.${i}.slipVersionId`}
            label="With which slip"
            none="none, or not known"
            choices={slips}
          />
          <Button
            size="small"
            disabled={fields.length === 1}
            onClick={() => remove(i)}
            sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}
          >
            Leave out
          </Button>
        </Box>
      ))}
      {fields.length < 4 && (
        <Button
          size="small"
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() =>
            append({
              no: Math.max(0, ...fields.map((face) => face.no)) + 1,
              kind: 'light-slip',
              slipVersionId: null,
            })
          }
        >
          Another face
        </Button>
      )}
    </Box>
  );
}
