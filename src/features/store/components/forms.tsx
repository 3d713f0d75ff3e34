'use client';
import Stack from '@mui/material/Stack';
import { COATING_KINDS } from '@/core/zones';
import { Caution } from '@/ui/Caution';
import { CheckInput, ColourInput, TextInput } from '@/ui/fields';
import { useFormContext } from 'react-hook-form';
import type { Taken } from '@/platform/contract';
import { EntryForm } from './EntryForm';
import * as contracts from '../contracts';
import { BODY_TRAITS, COATING_TRAITS } from '@/core/load/check-terms';
import type { Body } from '@/data/bodies';
import type { Coating } from '@/data/coatings';
import { ChoiceInput, ManyInput, choices } from '@/ui/choice-fields';

/** Name, kind and the cones it is for: what every entry of the store begins with. */
function Named({ kinds }: { kinds: readonly string[] }) {
  const { control } = useFormContext<{ fields: { name: string; kind: string } }>();
  return (
    <>
      <TextInput control={control} name="fields.name" label="Name" />
      <ChoiceInput control={control} name="fields.kind" label="Kind" choices={choices(kinds)} />
      <ConeRange />
    </>
  );
}

function ConeRange() {
  const { control } = useFormContext<Taken<typeof contracts.saveBody>>();
  return (
    <Stack direction="row" spacing={2}>
      <TextInput
        control={control}
        name="fields.coneLow"
        label="From cone"
        orNull
        helper="As in 06, 5½ or 6. Empty when unknown."
      />
      <TextInput control={control} name="fields.coneHigh" label="to cone" orNull />
    </Stack>
  );
}

/** Puts an entry of the store away, or takes it into use again. */
const putAway = (table: 'body' | 'coating') => (id: string, archived: boolean) => ({
  contract: contracts.archive,
  input: { table, id, archived },
});

/** What a body or coating is known for; the checks before the lid ask it. */
function Traits({ among }: { among: readonly string[] }) {
  const { control } = useFormContext<{ fields: { traits: string[] } }>();
  return (
    <ManyInput
      control={control}
      name="fields.traits"
      label="Known for (asked when a kiln is loaded)"
      choices={choices(among)}
    />
  );
}

export function BodyForm({ body, back = '/store' }: { body: Body | null; back?: string }) {
  return (
    <EntryForm
      contract={contracts.saveBody}
      archive={putAway('body')}
      noun="body"
      entry={body}
      back={back}
      blank={{
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
      }}
    >
      {(control) => (
        <>
          <Named kinds={['earthenware', 'stoneware', 'porcelain', 'other']} />
          <ChoiceInput
            control={control}
            name="fields.ground"
            label="Fired ground"
            choices={choices(['light', 'mid', 'dark', 'porcelain'])}
          />
          <CheckInput
            control={control}
            name="fields.ironBearing"
            label="Iron-bearing: enough iron to colour glazes"
          />
          <ColourInput control={control} name="fields.colour" label="Fired colour, for drawings" />
          <TextInput control={control} name="fields.notes" label="Notes" multiline minRows={2} />
          <TextInput control={control} name="fields.cautions" label="Cautions" multiline minRows={1} />
          <Traits among={BODY_TRAITS} />
          <Caution>
            Dry clay dust holds silica: wet-clean, and wear a fitted respirator where it rises.
          </Caution>
        </>
      )}
    </EntryForm>
  );
}

export function CoatingForm({
  coating,
  back = coating ? `/store/coatings/${coating.slug}` : '/store',
}: {
  coating: Coating | null;
  back?: string;
}) {
  return (
    <EntryForm
      contract={contracts.saveCoating}
      archive={putAway('coating')}
      noun="coating"
      entry={coating}
      back={back}
      blank={{
        name: '',
        kind: 'glaze',
        coneLow: null,
        coneHigh: null,
        colour: '#8f9c96',
        atmosphereNotes: '',
        whatItDoes: '',
        cautions: '',
        traits: [],
      }}
    >
      {(control) => (
        <>
          <Named kinds={COATING_KINDS} />
          <ColourInput
            control={control}
            name="fields.colour"
            label="Fired colour, for drawings"
            helper="The raw bucket is often another colour."
          />
          <TextInput control={control} name="fields.whatItDoes" label="What it does" multiline minRows={2} />
          <TextInput
            control={control}
            name="fields.atmosphereNotes"
            label="In which atmosphere"
            multiline
            minRows={1}
          />
          <TextInput
            control={control}
            name="fields.cautions"
            label="Cautions"
            multiline
            minRows={2}
            helper="Materials to be careful with; whether it may touch food, and how that is known."
          />
          <Traits among={COATING_TRAITS} />
          <Caution>
            Only a laboratory leach test clears a glaze for food, on that body and firing. Weighing and mixing
            dry: fitted respirator, wet cleaning.
          </Caution>
        </>
      )}
    </EntryForm>
  );
}
