'use client';
import { useRef, useState } from 'react';
import type { FieldPath, FieldValues, UseFormSetError } from 'react-hook-form';
import { v7 } from 'uuid';
import { send, type Sent } from './client';

/**
 * Sends operations from a component: `busy` while one is under way, `problem` in words.
 * Trying again after a failure that may have reached the server repeats the same id.
 */
export function useSend(): {
  busy: boolean;
  problem: string | null;
  clear: () => void;
  act: <T = unknown>(name: string, input: unknown) => Promise<Sent<T>>;
} {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const pending = useRef<{ text: string; id: string } | null>(null);
  return {
    busy,
    problem,
    clear: () => setProblem(null),
    act: async <T>(name: string, input: unknown) => {
      const text = JSON.stringify([name, input]);
      const id = pending.current?.text === text ? pending.current.id : v7();
      setBusy(true);
      setProblem(null);
      const answer = await send<T>(name, input, id);
      const unsure =
        !answer.ok && ['offline', 'failed', 'database-away'].includes(answer.problem.code);
      pending.current = unsure ? { text, id } : null;
      setBusy(false);
      if (!answer.ok) setProblem(answer.problem.message);
      return answer;
    },
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
