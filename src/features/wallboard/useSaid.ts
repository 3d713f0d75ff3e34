'use client';
import { useEffect, useState } from 'react';
import { dropDraft, keepDraft, readDraft, type DraftKey } from '@/platform/device/drafts';
import { useDevicePerson } from '@/platform/device/person';
import { bringBoard } from './contracts';
import { NOTHING_SAID, type OfPlace, type Places, type Said } from './said';

type Draft = { said: Said; places: Places };

/**
 * What was said of a board, kept on the device until it is brought in: a picture is chosen again soon,
 * headings are not.
 */
export function useSaid(): Draft & {
  onSay: (part: Partial<Said>) => void;
  onPlace: (key: string, part: Partial<OfPlace>) => void;
  forget: () => void;
} {
  const person = useDevicePerson();
  const [draft, setDraft] = useState<Draft>({ said: NOTHING_SAID, places: {} });
  const key: DraftKey | null = person === null ? null : { person, form: bringBoard.name, thing: 'board' };
  useEffect(() => {
    const kept =
      person === null ? null : (readDraft({ person, form: bringBoard.name, thing: 'board' }) as Draft | null);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the device is read in the browser only
    if (kept !== null) setDraft(kept);
  }, [person]);
  const change = (next: Draft): void => {
    setDraft(next);
    if (key !== null) keepDraft(key, next);
  };
  return {
    ...draft,
    onSay: (part) => change({ ...draft, said: { ...draft.said, ...part } }),
    onPlace: (place, part) =>
      change({ ...draft, places: { ...draft.places, [place]: { ...draft.places[place], ...part } } }),
    forget: () => {
      if (key !== null) dropDraft(key);
      setDraft({
        said: {
          ...draft.said,
          name: '',
          board: {
            ...draft.said.board,
            rows: { ...draft.said.board.rows, headings: [] },
            columns: { ...draft.said.board.columns, headings: [] },
          },
        },
        places: {},
      });
    },
  };
}
