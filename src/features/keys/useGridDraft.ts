'use client';
import { useEffect, useState } from 'react';
import { useDevicePerson } from '@/platform/device/person';
import { COAT_FIELDS } from './key-grid';

type Draft = Record<string, string[]>;
const EMPTY: readonly string[] = Array.from({ length: COAT_FIELDS }, () => '');

/**
 * What is typed into a grid, kept on this device until it is sent, by piece: rows may come and go meanwhile.
 */
export function useGridDraft(about: string, ids: readonly string[]) {
  const key = `jiten-key-grid-${useDevicePerson() ?? ''}-${about}`;
  const [draft, setDraft] = useState<Draft>({});
  useEffect(() => {
    try {
      const kept = JSON.parse(window.localStorage.getItem(key) ?? '{}') as Draft;
      // eslint-disable-next-line react-hooks/set-state-in-effect -- what this device remembers is not there while the server draws the page
      setDraft(kept);
    } catch {
      // What cannot be read was not kept.
    }
  }, [key]);
  const keep = (next: Draft): void => {
    setDraft(next);
    try {
      window.localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // Without room it lasts as long as the page.
    }
  };
  return {
    grid: ids.map((id) => [...(draft[id] ?? EMPTY)]),
    setGrid: (grid: readonly (readonly string[])[]): void =>
      keep(Object.fromEntries(ids.map((id, i) => [id, [...grid[i]!]]))),
    forget: (): void => keep({}),
  };
}
