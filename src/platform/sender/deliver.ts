import { passes, sendKept } from '../client';
import type { Delivery } from './sender';
import type { Item } from './store';

/** Hands an item to the server; what passes by itself is tried again, anything else is for its writer. */
export async function deliver(item: Item, file: File | null): Promise<Delivery> {
  if (item.fileName !== null && file === null)
    return {
      outcome: 'refused',
      problem: { code: 'invalid', message: 'Its file is not on this device any more.' },
    };
  const answer = await sendKept({
    id: item.id,
    name: item.name,
    input: item.input,
    file,
    as: item.person,
  });
  if (answer.ok) return { outcome: 'done', answer: answer.data };
  const { code, message, details } = answer.problem;
  if (passes(code)) return { outcome: 'later', message, tried: code === 'failed' };
  return { outcome: 'refused', problem: { code, message, details } };
}
