'use client';
import { useEffect, useMemo, useState } from 'react';
import { call } from '@/platform/client';
import { studioNow } from '@/platform/device/clock';
import { useDevicePerson } from '@/platform/device/person';
import { useItemsAbout, useSender } from '@/platform/sender/host';
import { keeping } from '@/platform/useSend';
import { aboutSheet, clear, tick } from './contracts';
import { ticksWith, type Known } from './fold';

const NOTHING: Known = { lines: [], at: 0 };

function remembered(key: string): Known | null {
  try {
    return JSON.parse(window.localStorage.getItem(key) ?? 'null') as Known | null;
  } catch {
    return null;
  }
}
function remember(key: string, known: Known): void {
  try {
    window.localStorage.setItem(key, JSON.stringify(known));
  } catch {
    // Without room the server is asked again.
  }
}

/**
 * A sheet's ticks, one's own: what the server has, as it was last heard of, and what was ticked here and has not gone out.
 */
export function useTicks(sheet: string): {
  ticked: ReadonlySet<string>;
  toggle: (line: string) => void;
  clear: () => void;
} {
  const person = useDevicePerson();
  const { sender } = useSender();
  const items = useItemsAbout(aboutSheet({ sheet }));
  const key = `jiten-ticks-${person ?? ''}-${sheet}`;
  const [heard, setHeard] = useState<{ key: string; known: Known } | null>(null);
  useEffect(() => {
    let gone = false;
    const kept = remembered(key);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what this device remembers is not there while the server draws the page
    if (kept !== null) setHeard({ key, known: kept });
    const asked = studioNow();
    void call<string[]>(`/api/ticks?sheet=${encodeURIComponent(sheet)}`, {}).then((answer) => {
      if (gone || !answer.ok) return;
      const known = { lines: answer.data, at: asked };
      remember(key, known);
      setHeard({ key, known });
    });
    return () => {
      gone = true;
    };
  }, [key, sheet]);
  const known = heard?.key === key ? heard.known : NOTHING;
  const ticked = useMemo(() => ticksWith(known, items ?? []), [known, items]);
  const at = (): string => new Date(studioNow()).toISOString();
  return {
    ticked,
    toggle: (line) =>
      void sender?.add(keeping(tick, { sheet, line, done: !ticked.has(line), at: at() })),
    clear: () => void sender?.add(keeping(clear, { sheet, at: at() })),
  };
}
