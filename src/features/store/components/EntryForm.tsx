'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import type { Control, DefaultValues, FieldValues } from 'react-hook-form';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import type { Call, Contract } from '@/platform/contract';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { useSay } from '@/ui/Undo';

type Saving = { id: string | null; revision?: number; fields: FieldValues };

/** The form of an entry of the store: new when `id` is null, else saved over the revision it was read at. */
export function EntryForm<I extends z.ZodType<Saving, Saving>, R>(props: {
  contract: Contract<I, R>;
  /** Puts it away, or takes it into use again. */
  archive: (id: string, archived: boolean) => Call;
  entry: (z.input<I>['fields'] & { id: string; revision: number; archived: boolean }) | null;
  blank: z.input<I>['fields'];
  noun: string;
  back: string;
  children: (control: Control<z.input<I>>) => ReactNode;
}) {
  const router = useRouter();
  const say = useSay();
  const { entry } = props;
  const form = useContractForm(props.contract, {
    start: {
      id: entry?.id ?? null,
      revision: entry?.revision ?? 0,
      fields: entry ?? props.blank,
    } as DefaultValues<z.input<I>>,
    draft: entry === null ? 'new' : `${entry.id}/${entry.revision}`,
    done: () => {
      say(entry === null ? `The ${props.noun} is in the store` : 'Saved');
      router.push(props.back);
      router.refresh();
    },
  });
  const archive = async (id: string, archived: boolean): Promise<void> => {
    const { contract, input } = props.archive(id, archived);
    const answer = await form.act(contract, input);
    if (!answer.ok) return;
    say(archived ? 'Put away: it stays on record but is not offered any more' : 'In use again', answer.undo);
    router.refresh();
  };
  return (
    <FormShell
      form={form}
      act={entry === null ? `Add the ${props.noun}` : 'Save'}
      waits={entry !== null && !form.formState.isDirty}
      acts={
        entry !== null && (
          <Button disabled={form.busy} onClick={() => void archive(entry.id, !entry.archived)}>
            {entry.archived ? 'Take into use again' : 'Put away'}
          </Button>
        )
      }
    >
      {props.children(form.control)}
    </FormShell>
  );
}
