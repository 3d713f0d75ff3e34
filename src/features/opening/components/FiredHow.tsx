'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { ATMOSPHERES } from '@/core/signs';
import type { ContractForm } from '@/platform/useContractForm';
import { ChoiceInput, SelectInput } from '@/ui/choice-fields';
import { DateInput } from '@/ui/DateInput';
import { CheckInput, TextInput } from '@/ui/fields';
import { FieldGrid } from '@/ui/FieldGrid';
import type { InHand } from '../in-hand-contracts';
import type { Entry } from './NamedInput';

/** In which firing it was: one on record, or one that nobody wrote down, with what is known of it. */
export function FiredHow({
  form: { control },
  firings,
  kilns,
  fixed,
}: {
  form: ContractForm<InHand>;
  firings: readonly Entry[];
  kilns: readonly Entry[];
  /** The firing it came out of, where that is known. */
  fixed: string | null;
}) {
  const [more, setMore] = useState(false);
  const [id, cone] = useWatch({ control, name: ['firing.id', 'firing.cone'] });
  if (fixed !== null) return <Typography>It came out of {fixed}.</Typography>;
  return (
    <Stack spacing={1.5}>
      {firings.length > 0 && (
        <SelectInput
          control={control}
          name="firing.id"
          label="In which firing"
          none="one that nobody wrote down"
          choices={firings.map((one) => ({ value: one.id, label: one.name }))}
        />
      )}
      {id === null && (
        <>
          <FieldGrid wide={2}>
            <TextInput
              control={control}
              name="firing.cone"
              label="Cone"
              orNull
              helper="As in 06 or 6. Empty when nobody knows."
            />
            {cone !== null && cone !== '' && (
              <CheckInput
                control={control}
                name="firing.shown"
                label="Its cones showed it; otherwise it was meant to be"
              />
            )}
          </FieldGrid>
          <ChoiceInput
            control={control}
            name="firing.atmosphere"
            label="Atmosphere"
            choices={ATMOSPHERES.map((value) => ({ value, label: value }))}
          />
          {more ? (
            <FieldGrid wide={2}>
              <SelectInput
                control={control}
                name="firing.kilnId"
                label="Kiln"
                none="nobody knows"
                choices={kilns.map((one) => ({ value: one.id, label: one.name }))}
              />
              <DateInput control={control} name="firing.on" label="Day" />
            </FieldGrid>
          ) : (
            <Button onClick={() => setMore(true)} sx={{ alignSelf: 'flex-start' }}>
              Kiln and day
            </Button>
          )}
        </>
      )}
    </Stack>
  );
}
