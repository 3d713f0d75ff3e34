import { findFiring, type Firing } from '@/data/firings';
import type { Act } from '@/platform/operation';
import { notFound } from '@/platform/refusal';

/** A firing, held until the operation ends. */
export async function heldFiring({ trx }: Pick<Act, 'trx'>, id: string): Promise<Firing> {
  const firing = await findFiring(trx, id, true);
  if (firing === null) throw notFound('This firing');
  return firing;
}
