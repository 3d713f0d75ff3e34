'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { FACE_KINDS, WARE_SURFACES } from '@/core/zones';
import type { CoatingChoice, LayersForm } from './LayerEditor';
import { FieldGrid } from '@/ui/FieldGrid';
import { SelectInput } from '@/ui/choice-fields';

const LABELS = {
  bare: 'bare body',
  'light-slip': 'light slip',
  'dark-slip': 'dark slip',
  textured: 'textured',
};

const capital = (word: string): string => word[0]!.toUpperCase() + word.slice(1);

/** The sides of a tile, or the surfaces of ware, each with its own ground. */
export function FaceEditor({ coatings }: { coatings: readonly CoatingChoice[] }) {
  const { control } = useFormContext<LayersForm>();
  const { fields, append, remove } = useFieldArray({ control, name: 'faces' });
  const ware = fields.some(({ surface }) => surface != null);
  const missing = ware ? WARE_SURFACES.filter((one) => fields.every(({ surface }) => surface !== one)) : [];
  const next = Math.max(0, ...fields.map((face) => face.no)) + 1;
  const slips = coatings
    .filter((one) => one.kind === 'slip' || one.kind === 'engobe')
    .map((one) => ({ value: one.versionId, label: one.name }));
  const [open, setOpen] = useState(false);
  const plain = fields.every(({ kind, slipVersionId }) => kind === 'bare' && slipVersionId === null);
  if (ware && plain && !open)
    return (
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
        <Typography>
          {fields.map(({ surface }) => surface).join(', ')}: bare body under what is put on.
        </Typography>
        <Button size="small" onClick={() => setOpen(true)}>
          A slip on one, or another surface
        </Button>
      </Box>
    );
  return (
    <FieldGrid phone={2} wide="1fr 1fr auto" sx={{ alignItems: 'start' }}>
      {fields.map((field, i) => (
        <Box key={field.id} sx={{ display: 'contents' }}>
          <SelectInput
            control={control}
            name={`faces.${i}.kind`}
            label={field.surface == null ? `Face ${i + 1}` : capital(field.surface)}
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
      {missing.length > 0 && (
        <Box sx={{ gridColumn: '1 / -1', display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          {missing.map((surface) => (
            <Button
              key={surface}
              size="small"
              variant="outlined"
              onClick={() => append({ no: next, kind: 'bare', slipVersionId: null, surface })}
            >
              It has {surface === 'inside' || surface === 'outside' ? 'an' : 'a'} {surface}
            </Button>
          ))}
        </Box>
      )}
      {!ware && fields.length < 4 && (
        <Button
          size="small"
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          onClick={() => append({ no: next, kind: 'light-slip', slipVersionId: null })}
        >
          Another face
        </Button>
      )}
    </FieldGrid>
  );
}
