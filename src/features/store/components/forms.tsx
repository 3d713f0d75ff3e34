'use client';
import { BODY_TRAITS, COATING_TRAITS, SHELF_SHAPES, UNMEASURED } from '@/core/load';
import Stack from '@mui/material/Stack';
import { COATING_KINDS } from '@/core/zones';
import type { Body, Coating, Kiln } from '@/data/catalogue';
import { Caution } from '@/ui/Caution';
import {
  CheckInput,
  ChoiceInput,
  ColourInput,
  ManyInput,
  NumberInput,
  SelectInput,
  TextInput,
  type Choice,
} from '@/ui/fields';
import { bodyFields, coatingFields, kilnFields } from '../schema';
import { EntryForm } from './EntryForm';

const choices = (values: readonly string[]): Choice[] =>
  values.map((value) => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }));

function ConeRange({ control }: { control: never }) {
  return (
    <Stack direction="row" spacing={2}>
      <TextInput
        control={control}
        name={'coneLow' as never}
        label="From cone"
        orNull
        helper="As in 06, 5½ or 6. Empty when unknown."
      />
      <TextInput control={control} name={'coneHigh' as never} label="to cone" orNull />
    </Stack>
  );
}

export function BodyForm({ body }: { body: Body | null }) {
  return (
    <EntryForm
      operation="store.save-body"
      table="body"
      schema={bodyFields}
      noun="body"
      id={body?.id ?? null}
      revision={body?.revision ?? 0}
      archived={body?.archived ?? false}
      back="/store"
      defaults={
        body ?? {
          name: '',
          kind: 'stoneware',
          coneLow: null,
          coneHigh: null,
          ground: 'light',
          ironBearing: false,
          colour: '#d8cdb8',
          notes: '',
          cautions: '',
          traits: [],
        }
      }
    >
      {(control) => (
        <>
          <TextInput control={control} name="name" label="Name" />
          <ChoiceInput
            control={control}
            name="kind"
            label="Kind"
            choices={choices(['earthenware', 'stoneware', 'porcelain', 'other'])}
          />
          <ConeRange control={control as never} />
          <ChoiceInput
            control={control}
            name="ground"
            label="Fired ground"
            choices={choices(['light', 'mid', 'dark', 'porcelain'])}
          />
          <CheckInput
            control={control}
            name="ironBearing"
            label="Iron-bearing: enough iron to colour glazes"
          />
          <ColourInput control={control} name="colour" label="Fired colour, for drawings" />
          <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
          <TextInput control={control} name="cautions" label="Cautions" multiline minRows={1} />
          <ManyInput
            control={control}
            name="traits"
            label="Known for (asked when a kiln is loaded)"
            choices={choices(BODY_TRAITS)}
          />
          <Caution>
            Dry clay dust holds silica: wet-clean, and wear a fitted respirator where it rises.
          </Caution>
        </>
      )}
    </EntryForm>
  );
}

export function CoatingForm({ coating }: { coating: Coating | null }) {
  return (
    <EntryForm
      operation="store.save-coating"
      table="coating"
      schema={coatingFields}
      noun="coating"
      id={coating?.id ?? null}
      revision={coating?.revision ?? 0}
      archived={coating?.archived ?? false}
      back={coating ? `/store/coatings/${coating.slug}` : '/store'}
      defaults={
        coating ?? {
          name: '',
          kind: 'glaze',
          coneLow: null,
          coneHigh: null,
          colour: '#8f9c96',
          atmosphereNotes: '',
          whatItDoes: '',
          cautions: '',
          traits: [],
        }
      }
    >
      {(control) => (
        <>
          <TextInput control={control} name="name" label="Name" />
          <ChoiceInput
            control={control}
            name="kind"
            label="Kind"
            choices={choices(COATING_KINDS)}
          />
          <ConeRange control={control as never} />
          <ColourInput
            control={control}
            name="colour"
            label="Fired colour, for drawings"
            helper="The raw bucket is often another colour."
          />
          <TextInput
            control={control}
            name="whatItDoes"
            label="What it does"
            multiline
            minRows={2}
          />
          <TextInput
            control={control}
            name="atmosphereNotes"
            label="In which atmosphere"
            multiline
            minRows={1}
          />
          <TextInput
            control={control}
            name="cautions"
            label="Cautions"
            multiline
            minRows={2}
            helper="Materials to be careful with; whether it may touch food, and how that is known."
          />
          <ManyInput
            control={control}
            name="traits"
            label="Known for (asked when a kiln is loaded)"
            choices={choices(COATING_TRAITS)}
          />
          <Caution>
            Only a laboratory leach test clears a glaze for food, on that body and firing. Weighing
            and mixing dry: fitted respirator, wet cleaning.
          </Caution>
        </>
      )}
    </EntryForm>
  );
}

export function KilnForm({ kiln }: { kiln: Kiln | null }) {
  return (
    <EntryForm
      operation="store.save-kiln"
      table="kiln"
      schema={kilnFields}
      noun="kiln"
      id={kiln?.id ?? null}
      revision={kiln?.revision ?? 0}
      archived={kiln?.archived ?? false}
      back="/kilns"
      defaults={
        kiln ?? {
          name: '',
          energy: 'electric',
          control: 'controller',
          volumeL: null,
          shelves: 4,
          ...UNMEASURED,
          notes: '',
        }
      }
    >
      {(control) => (
        <>
          <TextInput control={control} name="name" label="Name" />
          <ChoiceInput
            control={control}
            name="energy"
            label="Heated by"
            choices={choices(['electric', 'gas', 'wood', 'other'])}
          />
          <SelectInput
            control={control}
            name="control"
            label="Run by"
            choices={[
              { value: 'controller', label: 'A controller' },
              { value: 'shut-off', label: 'A mechanical shut-off' },
              { value: 'by hand', label: 'Hand' },
            ]}
          />
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="volumeL" label="Volume, l" />
            <NumberInput control={control} name="shelves" label="Shelves" />
          </Stack>
          <ChoiceInput
            control={control}
            name="shelfShape"
            label="Shape of its shelves (for the load plan)"
            choices={choices(SHELF_SHAPES)}
          />
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="shelfWidthMm" label="Shelf width, mm" />
            <NumberInput control={control} name="shelfDepthMm" label="Shelf depth, mm" />
            <NumberInput control={control} name="chamberMm" label="Chamber height, mm" />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput
              control={control}
              name="thermocoupleXMm"
              label="Thermocouple, mm right of the middle"
            />
            <NumberInput control={control} name="thermocoupleYMm" label="mm behind the middle" />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="climbRate" label="Fastest climb, °C/h" />
            <NumberInput control={control} name="latestHours" label="Late after, hours" />
          </Stack>
          <Stack direction="row" spacing={2}>
            <NumberInput control={control} name="powerKw" label="Power, kW" />
            <NumberInput control={control} name="unitPrice" label="Price of a kWh or gas unit" />
          </Stack>
          <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
          <Caution>Gas, electrical and ventilation work is for licensed people.</Caution>
        </>
      )}
    </EntryForm>
  );
}
