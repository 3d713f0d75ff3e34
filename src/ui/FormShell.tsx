'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { SxProps, Theme } from '@mui/material/styles';
import type { FormEvent, ReactNode } from 'react';
import { FormProvider, type FieldValues, type UseFormReturn } from 'react-hook-form';
import { ProblemNote } from './Problem';
import { Form } from './Form';

/** A field that takes what room its row leaves. */
export const GROWS = { flex: '1 1 200px', width: 'auto' } as const;

type Shelled<V extends FieldValues> = UseFormReturn<V> & {
  submit: (event?: FormEvent) => void;
  busy: boolean;
  problem: string | null;
  draft: { restored: boolean; discard: () => void };
};

/** What every form has around its fields: the draft that came back, the problem, the row of acts. */
export function FormShell<V extends FieldValues>({
  form,
  children,
  act,
  acts,
  row = false,
  waits = false,
  label,
  sx,
}: {
  form: Shelled<V>;
  children?: ReactNode;
  /** The verb on its button. */
  act: string;
  /** Other acts beside it. */
  acts?: ReactNode;
  /** Its fields and its button stand in one line where there is room. */
  row?: boolean;
  /** Nothing to send yet. */
  waits?: boolean;
  label?: string;
  sx?: SxProps<Theme>;
}) {
  const buttons = (
    <>
      <Button type="submit" variant="contained" disabled={form.busy || waits} sx={{ flex: 'none' }}>
        {act}
      </Button>
      {acts}
    </>
  );
  return (
    <FormProvider {...form}>
      <Stack
        component={Form}
        spacing={row ? 1 : 2}
        noValidate
        aria-label={label}
        onSubmit={form.submit}
        sx={sx ?? { maxWidth: row ? 760 : 720 }}
      >
        {form.draft.restored && (
          <Stack direction="row" spacing={1} role="status" sx={{ alignItems: 'center' }}>
            <span>What you had typed here is back.</span>
            <Button size="small" onClick={form.draft.discard}>
              Begin anew
            </Button>
          </Stack>
        )}
        {row ? (
          <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
            {children}
            {buttons}
          </Stack>
        ) : (
          children
        )}
        <ProblemNote>{form.problem}</ProblemNote>
        {!row && (
          <Stack direction="row" spacing={1} sx={{ flexWrap: 'wrap', rowGap: 1 }}>
            {buttons}
          </Stack>
        )}
      </Stack>
    </FormProvider>
  );
}
