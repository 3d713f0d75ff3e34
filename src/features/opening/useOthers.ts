'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { call } from '@/platform/client';

const EVERY_MS = 4000;

/**
 * What others say of the load meanwhile: asked every few seconds while the page is looked at, and read anew where it
 * changed. What is being said here stays as it is.
 * @param mark of the page as it stands.
 */
export function useOthers(firingId: string, mark: string): void {
  const { refresh } = useRouter();
  useEffect(() => {
    let busy = false;
    const look = async (): Promise<void> => {
      if (busy || document.visibilityState !== 'visible') return;
      busy = true;
      const answer = await call<{ mark: string }>(`/api/opening/${firingId}`, {});
      busy = false;
      // Only where the server was just heard: a page is not read anew into nothing.
      if (answer.ok && answer.data.mark !== mark) refresh();
    };
    const timer = setInterval(() => void look(), EVERY_MS);
    return () => clearInterval(timer);
  }, [firingId, mark, refresh]);
}
