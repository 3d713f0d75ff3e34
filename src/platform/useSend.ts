'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { FieldPath, FieldValues, UseFormSetError } from 'react-hook-form';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { send, type Sent } from './client';
import type { Call, Contract } from './contract';
import { dropDraft, keepDraft, readDraft, type DraftKey } from './device/drafts';
import { useSender } from './sender/host';
import type { ToKeep } from './sender/sender';

/** What came back, and the way back where the contract names one. `kept`: it waits on this device. */
export type Acted<R> = Sent<R> & { undo?: () => void; kept?: boolean };
export type Act = <I extends z.ZodType, R>(
  contract: Contract<I, R>,
  input: z.input<I>,
  /** The act’s own id, where whoever sends it knows one that stays the same however often it is tried. */
  as?: string,
) => Promise<Acted<R>>;

/** What was sent without an answer. */
type Pending = { text: string; id: string };

/** Nobody knows whether the server had it. */
const unsure = (code: string): boolean => ['offline', 'failed', 'database-away'].includes(code);

/**
 * Sends operations from a component: `busy` while one is under way, `problem` in words.
 * Trying again after a failure that may have reached the server repeats the same id. `oneAct`: so it does
 * whatever was changed meanwhile, as in a form, and the server says what is on record; with a key also after
 * the page was left.
 */
export function useSend({ oneAct = false }: { oneAct?: boolean | DraftKey } = {}): {
  busy: boolean;
  problem: string | null;
  clear: () => void;
  /** What was begun is given up: what is sent next is another act. */
  anew: () => void;
  act: Act;
} {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const pending = useRef<Pending | null>(null);
  const key = typeof oneAct === 'object' ? { ...oneAct, thing: `${oneAct.thing}/act` } : null;
  const doubted = (): Pending | null =>
    pending.current ?? (key === null ? null : (readDraft(key) as Pending | null));
  const doubt = (next: Pending | null): void => {
    pending.current = next;
    if (key === null) return;
    if (next === null) dropDraft(key);
    else keepDraft(key, next);
  };
  const { sender, open } = useSender();
  const takeBack = async ({ contract, input }: Call): Promise<void> => {
    const id = v7();
    const answer = await send(contract, input, id);
    if (!answer.ok && sender !== null && unsure(answer.problem.code))
      await sender.add({ id, name: contract.name, input, label: 'Undo', about: 'undo' });
    else if (!answer.ok) setProblem(answer.problem.message);
    router.refresh();
  };
  const keep = async <I extends z.ZodType, R>(
    contract: Contract<I, R>,
    input: z.input<I>,
    id: string,
  ): Promise<Acted<R> | null> => {
    if (contract.keep === undefined || sender === null) return null;
    const item = keeping(contract, input, id);
    await sender.add(item);
    // There is no answer yet: whoever reads one asks first whether it was kept.
    return { ok: true, data: null as R, undo: () => void sender.takeBack(id), kept: true };
  };
  const act: Act = async (contract, input, as) => {
    const text = oneAct === false ? JSON.stringify([contract.name, input]) : contract.name;
    const before = doubted();
    const id = as ?? (before?.text === text ? before.id : v7());
    setBusy(true);
    setProblem(null);
    // What was written before goes first.
    const behind = open?.some(({ state }) => state !== 'refused') === true;
    const first = behind ? await keep(contract, input, id) : null;
    const answer = first ?? (await send(contract, input, id));
    const doubtful = !answer.ok && unsure(answer.problem.code);
    const later = doubtful ? await keep(contract, input, id) : first;
    if (later !== null) {
      doubt(null);
      setBusy(false);
      return later;
    }
    doubt(doubtful ? { text, id } : null);
    setBusy(false);
    if (!answer.ok) {
      setProblem(answer.problem.message);
      if (answer.problem.code === 'arrived') router.refresh();
      return answer;
    }
    const back = contract.inverse?.(input, answer.data);
    return back === undefined ? answer : { ...answer, undo: () => void takeBack(back) };
  };
  return { busy, problem, clear: () => setProblem(null), anew: () => doubt(null), act };
}

/** A write as the sender keeps it, with what takes it back where that can be said without an answer. */
export function keeping<I extends z.ZodType, R>(
  contract: Contract<I, R>,
  input: z.input<I>,
  id: string = v7(),
): ToKeep {
  const { keep } = contract;
  if (keep === undefined) throw new Error(`${contract.name} cannot wait on a device.`);
  const back = contract.inverse?.(input, null as R);
  return {
    id,
    name: contract.name,
    input,
    label: keep.label(input),
    about: keep.about(input),
    back: back === undefined ? null : { name: back.contract.name, input: back.input },
    anyway: keep.anyway === undefined ? null : { input: keep.anyway(input) },
  };
}

/** Puts the server's messages beside the fields they speak of; `prefix` is stripped from their paths. */
export function showFieldProblems<V extends FieldValues>(
  answer: Sent<unknown>,
  setError: UseFormSetError<V>,
  prefix = '',
): void {
  if (answer.ok) return;
  for (const [path, message] of Object.entries(answer.problem.fields ?? {})) {
    setError((path.startsWith(prefix) ? path.slice(prefix.length) : path) as FieldPath<V>, {
      message,
    });
  }
}
