'use client';
import { useRef } from 'react';
import { v7 } from 'uuid';
import { keepDraft, readDraft, type DraftKey } from './drafts';
import { useDevicePerson } from './person';

/** The acts that are not known to be on record, by what tells their files apart. */
type Acts = Readonly<Record<string, string>>;

const signature = ({ name, size, lastModified }: File): string => JSON.stringify([name, size, lastModified]);

/**
 * The id under which one file is brought in. One file is one act, however it is read and whatever is said of
 * it, also after the page was left: a lost answer would double it otherwise. Another file is another.
 */
export function useFileAct(form: string): {
  idOf: (file: File) => string;
  /** It is on record: the same file again is another act. */
  done: (file: File) => void;
} {
  const person = useDevicePerson();
  const key: DraftKey | null = person === null ? null : { person, form, thing: 'acts' };
  const acts = useRef<Acts | null>(null);
  // A device that keeps nothing remembers as long as the page is open.
  const known = (): Acts => acts.current ?? (key && (readDraft(key) as Acts | null)) ?? {};
  const keep = (next: Acts): void => {
    acts.current = next;
    if (key !== null) keepDraft(key, next);
  };
  return {
    idOf: (file) => {
      const id = known()[signature(file)] ?? v7();
      keep({ ...known(), [signature(file)]: id });
      return id;
    },
    done: (file) => {
      const { [signature(file)]: _, ...rest } = known();
      keep(rest);
    },
  };
}
