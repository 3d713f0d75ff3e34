'use client';
/** “Why?” that was asked without a network: kept on this device for whoever asked, and asked when the server can be reached. */
import { get, update } from 'idb-keyval';
import { passes, sendKept } from '@/platform/client';
import { wishesKey } from '@/platform/device/wishes';
import { open as opening } from './contracts';

export type Wish = {
  /** Of the operation, so that asking twice is harmless. */
  id: string;
  caseId: string;
  pieceId: string;
  firingId: string;
  complaints: string[];
};

export const keepWish = (person: string, wish: Wish): Promise<void> =>
  update<Wish[]>(wishesKey(person), (all = []) => [...all, wish]);

const drop = (person: string, id: string): Promise<void> =>
  update<Wish[]>(wishesKey(person), (all = []) => all.filter((one) => one.id !== id));

/** Asks what waits, in order. What was refused is not asked again, and is said. */
export async function askWishes(
  person: string,
  tell: (said: { caseId: string } | { refused: string }) => void,
): Promise<void> {
  for (const { id, caseId, ...of } of (await get<Wish[]>(wishesKey(person))) ?? []) {
    const answer = await sendKept({ id, name: opening.name, input: { id: caseId, ...of } });
    if (!answer.ok && passes(answer.problem.code)) return;
    await drop(person, id);
    tell(answer.ok ? { caseId } : { refused: answer.problem.message });
  }
}
