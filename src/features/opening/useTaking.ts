'use client';
import { lengthWords, useSpeak, type Recorded } from '../sounds';
import { useSay } from '@/ui/Undo';
import { codeOnLabel } from '@/core/codes';
import { labelInPicture, thumbOf } from '../media';
import { aboutOpening } from './contracts';
import type { RoomPiece } from './room';
import type { Load } from './useLoad';
import type { OpeningTray } from './useOpeningTray';
import type { useRoomLeft } from './useRoomLeft';

/** The piece of the load that a label names. */
export const byLabel = (pieces: readonly RoomPiece[], text: string): RoomPiece | undefined => {
  const code = codeOnLabel(text);
  return code === null ? undefined : pieces.find((piece) => piece.code === code);
};

/**
 * Pictures and sounds as they are taken: of the piece in hand, or in the tray, where nobody says yet of what.
 */
export function useTaking({
  load,
  firingId,
  piece,
  at,
  tray,
  room,
  hold,
}: {
  load: Load;
  firingId: string;
  piece: RoomPiece | null;
  at: string;
  tray: OpeningTray;
  room: ReturnType<typeof useRoomLeft>;
  /** The piece stays in hand. */
  hold: () => void;
}) {
  const say = useSay();
  const keep = useSpeak();
  const spokenOf = piece?.code ?? (at === 'tray' ? 'one for the tray' : 'the load');
  return {
    spokenOf,
    pictures: async (files: readonly File[], thumb?: Blob): Promise<void> => {
      // At once: by the time they are kept somebody may have the next piece in hand.
      hold();
      for (const file of files)
        await room.trying(async () => {
          if (piece !== null) return load.picture(piece, file);
          const id = await tray.put(file, thumb ?? (await thumbOf(file)));
          // A label beside it says of what it is; looking for one holds up nothing.
          void labelInPicture(file).then(async (text) => {
            const named = text === null ? undefined : byLabel(load.pieces, text);
            if (named === undefined || id === null) return;
            const back = await tray.layAll([{ picture: id, piece: named }]);
            say(`By its label: of ${named.code}`, () => void back());
          });
        });
    },
    speak: async (recorded: Recorded): Promise<void> => {
      hold();
      await room.trying(async () => {
        const length = lengthWords(recorded.lengthS);
        if (at === 'tray') {
          await tray.put(recorded.file, null, 'sound');
          say(`Spoken: ${length}`);
          return;
        }
        const of = { pieceId: piece?.id ?? null, firingId, label: spokenOf };
        const back = await keep({ ...of, about: aboutOpening({ firingId }) }, recorded);
        say(`Spoken of ${spokenOf}: ${length}`, back);
      });
    },
  };
}
