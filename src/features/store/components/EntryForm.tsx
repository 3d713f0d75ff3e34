'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useForm, type Control, type DefaultValues, type FieldValues } from 'react-hook-form';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';

/** The form of a store entry: new when `id` is null, else saved over the revision it was read at. */
export function EntryForm<S extends z.ZodType<FieldValues, FieldValues>>(props: {
  operation: string;
  table: 'body' | 'coating' | 'kiln';
  schema: S;
  id: string | null;
  revision: number;
  archived: boolean;
  defaults: DefaultValues<z.input<S>>;
  noun: string;
  back: string;
  children: (control: Control<z.input<S>>) => ReactNode;
}) {
  const router = useRouter();
  const say = useSay();
  const { control, handleSubmit, setError, formState } = useForm<z.input<S>>({
    resolver: zodResolver(props.schema) as never,
    defaultValues: props.defaults,
  });
  const { act, busy, problem } = useSend();
  const submit = handleSubmit(async (fields) => {
    const answer = await act(props.operation, {
      id: props.id,
      revision: props.revision,
      fields,
    });
    showFieldProblems(answer, setError, 'fields.');
    if (!answer.ok) return;
    say(props.id === null ? `The ${props.noun} is in the store` : 'Saved');
    router.push(props.back);
    router.refresh();
  });
  const archive = async (archived: boolean): Promise<void> => {
    const answer = await act('store.archive', { table: props.table, id: props.id, archived });
    if (!answer.ok) return;
    say(
      archived ? 'Put away: it stays on record but is not offered any more' : 'In use again',
      () => void archive(!archived),
    );
    router.refresh();
  };
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Stack spacing={2} sx={{ maxWidth: 720 }}>
        {props.children(control)}
        <ProblemNote>{problem}</ProblemNote>
        <Stack direction="row" spacing={1}>
          <Button
            type="submit"
            variant="contained"
            disabled={busy || (props.id !== null && !formState.isDirty)}
          >
            {props.id === null ? `Add the ${props.noun}` : 'Save'}
          </Button>
          {props.id !== null && (
            <Button disabled={busy} onClick={() => void archive(!props.archived)}>
              {props.archived ? 'Take into use again' : 'Put away'}
            </Button>
          )}
        </Stack>
      </Stack>
    </form>
  );
}
