'use client';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { FieldPath, FieldValues, UseFormSetError } from 'react-hook-form';
import { v7 } from 'uuid';
import type { z } from 'zod';
import { send, type Sent } from './client';
import type { Call, Contract } from './contract';

/** What came back, and the way back where the contract names one. */
export type Acted<R> = Sent<R> & { undo?: () => void };
export type Act = <I extends z.ZodType, R>(
  contract: Contract<I, R>,
  input: z.input<I>,
) => Promise<Acted<R>>;

/**
 * Sends operations from a component: `busy` while one is under way, `problem` in words.
 * Trying again after a failure that may have reached the server repeats the same id.
 */
export function useSend(): {
  busy: boolean;
  problem: string | null;
  clear: () => void;
  act: Act;
} {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const pending = useRef<{ text: string; id: string } | null>(null);
  const takeBack = async ({ contract, input }: Call): Promise<void> => {
    const answer = await send(contract, input);
    if (!answer.ok) setProblem(answer.problem.message);
    router.refresh();
  };
  const act: Act = async (contract, input) => {
    const text = JSON.stringify([contract.name, input]);
    const id = pending.current?.text === text ? pending.current.id : v7();
    setBusy(true);
    setProblem(null);
    const answer = await send(contract, input, id);
    const unsure =
      !answer.ok && ['offline', 'failed', 'database-away'].includes(answer.problem.code);
    pending.current = unsure ? { text, id } : null;
    setBusy(false);
    if (!answer.ok) {
      setProblem(answer.problem.message);
      return answer;
    }
    const back = contract.inverse?.(input, answer.data);
    return back === undefined ? answer : { ...answer, undo: () => void takeBack(back) };
  };
  return { busy, problem, clear: () => setProblem(null), act };
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
