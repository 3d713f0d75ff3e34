'use client';
import { get, set } from 'idb-keyval';
import { useEffect, useState } from 'react';
import { v7 } from 'uuid';
import { studioNow } from '@/platform/device/clock';
import { ofAllAlike, type Place } from '@/core/looks';
import type { RecordInput, SeenInput } from './contracts';
import {
  formStart,
  isWritten,
  looksAt,
  nextUnwritten,
  usualSaying,
  withRecord,
  type RoomLook,
  type RoomPiece,
  type Writer,
} from './room';
import type { Load } from './useLoad';

type Drafts = Record<string, SeenInput>;

/** A moment by the studio's clock, as acts bear it. */
const now = (): string => new Date(studioNow()).toISOString();

/**
 * The piece in hand and what is being said of it. What was begun and not saved is kept on the device, for
 * whoever began it.
 */
export function useHand({
  load,
  firingId,
  writer,
  start,
  place,
}: {
  load: Load;
  firingId: string;
  writer: Writer;
  /** The code with which it begins. */
  start: string | null;
  place: Place;
}) {
  const { pieces } = load;
  const [picked, setAt] = useState(() => pieces.find((piece) => piece.code === start)?.id ?? null);
  // Until somebody takes one in hand, it is the first that nobody has written up, here or elsewhere.
  const at = picked ?? pieces.find((piece) => !isWritten(piece))?.id ?? 'finish';
  const [zone, setZone] = useState<string | null>(null);
  const [saying, setSaying] = useState<Record<string, RoomLook | null>>({});
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [opened] = useState(now);
  const [drafts, setDrafts] = useState<Drafts>({});
  const draftKey = `jiten-drafts-${writer.id}-${firingId}`;
  useEffect(() => {
    void get<Drafts>(draftKey).then((kept) => kept && setDrafts((all) => ({ ...kept, ...all })));
  }, [draftKey]);
  const keepDrafts = (next: Drafts): void => {
    setDrafts(next);
    void set(draftKey, next);
  };

  const piece = pieces.find((one) => one.id === at);
  const key = `${at}/${zone ?? ''}`;
  // Undefined until somebody says otherwise: one's own words of today are put right.
  const correcting =
    saying[key] !== undefined
      ? saying[key]
      : piece
        ? usualSaying(looksAt(piece, zone), writer, opened)
        : null;
  const begun = drafts[key] ?? null;
  const dropDraft = (): void => {
    const { [key]: _, ...rest } = drafts;
    keepDrafts(rest);
  };
  const pick = (id: string): void => {
    setAt(id);
    setZone(null);
    setChosen(new Set([id]));
    window.scrollTo({ top: 0 });
  };

  /**
   * Keeps what is said of the piece in hand and of those like it. What comes back says how many, and how it
   * is taken back.
   */
  const save = async (goOn: boolean): Promise<{ count: number; undo: () => void } | null> => {
    const seen = piece && (begun ?? formStart(piece, zone, correcting));
    if (!piece || !seen) return null;
    const ids = zone === null && chosen.size > 1 ? [...chosen] : [piece.id];
    const seenAt = now();
    const entries = ids.map((pieceId) => {
      const own = pieces.find((one) => one.id === pieceId);
      const usual = own ? usualSaying(looksAt(own, zone), writer, seenAt) : null;
      const corrects = (pieceId === piece.id ? correcting : usual)?.id ?? null;
      return { pieceId, observationId: v7(), corrects };
    });
    const said = ids.length > 1 ? { ...seen, signs: ofAllAlike(seen.signs) } : seen;
    const input: RecordInput = { firingId, pieces: entries, zone, seenAt, place, seen: said };
    const undo = await load.record(input, ids.length > 1 ? `${ids.length} alike` : piece.code);
    dropDraft();
    setSaying(({ [key]: _, ...others }) => others);
    const after = withRecord(pieces, input, writer);
    if (goOn) {
      const done = new Set(after.filter(isWritten).map((one) => one.id));
      pick(nextUnwritten(after, piece.id, done) ?? 'finish');
    } else setZone(null);
    return { count: ids.length, undo };
  };
  return {
    at,
    piece: piece ?? null,
    zone,
    setZone: (next: string | null): void => {
      setAt(at);
      setZone(next);
    },
    pick,
    seen: piece ? (begun ?? formStart(piece, zone, correcting)) : null,
    begun: begun !== null,
    say: (seen: SeenInput): void => {
      setAt(at);
      keepDrafts({ ...drafts, [key]: seen });
    },
    /** This piece stays in hand, whatever others write up meanwhile. */
    hold: (): void => setAt(at),
    correcting,
    correct: (look: RoomLook | null): void => {
      setSaying((all) => ({ ...all, [key]: look }));
      dropDraft();
    },
    chosen: chosen.size === 0 && piece ? new Set([piece.id]) : chosen,
    setChosen,
    save,
  };
}

/** Pieces that stand for one another in a lot: of one making, one form, one stack. */
export const lotOf = (
  pieces: readonly RoomPiece[],
  piece: RoomPiece,
  alike: (a: RoomPiece, b: RoomPiece) => boolean,
): RoomPiece[] =>
  piece.lotId === null
    ? []
    : pieces.filter((one) => one.lotId === piece.lotId && one.form === piece.form && alike(one, piece));
