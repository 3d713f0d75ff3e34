import { newId } from '@/data/ids';
import { loadPieces } from '@/data/pieces';
import { addUseTest, dropUseTest, pieceOfUseTest } from '@/data/use-tests';
import { operation, type Act } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { maySeePiece, mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';

async function touch({ trx, person }: Act, pieceId: string): Promise<void> {
  const [piece] = await loadPieces(trx, { ids: [pieceId] });
  if (piece === undefined || !maySeePiece(person, piece)) throw notFound('There is no such piece.');
  if (!mayTouchPiece(person, piece.ownerId))
    throw refuse('Its owner, a teacher or a technician writes of this piece.');
}

export const done = operation({
  contract: contracts.done,
  permit: permit('see the chart'),
  async run(act, one) {
    await touch(act, one.pieceId);
    const id = newId();
    await addUseTest(act.trx, { ...one, id }, act.person.id, act.now);
    return { id };
  },
});

export const drop = operation({
  contract: contracts.drop,
  permit: permit('see the chart'),
  async run(act, { id, dropped }) {
    const pieceId = await pieceOfUseTest(act.trx, id);
    if (pieceId === null) throw notFound('There is no such test.');
    await touch(act, pieceId);
    await dropUseTest(act.trx, id, dropped ? act.now : null);
  },
});
