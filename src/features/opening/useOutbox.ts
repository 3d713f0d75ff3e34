'use client';
import { get, set } from 'idb-keyval';
import { useEffect, useState } from 'react';
import { call, passes, sendKept } from '@/platform/client';
import { sendPicture } from '../media';
import { Outbox, type Delivery, type OutboxItem, type OutboxState } from './outbox';

async function deliver(item: OutboxItem): Promise<Delivery> {
  const answer =
    item.kind === 'act'
      ? await sendKept(item)
      : await sendPicture(
          new File([item.file], item.fileName, { type: item.file.type }),
          item.pieceId,
          item.firingId,
          item.id,
        );
  if (answer.ok) return { outcome: 'done' };
  const { code, message, details } = answer.problem;
  return passes(code) ? { outcome: 'later', message } : { outcome: 'refused', message, details };
}

/** The outbox of one opening on this device; it is emptied whenever the server can be reached. */
export function useOutbox(firingId: string): { box: Outbox | null; state: OutboxState } {
  const [state, setState] = useState<OutboxState>({
    ready: false,
    waiting: 0,
    sending: false,
    trouble: null,
    refused: null,
  });
  const [box, setBox] = useState<Outbox | null>(null);
  useEffect(() => {
    const key = `jiten-outbox-${firingId}`;
    const outbox = new Outbox(
      { read: async () => (await get<OutboxItem[]>(key)) ?? [], write: (items) => set(key, items) },
      deliver,
      setState,
    );
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the outbox exists in the browser only
    setBox(outbox);
    void outbox.flush();
    const retry = (): void => void outbox.flush();
    window.addEventListener('online', retry);
    const timer = setInterval(() => {
      if (outbox.state().waiting > 0)
        void call('/api/health', {}).then((answer) => (answer.ok ? outbox.flush() : undefined));
    }, 5000);
    return () => {
      window.removeEventListener('online', retry);
      clearInterval(timer);
    };
  }, [firingId]);
  return { box, state };
}
