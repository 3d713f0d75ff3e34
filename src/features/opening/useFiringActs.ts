'use client';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { useSay } from '@/ui/Undo';
import { takeOut as takingOut } from '../loading/contracts';
import * as contracts from './contracts';
import { join as joining } from './in-hand-contracts';

/** Acts on the firing itself, at once and with the server: who was in it, and when it is written up. */
export function useFiringActs(firingId: string) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const takeOut = async (placementId: string | null): Promise<void> => {
    const answer = await act(takingOut, { firingId, placementIds: [placementId ?? ''] });
    if (!answer.ok) return say(answer.problem.message);
    router.replace(`/opening/${firingId}`);
    router.refresh();
  };
  const join = async (code: string): Promise<void> => {
    const answer = await act(joining, { firingId, code });
    if (!answer.ok) return say(answer.problem.message);
    // Its drawing, layers and flags come with the page.
    router.replace(`/opening/${firingId}?piece=${code}`);
    router.refresh();
  };
  const finish = async (done: boolean): Promise<void> => {
    const answer = await act(contracts.finish, { firingId, done });
    if (!answer.ok) return;
    say(done ? 'The opening is written up' : 'The opening is open again');
    router.push(`/kilns/firings/${firingId}`);
    router.refresh();
  };
  return { act, busy, problem, takeOut, join, finish };
}
