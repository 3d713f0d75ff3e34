'use client';
import Stack from '@mui/material/Stack';
import { useWatch } from 'react-hook-form';
import { FORMS, facesOfForm, formNamed } from '@/core/designs';
import { useContractForm } from '@/platform/useContractForm';
import { FieldGrid } from '@/ui/FieldGrid';
import { Caution } from '@/ui/Caution';
import { Section } from '@/ui/Page';
import { DateInput } from '@/ui/DateInput';
import { TextInput } from '@/ui/fields';
import { ExceptionEditor } from './ExceptionEditor';
import { FaceEditor } from '../../pieces';
import { LayerEditor, type CoatingChoice } from '../../pieces';
import { Making, tileStart, useMade } from './Making';
import { StackPreview } from '../../pieces';
import { WaitingFields } from './WaitingFields';
import * as contracts from '../contracts';
import type { MakeInput } from '../contracts';
import { NumberInput } from '@/ui/NumberField';
import { SelectInput } from '@/ui/choice-fields';

const kindOf = (form: string): 'tile' | 'ware' => formNamed(form)?.kind ?? 'tile';

export type BodyChoice = { id: string; name: string; colour: string };
export type Starting = Partial<MakeInput>;

/** Makes one piece or a lot alike: body, form, faces, layers, what it waits for, exceptions. */
export function MakeForm(props: {
  bodies: readonly BodyChoice[];
  coatings: readonly CoatingChoice[];
  people: readonly { id: string; name: string }[];
  today: string;
  start: Starting;
}) {
  const made = useMade();
  const form = useContractForm(contracts.make, {
    start: {
      kind: 'tile',
      bodyId: props.bodies[0]?.id ?? '',
      ...tileStart(props.today),
      count: 1,
      marks: [],
      ownerId: null,
      layers: [],
      exceptions: [],
      flag: '',
      ...props.start,
    },
    draft: props.start.bodyId === undefined ? 'new' : null,
    // Tile or ware follows from the form, whenever it was chosen.
    complete: (typed) => ({ ...typed, kind: kindOf(typed.form) }),
    done: ({ data }) => made[1](data.codes),
  });
  const { control, setValue } = form;
  const [bodyId, formName, count, waitingFor] = useWatch({
    control,
    name: ['bodyId', 'form', 'count', 'waitingFor'],
  });
  const kind = kindOf(formName);
  return (
    <Making
      form={form}
      made={made}
      fired={waitingFor === 'glaze'}
      act={
        count > 1 && Number.isFinite(count)
          ? `Make ${count} ${kind === 'tile' ? 'tiles' : 'pieces'} alike`
          : 'Make it'
      }
      beside={
        <StackPreview
          coatings={props.coatings}
          bodyColour={props.bodies.find((body) => body.id === bodyId)?.colour ?? '#cccccc'}
          form={formName}
        />
      }
    >
      <Section title="Piece">
        <Stack spacing={1.5}>
          <FieldGrid phone={2} wide={4}>
            <SelectInput
              control={control}
              name="bodyId"
              label="Body"
              choices={props.bodies.map(({ id, name }) => ({ value: id, label: name }))}
            />
            <SelectInput
              control={control}
              name="form"
              label="Form"
              choices={FORMS.map(({ name }) => ({ value: name, label: name }))}
              onPick={(name) => {
                const faces = facesOfForm(String(name));
                setValue(
                  'faces',
                  faces.map((face) => ({ ...face, slipVersionId: null })),
                );
                // A layer on a face that this form has not lies on all of it.
                form.getValues('layers').forEach(({ region }, i) => {
                  if (region.face !== null) setValue(`layers.${i}.region.face`, null);
                });
              }}
            />
            <NumberInput control={control} name="heightMm" quantity="length" label="Face, foot to rim" />
            <NumberInput control={control} name="count" label="How many alike" />
          </FieldGrid>
          <FaceEditor coatings={props.coatings} />
        </Stack>
      </Section>
      <Section title="Layers, in the order they go on">
        <LayerEditor coatings={props.coatings} />
        <Caution>
          Wipe dust off bisque with a damp sponge; keep fluid glazes off the foot. Mixing or sieving dry:
          fitted respirator.
        </Caution>
      </Section>
      {count > 1 && (
        <Section title={`Exceptions among the ${Number.isFinite(count) ? count : ''}`}>
          <ExceptionEditor control={control} coatings={props.coatings} />
        </Section>
      )}
      <Section title="What it waits for">
        <Stack spacing={1.5}>
          <WaitingFields />
          <FieldGrid wide={2}>
            <TextInput
              control={control}
              name="marks.0"
              label="The studio’s own mark"
              helper={
                count > 1 ? 'On the first; each piece has its own code besides.' : 'Kept beside our code.'
              }
            />
            <SelectInput
              control={control}
              name="ownerId"
              label="Belongs to"
              none="the studio"
              choices={props.people.map(({ id, name }) => ({ value: id, label: name }))}
            />
            <DateInput control={control} name="madeOn" label="Made on" />
            <TextInput
              control={control}
              name="flag"
              label="A doubt to be remembered"
              placeholder="Foot not wiped"
              helper="Comes up again at loading and opening."
            />
          </FieldGrid>
          <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
        </Stack>
      </Section>
    </Making>
  );
}
