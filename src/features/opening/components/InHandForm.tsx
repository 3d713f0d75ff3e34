'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Controller, FormProvider, useWatch } from 'react-hook-form';
import { v7 } from 'uuid';
import { FORMS, formNamed } from '@/core/designs';
import { PictureTaker, sendPicture } from '@/features/media';
import { useContractForm } from '@/platform/useContractForm';
import { SelectInput } from '@/ui/choice-fields';
import { FieldGrid } from '@/ui/FieldGrid';
import { CheckInput, TextInput } from '@/ui/fields';
import { FormShell } from '@/ui/FormShell';
import { Section } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import { firedCautions, type CoatCaution } from '@/core/chemistry';
import type { Units } from '@/core/units';
import { inHand, type InHand } from '../in-hand-contracts';
import { NOTHING_SEEN } from '../contracts';
import { CoatsInput } from './CoatsInput';
import { FiredHow } from './FiredHow';
import { InHandDone, type Done } from './InHandDone';
import { NamedInput, type Entry } from './NamedInput';
import { SeenFields } from './SeenFields';

const fresh = () => ({ pieceId: v7(), observationId: v7(), mark: '', seen: NOTHING_SEEN });

/** What the page around the form knows already. */
export type InHandStart = Partial<Pick<InHand, 'body' | 'coats' | 'form'>> & {
  firing?: Partial<InHand['firing']>;
};

/**
 * A fired piece in hand, on the chart in one act: what it is, what is on it, how it was fired, what is seen.
 */
export function InHandForm({
  bodies,
  coatings,
  cautions,
  kilns,
  firings,
  start,
  fixed,
  units,
}: {
  bodies: readonly Entry[];
  coatings: readonly Entry[];
  /** What to beware of in a coating, by its id. */
  cautions: Readonly<Record<string, readonly CoatCaution[]>>;
  kilns: readonly Entry[];
  firings: readonly Entry[];
  start: InHandStart;
  fixed: string | null;
  units: Units;
}) {
  const say = useSay();
  const [files, setFiles] = useState<readonly File[]>([]);
  const [done, setDone] = useState<Done | null>(null);
  const form = useContractForm(inHand, {
    start: () => ({
      ...fresh(),
      body: start.body ?? (bodies.length === 1 ? bodies[0]! : { id: null, name: '' }),
      form: start.form ?? FORMS[0]!.name,
      coats: start.coats === undefined ? [] : start.coats,
      likely: false,
      firing: {
        id: null,
        kilnId: null,
        on: null,
        cone: null,
        shown: false,
        atmosphere: 'unknown' as const,
        ...start.firing,
      },
    }),
    draft: fixed === null ? 'new' : null,
    done: async ({ data, undo }, sent) => {
      const unsent: File[] = [];
      for (const file of files)
        if (!(await sendPicture(file, sent.pieceId, data.firingId)).ok) unsent.push(file);
      setFiles([]);
      setDone({ ...data, pieceId: sent.pieceId, unsent });
      say(`${data.code} is on record`, undo && (() => void (undo(), setDone(null))));
    },
  });
  const { control } = form;
  const [coats, formName] = useWatch({ control, name: ['coats', 'form'] });
  if (done !== null)
    return (
      <InHandDone
        done={done}
        onMore={() => {
          form.reset({ ...form.getValues(), ...fresh() });
          setDone(null);
        }}
      />
    );
  return (
    <FormProvider {...form}>
      <FormShell form={form} act="Put it on record" sx={{ maxWidth: 'none' }}>
        <Box
          sx={{
            display: 'grid',
            columnGap: 5,
            gridTemplateColumns: { xs: '1fr', md: 'minmax(0,1fr) minmax(0,1fr)' },
          }}
        >
          <Box>
            <Section title="What it is">
              <Stack spacing={1.5}>
                <Controller
                  control={control}
                  name="body"
                  render={({ field, fieldState: { error } }) => (
                    <NamedInput
                      label="Body"
                      entries={bodies}
                      value={field.value}
                      onChange={field.onChange}
                      problem={error?.message ?? error?.root?.message}
                    />
                  )}
                />
                <FieldGrid phone={2} wide={2}>
                  <SelectInput
                    control={control}
                    name="form"
                    label="Form"
                    choices={FORMS.map(({ name }) => ({ value: name, label: name }))}
                  />
                  <TextInput control={control} name="mark" label="Mark on it" />
                </FieldGrid>
              </Stack>
            </Section>
            <Section title="What is on it">
              <Controller
                control={control}
                name="coats"
                render={({ field, fieldState: { error } }) => (
                  <CoatsInput
                    coatings={coatings}
                    value={field.value}
                    onChange={field.onChange}
                    problem={error?.message ?? error?.root?.message}
                    surfaces={formNamed(formName)?.surfaces ?? []}
                  />
                )}
              />
              {coats !== null && coats.length > 0 && (
                <CheckInput
                  control={control}
                  name="likely"
                  label="Likely so: from memory, not from a record"
                />
              )}
            </Section>
            <Section title="How it was fired">
              <FiredHow form={form} firings={firings} kilns={kilns} fixed={fixed} />
            </Section>
          </Box>
          <Section title="What is seen">
            <PictureTaker count={files.length} onFiles={(more) => setFiles((now) => [...now, ...more])} />
            {files.length > 0 && (
              <Typography variant="body2" sx={{ mt: 0.5, mb: 1.5 }}>
                {files.map(({ name }) => name).join(', ')}{' '}
                <Button size="small" onClick={() => setFiles([])}>
                  Leave out
                </Button>
              </Typography>
            )}
            <Controller
              control={control}
              name="seen"
              render={({ field }) => (
                <SeenFields
                  seen={field.value}
                  onChange={field.onChange}
                  stacked={(coats?.length ?? 0) > 1}
                  cautions={firedCautions(
                    (coats ?? []).flatMap(({ coating }) => cautions[coating.id ?? ''] ?? []),
                  )}
                  whole
                  units={units}
                />
              )}
            />
          </Section>
        </Box>
      </FormShell>
    </FormProvider>
  );
}
