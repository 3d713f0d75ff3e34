/**
 * A load as this device knows it: the page as the server made it, and what was written here and is not in it.
 * It is made anew from both each time, so that what was said last in one tab never covers what another one
 * knows.
 */
import type { Item } from '@/platform/sender/store';
import * as contracts from './contracts';
import type { RecordInput } from './contracts';
import { withRecord, type RoomPiece, type Writer } from './room';

type Acted = Pick<Item, 'name' | 'input' | 'state' | 'sentAt'>;

/** Is it not yet in a page that was made at that moment? What was refused was never said. */
const missingFrom =
  (madeAt: number) =>
  ({ state, sentAt }: Acted): boolean =>
    state === 'waiting' || state === 'sending' || (state === 'sent' && (sentAt ?? 0) > madeAt);

/**
 * @param madeAt when the page was made, by the server's clock, ms.
 * @param items what this device keeps of the opening, in the order of writing.
 */
export function withItems(
  pieces: readonly RoomPiece[],
  items: readonly Acted[],
  madeAt: number,
  by: Writer,
): RoomPiece[] {
  const acts = items.filter(missingFrom(madeAt));
  const back = new Set(
    acts.flatMap(({ name, input }) =>
      name === contracts.withdraw.name ? (input as { observationIds: string[] }).observationIds : [],
    ),
  );
  const there = new Set(
    pieces.flatMap(({ looks }) => Object.values(looks).flatMap((some) => some.map(({ id }) => id))),
  );
  const records = acts.flatMap(({ name, input }) => {
    if (name !== contracts.record.name) return [];
    const record = input as RecordInput;
    const said = record.pieces.filter(({ observationId: id }) => !back.has(id) && !there.has(id));
    return said.length === 0 ? [] : [{ ...record, pieces: said }];
  });
  const left = back.size === 0 ? pieces : pieces.map((piece) => without(piece, back));
  return records.reduce((all, record) => withRecord(all, record, by), [...left]);
}

const without = (piece: RoomPiece, ids: ReadonlySet<string>): RoomPiece => ({
  ...piece,
  looks: Object.fromEntries(
    Object.entries(piece.looks).map(([zone, looks]) => [zone, looks.filter(({ id }) => !ids.has(id))]),
  ),
});

/** The case that was asked for on this device, of each piece. */
export const casesAsked = (items: readonly Acted[]): Record<string, string> =>
  Object.fromEntries(
    items.flatMap(({ name, input, state }) => {
      if (name !== 'clinic.open' || state === 'refused') return [];
      const { id, pieceId } = input as { id: string; pieceId: string };
      return [[pieceId, id]];
    }),
  );
