'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState, type FormEvent } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import type { z } from 'zod';
import type { Contract } from './contract';
import { dropDraft, keepDraft, readDraft, type DraftKey } from './device/drafts';
import { useDevicePerson } from './device/person';
import { showFieldProblems, useSend, type Act } from './useSend';

/** What a person began here earlier and did not send. */
export type Draft = { restored: boolean; discard: () => void };

export type ContractForm<V extends FieldValues> = UseFormReturn<V> & {
  submit: (event?: FormEvent) => void;
  busy: boolean;
  problem: string | null;
  act: Act;
  draft: Draft;
};

/**
 * A form for a contract: checked by its schema, sent by its name, the server's messages beside
 * the fields they speak of. What is typed is kept on the device for this person until it is sent.
 */
export function useContractForm<I extends z.ZodType<FieldValues, FieldValues>, R>(
  contract: Contract<I, R>,
  {
    start,
    draft: thing,
    complete,
    done,
  }: {
    start: DefaultValues<z.input<I>> | (() => DefaultValues<z.input<I>>);
    /** Which thing this form is about, with its revision; null keeps no drafts (passwords). */
    draft: string | null;
    /** Adds to what was typed what the screen around the form knows, each time it is checked or sent. */
    complete?: (typed: z.input<I>) => z.input<I>;
    done: (answer: { data: R; undo?: () => void }, sent: z.input<I>) => unknown;
  },
): ContractForm<z.input<I>> {
  const person = useDevicePerson();
  const [begin] = useState(start);
  // The resolver's own types cannot see that a schema that is a parameter has fields.
  const check = zodResolver(contract.input, undefined, { raw: true }) as unknown as Resolver<z.input<I>>;
  const form = useForm<z.input<I>>({
    resolver: (typed, context, options) => check(complete?.(typed) ?? typed, context, options),
    defaultValues: begin,
  });
  const [restored, setRestored] = useState(false);
  const { reset, subscribe } = form;
  const key = draftKey(person, contract.name, thing);
  const { act, anew, busy, problem } = useSend({
    oneAct: key === null || (JSON.parse(key) as DraftKey),
  });
  useEffect(() => {
    if (key === null) return;
    const at = JSON.parse(key) as DraftKey;
    const kept = readDraft(at);
    if (kept !== null) {
      reset(kept as z.input<I>, { keepDefaultValues: true });
      // eslint-disable-next-line react-hooks/set-state-in-effect -- the device is read in the browser only
      setRestored(true);
    }
    return subscribe({
      formState: { values: true, isDirty: true },
      callback: ({ values, isDirty }) => {
        if (isDirty) keepDraft(at, values);
      },
    });
  }, [key, reset, subscribe]);
  const forget = (): void => {
    if (key !== null) dropDraft(JSON.parse(key) as DraftKey);
    setRestored(false);
  };
  const submit = form.handleSubmit(async (values) => {
    const answer = await act(contract, values);
    showFieldProblems(answer, form.setError);
    if (!answer.ok) return;
    forget();
    await done(answer, values);
  });
  return {
    ...form,
    submit: (event) => void submit(event),
    busy,
    problem,
    act,
    draft: {
      restored,
      discard: () => {
        forget();
        anew();
        form.reset(begin);
      },
    },
  };
}

const draftKey = (person: string | null, form: string, thing: string | null): string | null =>
  person === null || thing === null ? null : JSON.stringify({ person, form, thing } satisfies DraftKey);
