'use client';
import { useFormContext } from 'react-hook-form';
import { FORMS, facesOfForm } from '@/core/designs';
import { ATMOSPHERES } from '@/core/signs';
import type { Taken } from '@/platform/contract';
import { FieldGrid } from '@/ui/FieldGrid';
import { NumberInput } from '@/ui/NumberField';
import { Section } from '@/ui/Page';
import { SelectInput, choices } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { FaceEditor, type CoatingChoice } from '../../pieces';
import type * as contracts from '../contracts';

/** What the tiles of a design are, and the amounts its sheets are made for. */
export function TileFields({
  weighs,
  pours,
  coatings,
}: {
  weighs: boolean;
  pours: boolean;
  coatings: readonly CoatingChoice[];
}) {
  const { control, setValue } = useFormContext<Taken<typeof contracts.ask>>();
  return (
    <Section title="Tiles and sheets">
      <FieldGrid phone={2} wide={4}>
        <SelectInput
          control={control}
          name="form"
          label="Form"
          choices={choices(FORMS.map(({ name }) => name))}
          onPick={(name) =>
            setValue(
              'faces',
              facesOfForm(String(name)).map((face) => ({ ...face, slipVersionId: null })),
            )
          }
        />
        <NumberInput control={control} name="heightMm" quantity="length" label="Face, foot to rim" />
        <SelectInput
          control={control}
          name="waitingFor"
          label="Next firing"
          choices={choices(['bisque', 'glaze'])}
        />
        <TextInput control={control} name="wantedCone" label="Cone" orNull />
        <SelectInput
          control={control}
          name="wantedAtmosphere"
          label="Atmosphere"
          choices={choices(ATMOSPHERES)}
        />
        {weighs && !pours && (
          <NumberInput control={control} name="sheet.dryG" quantity="mass" label="Dry base each" />
        )}
        {weighs && pours && (
          <>
            <NumberInput control={control} name="sheet.cupMl" label="Cup, ml" />
            <NumberInput control={control} name="sheet.measureMl" label="Smallest measure, ml" />
          </>
        )}
        {weighs && (
          <NumberInput control={control} name="sheet.resolutionG" quantity="mass" label="Scale shows" />
        )}
      </FieldGrid>
      <FaceEditor coatings={coatings} />
    </Section>
  );
}
