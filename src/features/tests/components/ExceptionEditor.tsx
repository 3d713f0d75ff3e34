'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useFieldArray, useWatch, type Control } from 'react-hook-form';
import { TextInput } from '@/ui/fields';
import type { CoatingChoice } from '../../pieces';
import type { MakeInput } from '../contracts';
import { NumberInput } from '@/ui/NumberField';

/** Which of a lot turned out otherwise: other coats than meant (0: left out), or a doubt. */
export function ExceptionEditor({
  control,
  coatings,
}: {
  control: Control<MakeInput>;
  coatings: readonly CoatingChoice[];
}) {
  const { fields, append, remove } = useFieldArray({ control, name: 'exceptions' });
  const layers = useWatch({ control, name: 'layers' });
  const name = (i: number): string =>
    coatings.find((one) => one.versionId === layers[i]?.coatingVersionId)?.name ?? `layer ${i + 1}`;
  return (
    <Box>
      {fields.map((field, i) => (
        <Box
          key={field.id}
          sx={{
            display: 'grid',
            gap: 1.5,
            mb: 1.5,
            gridTemplateColumns: {
              xs: '1fr 1fr',
              sm: '120px repeat(auto-fit, minmax(110px, 1fr)) 2fr auto',
            },
          }}
        >
          <NumberInput control={control} name={`exceptions.${i}.index`} label="Number" />
          {layers.map((_, layer) => (
            <NumberInput
              key={layer}
              control={control}
              name={`exceptions.${i}.coats.${layer}`}
              label={`${name(layer)}, coats`}
            />
          ))}
          <TextInput
            control={control}
            name={`exceptions.${i}.flag`}
            label="What was different"
            placeholder="Gave when lifted"
          />
          <Button onClick={() => remove(i)}>Remove</Button>
        </Box>
      ))}
      <Button
        variant="outlined"
        size="small"
        onClick={() =>
          append({ index: fields.length + 1, coats: layers.map((layer) => layer.coats), flag: '' })
        }
      >
        One was different
      </Button>
    </Box>
  );
}
