'use client';
import { useFormContext } from 'react-hook-form';
import { ATMOSPHERES } from '@/core/signs';
import { FieldGrid } from '@/ui/FieldGrid';
import { TextInput } from '@/ui/fields';
import type { MakeInput } from '../contracts';
import { ChoiceInput, SelectInput } from '@/ui/choice-fields';

type WaitingForm = Pick<MakeInput, 'waitingFor' | 'wantedCone' | 'wantedAtmosphere'>;

/** What new pieces wait for: the next firing, its cone and atmosphere. */
export function WaitingFields() {
  const { control } = useFormContext<WaitingForm>();
  return (
    <FieldGrid wide="auto 1fr 1fr" sx={{ alignItems: 'end' }}>
      <ChoiceInput
        control={control}
        name="waitingFor"
        label="Next firing"
        choices={[
          { value: 'bisque', label: 'Bisque' },
          { value: 'glaze', label: 'Glaze' },
        ]}
      />
      <TextInput control={control} name="wantedCone" label="Cone wanted" orNull />
      <SelectInput
        control={control}
        name="wantedAtmosphere"
        label="Atmosphere wanted"
        none="not said"
        choices={ATMOSPHERES.filter((one) => one !== 'unknown').map((value) => ({
          value,
          label: value,
        }))}
      />
    </FieldGrid>
  );
}
