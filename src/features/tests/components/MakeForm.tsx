'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch, type Control } from 'react-hook-form';
import { FORMS } from '@/core/designs';
import type { Units } from '@/core/units';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { DateInput, NumberInput, SelectInput, TextInput } from '@/ui/fields';
import { makeSchema, type MakeInput } from '../schema';
import { ExceptionEditor } from './ExceptionEditor';
import { FaceEditor } from './FaceEditor';
import { LayerEditor, type CoatingChoice, type LayersForm } from './LayerEditor';
import { MadeCodes } from './MadeCodes';
import { StackPreview } from './StackPreview';
import { WaitingFields, type WaitingForm } from './WaitingFields';

export type BodyChoice = { id: string; name: string; colour: string };
export type Starting = Partial<MakeInput>;

/** Makes one piece or a lot alike: body, form, faces, layers, what it waits for, exceptions. */
export function MakeForm(props: {
  bodies: readonly BodyChoice[];
  coatings: readonly CoatingChoice[];
  people: readonly { id: string; name: string }[];
  units: Units;
  today: string;
  start: Starting;
}) {
  const router = useRouter();
  const [made, setMade] = useState<string[] | null>(null);
  const form = useForm<MakeInput>({
    resolver: zodResolver(makeSchema) as never,
    defaultValues: {
      kind: 'tile',
      bodyId: props.bodies[0]?.id ?? '',
      form: 'L tile',
      heightMm: 90,
      count: 1,
      marks: [],
      ownerId: null,
      madeOn: props.today,
      notes: '',
      faces: [
        { no: 1, kind: 'bare', slipVersionId: null },
        { no: 2, kind: 'light-slip', slipVersionId: null },
      ],
      layers: [],
      exceptions: [],
      flag: '',
      waitingFor: 'glaze',
      wantedCone: '6',
      wantedAtmosphere: 'oxidation',
      ...props.start,
    },
  });
  const { control, handleSubmit, setError, setValue, formState } = form;
  const layersControl = control as unknown as Control<LayersForm>;
  const [bodyId, formName, count, kind] = useWatch({
    control,
    name: ['bodyId', 'form', 'count', 'kind'],
  });
  const { act, busy, problem } = useSend();
  const submit = handleSubmit(async (values) => {
    const answer = await act<{ codes: string[] }>('tests.make', values);
    showFieldProblems(answer, setError);
    if (answer.ok) setMade(answer.data.codes);
  });
  if (made !== null)
    return (
      <MadeCodes codes={made} onMore={() => setMade(null)} onList={() => router.push('/tests')} />
    );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Box
        sx={{
          display: 'grid',
          gap: 4,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0,1fr) 320px' },
        }}
      >
        <Box>
          <Section title="Piece">
            <Stack spacing={1.5}>
              <Box
                sx={{
                  display: 'grid',
                  gap: 1.5,
                  gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 1fr 1fr' },
                }}
              >
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
                  onBlur={() =>
                    setValue(
                      'kind',
                      FORMS.find((one) => one.name === form.getValues('form'))?.kind ?? kind,
                    )
                  }
                />
                <NumberInput control={control} name="heightMm" label="Face, foot to rim, mm" />
                <NumberInput control={control} name="count" label="How many alike" />
              </Box>
              <FaceEditor control={layersControl} coatings={props.coatings} />
            </Stack>
          </Section>
          <Section title="Layers, in the order they go on">
            <LayerEditor
              control={layersControl}
              coatings={props.coatings}
              units={props.units}
              errors={formState.errors as never}
            />
            <Caution>
              Wipe dust off bisque with a damp sponge; keep fluid glazes off the foot. Mixing or
              sieving dry: fitted respirator.
            </Caution>
          </Section>
          {count > 1 && (
            <Section title={`Exceptions among the ${Number.isFinite(count) ? count : ''}`}>
              <ExceptionEditor control={control} coatings={props.coatings} />
            </Section>
          )}
          <Section title="What it waits for">
            <Stack spacing={1.5}>
              <WaitingFields control={control as unknown as Control<WaitingForm>} />
              <Box
                sx={{
                  display: 'grid',
                  gap: 1.5,
                  gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
                }}
              >
                <TextInput
                  control={control}
                  name="marks.0"
                  label="The studio’s own mark"
                  helper={
                    count > 1
                      ? 'On the first; each piece has its own code besides.'
                      : 'Kept beside our code.'
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
              </Box>
              <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
            </Stack>
          </Section>
          <ProblemNote>{problem}</ProblemNote>
          <Button type="submit" variant="contained" size="large" disabled={busy}>
            {count > 1 && Number.isFinite(count)
              ? `Make ${count} ${kind === 'tile' ? 'tiles' : 'pieces'} alike`
              : 'Make it'}
          </Button>
        </Box>
        <StackPreview
          control={layersControl}
          coatings={props.coatings}
          bodyColour={props.bodies.find((body) => body.id === bodyId)?.colour ?? '#cccccc'}
          form={formName}
        />
      </Box>
    </form>
  );
}
