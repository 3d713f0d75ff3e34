'use client';
import { count } from '@/core/units';
import { useSay } from '@/ui/Undo';
import type { RoomPiece } from './room';
import type { OpeningTray } from './useOpeningTray';

/** What lies in the tray, laid on a piece of the plan by a touch or by dragging; both can be taken back. */
export function useLaying(tray: OpeningTray, pieces: readonly RoomPiece[]) {
  const say = useSay();
  const laid = (n: number, piece: RoomPiece, done: Promise<() => Promise<void>>): void =>
    void done.then((back) => say(`${count(n, 'thing')} laid on ${piece.code}`, () => void back()));
  return {
    /** Lays what is chosen there; false where nothing is chosen, or that is no piece. */
    onto: (id: string): boolean => {
      const piece = pieces.find((one) => one.id === id);
      if (tray.chosen.size === 0 || piece === undefined) return false;
      laid(tray.chosen.size, piece, tray.layChosen(piece));
      return true;
    },
    drop: (dragged: string, onto: string): void => {
      const piece = pieces.find((one) => one.id === onto);
      if (piece === undefined || !tray.items.some(({ id }) => id === dragged)) return;
      const n = tray.chosen.has(dragged) ? tray.chosen.size : 1;
      laid(n, piece, tray.layDragged(dragged, piece));
    },
  };
}
