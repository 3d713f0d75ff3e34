'use client';
import { useEffect, useState } from 'react';
import { call } from './client';
import type { Progress } from './progress';

const EVERY_MS = 600;

/** How far the work of this id has come, asked again and again while it is given. */
export function useProgress(id: string | null): Progress | null {
  const [seen, setSeen] = useState<{ id: string; progress: Progress } | null>(null);
  useEffect(() => {
    if (id === null) return;
    const timer = setInterval(
      () =>
        void call<Progress | null>(`/api/progress/${id}`, {}).then((answer) => {
          if (answer.ok && answer.data !== null) setSeen({ id, progress: answer.data });
        }),
      EVERY_MS,
    );
    return () => clearInterval(timer);
  }, [id]);
  return seen !== null && seen.id === id ? seen.progress : null;
}
