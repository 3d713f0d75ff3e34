'use client';
import { useFormContext } from 'react-hook-form';
import { FORMS } from '@/core/designs';
import { ATMOSPHERES } from '@/core/signs';
import type { Taken } from '@/platform/contract';
import { FieldGrid } from '@/ui/FieldGrid';
import { NumberInput } from '@/ui/NumberField';
import { Section } from '@/ui/Page';
import { SelectInput, choices } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import type * as contracts from '../contracts';

const TILE_FORMS = FORMS.filter(({ kind }) => kind === 'tile').map(({ name }) => name);

/** What the tiles of a design are, and the amounts its sheets are made for. */
export function TileFields({ weighs, pours }: { weighs: boolean; pours: boolean }) {
  const { control } = useFormContext<Pick<Taken<typeof contracts.ask>, 'tile' | 'sheet'>>();
  return (
    <Section title="Tiles and sheets">
      <FieldGrid phone={2} wide={4}>
        <SelectInput
          control={control}
          name="tile.form"
          label="Form"
          choices={choices(TILE_FORMS)}
        />
        <SelectInput
          control={control}
          name="tile.waitingFor"
          label="Next firing"
          choices={choices(['bisque', 'glaze'])}
        />
        <TextInput control={control} name="tile.wantedCone" label="Cone" orNull />
        <SelectInput
          control={control}
          name="tile.wantedAtmosphere"
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
          <NumberInput
            control={control}
            name="sheet.resolutionG"
            quantity="mass"
            label="Scale shows"
          />
        )}
      </FieldGrid>
    </Section>
  );
}
