'use client';
import { useEffect, useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { studioNow } from '@/platform/device/clock';
import { useItemsAbout, useSender } from '@/platform/sender/host';
import type { Item } from '@/platform/sender/store';
import { keeping } from '@/platform/useSend';
import { move } from '../firings/contracts';
import type { Accepted } from '../frames';
import { setFramesOf } from '../frames/contracts';
import { addPicture } from '../media/contracts';
import * as contracts from './contracts';
import { aboutOpening, type RecordInput } from './contracts';
import { withItems } from './fold';
import type { RoomPiece, Writer } from './room';

const NONE: readonly Item[] = [];

/** By its content, as the studio calls it; only where the address is a safe one a browser reckons it. */
const shaOf = async (file: Blob): Promise<string> => {
  const hash = await crypto.subtle.digest('SHA-256', await file.arrayBuffer());
  return [...new Uint8Array(hash)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
};
export const canFrameHere = (): boolean => typeof crypto !== 'undefined' && crypto.subtle !== undefined;

/**
 * A load as this device knows it, and how more is said of it: kept here first, sent when the server can be
 * reached.
 */
export function useLoad(
  firingId: string,
  made: { pieces: readonly RoomPiece[]; at: number },
  writer: Writer,
) {
  const { sender, sending, trouble } = useSender();
  const about = aboutOpening({ firingId });
  const known = useItemsAbout(about);
  const items = known ?? NONE;
  const pieces = useMemo(() => withItems(made.pieces, items, made.at, writer), [made, items, writer]);
  const of = (...states: Item['state'][]): Item[] => items.filter(({ state }) => states.includes(state));
  return {
    sender,
    items,
    pieces,
    state: {
      ready: known !== null,
      waiting: of('waiting', 'sending').length,
      sending,
      trouble,
      refused: of('refused')[0] ?? null,
    },
    /** Was it said here that the kiln is open? */
    opened: items.some(({ name, state }) => name === move.name && state !== 'refused'),
    open: (from: 'firing' | 'cooling'): Promise<void> | undefined =>
      sender?.add({
        ...keeping(move, {
          firingId,
          from,
          to: 'opened',
          at: new Date(studioNow()).toISOString(),
          // A step is left out, and the server wants to know why.
          reason: from === 'firing' ? 'the fire was out, and nobody had said so' : '',
        }),
        label: 'The kiln is open',
        // It belongs to this page: what is said here follows it.
        about,
      }),
    /** Keeps what is said; what comes back takes it back, with a network or without. */
    record: async (input: RecordInput, label: string): Promise<() => void> => {
      const id = v7();
      await sender?.add({ ...keeping(contracts.record, input, id), label });
      return () => void sender?.takeBack(id);
    },
    picture: async (piece: RoomPiece, file: File): Promise<void> => {
      const input = { pieceId: piece.id, firingId };
      await sender?.add({
        id: v7(),
        name: addPicture.name,
        input,
        label: `Picture of ${piece.code}`,
        about,
        file,
      });
    },
    /** Pictures that wait here with their frames, by the acts that send them. */
    framed: new Set(
      of('waiting', 'sending')
        .filter(({ name }) => name === setFramesOf.name)
        .map(({ input }) => (input as { act: string }).act),
    ),
    /** Says where a piece lies in a picture that waits here; sent after it. */
    frame: async (piece: RoomPiece, picture: string, accepted: Accepted): Promise<void> => {
      const file = await sender?.store.files.get(picture);
      // It went out while it was framed: the studio has said what it calls it.
      const kept = (await sender?.store.items.get({ id: picture }))?.answer as
        { sha?: string } | null | undefined;
      const sha = file === undefined ? kept?.sha : await shaOf(file.blob);
      if (sha === undefined) return;
      const input = {
        act: picture,
        pieceId: piece.id,
        firingId,
        sha,
        ...accepted,
        nothing: accepted.frames.length === 0,
      };
      await sender?.add({ id: v7(), name: setFramesOf.name, input, label: `Frame of ${piece.code}`, about });
    },
  };
}
export type Load = ReturnType<typeof useLoad>;

/** A picture of a piece: on the server, or on this device alone. */
export type Shot = { key: string; sha: string } | { key: string; url: string };

/** Pictures of a piece, newest first. Only those of the piece in hand are read from the device. */
export function useShots(load: Load, piece: RoomPiece | null): readonly Shot[] {
  const { sender, items } = load;
  const taken = useMemo(
    () =>
      items.filter(
        ({ name, input, state }) =>
          name === addPicture.name &&
          state !== 'refused' &&
          (input as { pieceId: string }).pieceId === piece?.id,
      ),
    [items, piece],
  );
  const here = taken
    .filter(({ state }) => state !== 'sent')
    .map(({ id }) => id)
    .join();
  const [urls, setUrls] = useState<Readonly<Record<string, string>>>({});
  useEffect(() => {
    if (sender === null || here === '') return;
    let gone = false;
    const made: string[] = [];
    void sender.store.files.bulkGet(here.split(',')).then((files) => {
      if (gone) return;
      const read = files.flatMap((file) => {
        if (file === undefined) return [];
        made.push(URL.createObjectURL(file.blob));
        return [[file.id, made.at(-1)!] as const];
      });
      setUrls(Object.fromEntries(read));
    });
    return () => {
      gone = true;
      for (const url of made) URL.revokeObjectURL(url);
    };
  }, [sender, here]);
  const known = new Set(piece?.photos);
  const own = taken.flatMap(({ id, answer, state }): Shot[] => {
    const sha = (answer as { sha?: string } | null)?.sha;
    if (sha !== undefined) return known.has(sha) ? [] : [{ key: sha, sha }];
    const url = urls[id];
    return state === 'sent' || url === undefined ? [] : [{ key: id, url }];
  });
  return [...own.reverse(), ...(piece?.photos ?? []).map((sha) => ({ key: sha, sha }))];
}
