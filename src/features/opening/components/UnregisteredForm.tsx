'use client';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller, FormProvider, useWatch } from 'react-hook-form';
import { v7 } from 'uuid';
import { markSeries } from '@/core/codes';
import { FORMS } from '@/core/designs';
import { count } from '@/core/units';
import { useContractForm, type ContractForm } from '@/platform/useContractForm';
import { SelectInput } from '@/ui/choice-fields';
import { FormShell } from '@/ui/FormShell';
import { Section } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import { unregistered, type InHand, type Unregistered } from '../in-hand-contracts';
import { FiredHow } from './FiredHow';
import { NamedInput, type Entry } from './NamedInput';

/** "27" is so many things; "1-27" or a list is what is written on them. Null: it cannot be read. */
export function howMany(text: string): { count: number; marks: string[] } | null {
  const plain = text.trim();
  if (/^\d{1,3}$/.test(plain)) return { count: Number(plain), marks: [] };
  const marks = markSeries(plain);
  return marks === null || marks.length === 0 ? null : { count: marks.length, marks };
}

/**
 * Things out of a kiln that nobody registered: how many, what, out of which firing; then they are written up.
 */
export function UnregisteredForm({
  bodies,
  kilns,
  firings,
  start,
}: {
  bodies: readonly Entry[];
  kilns: readonly Entry[];
  firings: readonly Entry[];
  start: Pick<Unregistered, 'body' | 'form' | 'firing'>;
}) {
  const router = useRouter();
  const say = useSay();
  const [text, setText] = useState('');
  const form = useContractForm(unregistered, {
    start: () => ({ pieceIds: [], marks: [], ...start }),
    draft: null,
    done: ({ data, undo }, sent) => {
      say(`${count(sent.pieceIds.length, 'piece')} on record`, undo);
      router.push(`/opening/${data.firingId}`);
    },
  });
  const { control, setValue } = form;
  const ids = useWatch({ control, name: 'pieceIds' });
  const read = (next: string): void => {
    setText(next);
    const many = howMany(next);
    const length = Math.min(many?.count ?? 0, 200);
    // The same things keep their ids while the number is being typed.
    setValue(
      'pieceIds',
      Array.from({ length }, (_, i) => ids[i] ?? v7()),
      { shouldValidate: true },
    );
    setValue('marks', (many?.marks ?? []).slice(0, 200));
  };
  return (
    <FormProvider {...form}>
      <FormShell
        form={form}
        act={ids.length === 0 ? 'Begin the opening' : `Begin with ${count(ids.length, 'piece')}`}
      >
        <TextField
          label="How many, or what is written on them"
          autoFocus
          value={text}
          onChange={(event) => read(event.target.value)}
          error={text.trim() !== '' && howMany(text) === null}
          helperText={
            text.trim() !== '' && howMany(text) === null
              ? 'A number, a range such as 1-27, or a list.'
              : '27, or 1-27, or a list pasted from a table'
          }
        />
        <Stack direction="row" spacing={2} sx={{ flexWrap: 'wrap' }}>
          <SelectInput
            control={control}
            name="form"
            label="Form"
            choices={FORMS.map(({ name }) => ({ value: name, label: name }))}
          />
        </Stack>
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
        <Section title="Out of which firing">
          <FiredHow
            form={form as unknown as ContractForm<InHand>}
            firings={firings}
            kilns={kilns}
            fixed={null}
          />
        </Section>
        <Typography variant="body2">
          Nobody needs to know yet what lies on them: they are written up by their marks, and their coats are
          filled in later, many at once.
        </Typography>
      </FormShell>
    </FormProvider>
  );
}
