'use client';
import Stack from '@mui/material/Stack';
import { SHELF_SHAPES, UNMEASURED } from '@/core/load';
import { Caution } from '@/ui/Caution';
import { TextInput } from '@/ui/fields';
import * as contracts from '../contracts';
import { EntryForm } from '../../store';
import type { Kiln } from '@/data/kilns';
import { ChoiceInput, SelectInput, choices } from '@/ui/choice-fields';
import { NumberInput } from '@/ui/NumberField';

export function KilnForm({ kiln }: { kiln: Kiln | null }) {
  return (
    <EntryForm
      contract={contracts.save}
      archive={(id, archived) => ({ contract: contracts.archive, input: { id, archived } })}
      noun="kiln"
      entry={kiln}
      back="/kilns"
      blank={{
        name: '',
        energy: 'electric',
        control: 'controller',
        volumeL: null,
        shelves: 4,
        ...UNMEASURED,
        notes: '',
      }}
    >
      {(control) => (
        <>
          <TextInput control={control} name="fields.name" label="Name" />
          <ChoiceInput
            control={control}
            name="fields.energy"
            label="Heated by"
            choices={choices(['electric', 'gas', 'wood', 'other'])}
          />
          <SelectInput
            control={control}
            name="fields.control"
            label="Run by"
            choices={[
              { value: 'controller', label: 'A controller' },
              { value: 'shut-off', label: 'A mechanical shut-off' },
              { value: 'by hand', label: 'Hand' },
            ]}
          />
          <SelectInput
            control={control}
            name="fields.showsUnit"
            label="Its pyrometer shows"
            none="what the studio uses"
            choices={[
              { value: 'C', label: '°C' },
              { value: 'F', label: '°F' },
            ]}
          />
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="fields.volumeL" label="Volume, l" />
            <NumberInput control={control} name="fields.shelves" label="Shelves" />
          </Stack>
          <ChoiceInput
            control={control}
            name="fields.shelfShape"
            label="Shape of its shelves (for the load plan)"
            choices={choices(SHELF_SHAPES)}
          />
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="fields.shelfWidthMm" quantity="length" label="Shelf width" />
            <NumberInput control={control} name="fields.shelfDepthMm" quantity="length" label="Shelf depth" />
            <NumberInput control={control} name="fields.chamberMm" quantity="length" label="Chamber height" />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput
              control={control}
              name="fields.thermocoupleXMm"
              quantity="length"
              label="Thermocouple, right of the middle"
            />
            <NumberInput
              control={control}
              name="fields.thermocoupleYMm"
              quantity="length"
              label="behind the middle"
            />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="fields.climbRate" quantity="rate" label="Fastest climb" />
            <NumberInput control={control} name="fields.latestHours" label="Late after, hours" />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="fields.powerKw" label="Power, kW" />
            <NumberInput control={control} name="fields.unitPrice" label="Price of a kWh or gas unit" />
          </Stack>
          <TextInput control={control} name="fields.notes" label="Notes" multiline minRows={2} />
          <Caution>Gas, electrical and ventilation work is for licensed people.</Caution>
        </>
      )}
    </EntryForm>
  );
}
