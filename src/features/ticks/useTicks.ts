'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { call } from '@/platform/client';
import { studioNow } from '@/platform/device/clock';
import { useDevicePerson } from '@/platform/device/person';
import { useItemsAbout, useSender } from '@/platform/sender/host';
import type { ToKeep } from '@/platform/sender/sender';
import { keeping } from '@/platform/useSend';
import { aboutSheet, clear, tick } from './contracts';
import { ticksWith, type Known } from './fold';

const NO_LINES: Readonly<Record<string, boolean>> = {};
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
 * A sheet's ticks, one's own: what the server has, as it was last heard of, and what was ticked here and has
 * not gone out.
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
  // What is touched on this page shows at once; the device follows a moment later.
  const [touched, setTouched] = useState<{ key: string; lines: Readonly<Record<string, boolean>> }>({
    key,
    lines: {},
  });
  const here = touched.key === key ? touched.lines : NO_LINES;
  const ticked = useMemo(() => {
    const done = ticksWith(known, items ?? []);
    for (const [line, is] of Object.entries(here)) {
      if (is) done.add(line);
      else done.delete(line);
    }
    return done;
  }, [known, items, here]);
  // Touched before the device was looked through: it is kept as soon as it can be.
  const early = useRef<ToKeep[]>([]);
  const keep = (act: ToKeep): void => {
    if (sender === null) early.current.push(act);
    else void sender.add(act);
  };
  useEffect(() => {
    if (sender === null) return;
    for (const act of early.current.splice(0)) void sender.add(act);
  }, [sender]);
  const at = (): string => new Date(studioNow()).toISOString();
  return {
    ticked,
    toggle: (line) => {
      const done = !ticked.has(line);
      setTouched({ key, lines: { ...here, [line]: done } });
      keep(keeping(tick, { sheet, line, done, at: at() }));
    },
    clear: () => {
      setTouched({ key, lines: Object.fromEntries([...ticked].map((line) => [line, false])) });
      keep(keeping(clear, { sheet, at: at() }));
    },
  };
}
