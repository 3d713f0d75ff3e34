'use client';
import { useState } from 'react';
import { count } from '@/core/units';
import { useSay } from '@/ui/Undo';
import { useTray } from '@/platform/sender/host';
import { layOn, putDown, throwAway, type TakenBack } from '@/platform/sender/tray';
import type { TrayItem } from '@/platform/sender/store';
import { addPicture, binPicture } from '../media/contracts';
import { speaking } from '../sounds';
import { aboutOpening } from './contracts';
import { inOrder } from './order';
import type { RoomPiece } from './room';
import type { Load } from './useLoad';

const NONE: readonly TrayItem[] = [];

/**
 * A picture that the studio has already leaves its piece, and can be found among those that were put away.
 */
const putAway = (answer: unknown): Call => {
  const { id } = (answer ?? {}) as { id?: string };
  return id === undefined ? null : { name: binPicture.name, input: { photoId: id, binned: true } };
};
type Call = { name: string; input: unknown } | null;

/** What is to be said of what was taken back; null where all of it lies in the tray again. */
export function backWords(became: readonly TakenBack[]): string | null {
  const n = (word: TakenBack): number => became.filter((one) => one === word).length;
  if (n('gone out') > 0)
    return `${count(n('gone out'), 'thing is', 'things are')} on the way to the studio already: put it away on its piece’s page.`;
  return n('taken off') > 0
    ? `Taken off: ${count(n('taken off'), 'thing was', 'things were')} on the studio’s server already, and put away there.`
    : null;
}

/**
 * Shot now, said later: what lies in the tray of an opening, what of it is chosen, and how it is laid on
 * pieces.
 */
export function useOpeningTray(load: Load, firingId: string) {
  const about = aboutOpening({ firingId });
  const items = useTray(about) ?? NONE;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const { sender } = load;
  const say = useSay();
  const actOf = (id: string, piece: RoomPiece) => {
    const item = items.find((one) => one.id === id);
    if (item?.kind === 'sound')
      return speaking({ pieceId: piece.id, firingId, label: piece.code, about }, null, item.at);
    const label = `Picture of ${piece.code}`;
    return { name: addPicture.name, input: { pieceId: piece.id, firingId }, label, about };
  };
  const there = items.filter(({ id }) => chosen.has(id));
  const lay = async (id: string, piece: RoomPiece): Promise<() => Promise<TakenBack>> =>
    sender === null ? () => Promise.resolve('gone out') : layOn(sender, id, actOf(id, piece), putAway);
  /** Lays several; what comes back picks all of them up again that nobody has sent. */
  const layAll = async (pairs: readonly { picture: string; piece: RoomPiece }[]) => {
    const back: (() => Promise<TakenBack>)[] = [];
    for (const { picture, piece } of pairs) back.push(await lay(picture, piece));
    setChosen(new Set());
    return async (): Promise<void> => {
      const became: TakenBack[] = [];
      for (const one of back.reverse()) became.push(await one());
      const words = backWords(became);
      if (words !== null) say(words);
    };
  };
  const pictured = new Set([
    ...load.pieces.filter(({ photos }) => photos.length > 0).map(({ id }) => id),
    ...load.items
      .filter(({ name, state }) => name === addPicture.name && state !== 'refused')
      .map(({ input }) => (input as { pieceId: string }).pieceId),
  ]);
  return {
    items,
    chosen,
    choose: (id: string): void =>
      setChosen((now) => {
        const next = new Set(now);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    put: async (file: File, thumb: Blob | null, kind: TrayItem['kind'] = 'picture') =>
      sender === null ? null : putDown(sender, { about, kind, file, thumb }),
    /** One that was dragged there, with all that are chosen if it is one of them. */
    layDragged: (id: string, piece: RoomPiece) => {
      const some = chosen.has(id) ? there.map((one) => one.id) : [id];
      return layAll(some.map((picture) => ({ picture, piece })));
    },
    /** What is chosen, laid on one piece; all of the tray, one each, in the order of the plan. */
    layChosen: (piece: RoomPiece) => layAll(there.map(({ id }) => ({ picture: id, piece }))),
    inOrder: (from: string | null) =>
      inOrder(
        items.filter(({ kind }) => kind === 'picture').map(({ id }) => id),
        load.pieces,
        from,
        pictured,
      ),
    layAll,
    /** What is kept of it on this device, to be looked at or heard. */
    fileOf: async (id: string): Promise<Blob | null> => (await sender?.store.files.get(id))?.blob ?? null,
    throwChosen: async (): Promise<() => Promise<void>> => {
      const back: (() => Promise<void>)[] = [];
      if (sender !== null) for (const { id } of there) back.push(await throwAway(sender.store, id));
      setChosen(new Set());
      return async () => {
        for (const one of back) await one();
      };
    },
  };
}
export type OpeningTray = ReturnType<typeof useOpeningTray>;
