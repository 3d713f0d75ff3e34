'use client';
import Box from '@mui/material/Box';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { count } from '@/core/units';
import { useSender } from '@/platform/sender/host';
import type { Item } from '@/platform/sender/store';
import Link from '@/ui/Link';

/** Waiting for so long, there is no network or a slow one. */
const LATE_MS = 2500;

/** A page was drawn without what an earlier one left to be sent: once that is on the server it is drawn anew. */
function useDrawnAnew(open: readonly Item[] | null): void {
  const router = useRouter();
  const left = useRef<ReadonlySet<string> | null>(null);
  useEffect(() => {
    if (open === null) return;
    const waiting = open.filter(({ state }) => state !== 'refused').map(({ id }) => id);
    left.current ??= new Set(waiting);
    if (left.current.size === 0 || waiting.some((id) => left.current!.has(id))) return;
    left.current = new Set();
    router.refresh();
  }, [open, router]);
}

/** Says on every page what is still on this device alone, and what the studio did not take. */
export function WaitingStrip() {
  const { open, trouble } = useSender();
  useDrawnAnew(open);
  const [now, setNow] = useState(() => Date.now());
  const newest = Math.max(0, ...(open ?? []).map(({ at }) => at));
  useEffect(() => {
    const timer = setTimeout(() => setNow(Date.now()), LATE_MS);
    return () => clearTimeout(timer);
  }, [newest]);
  if (open === null || open.length === 0) return null;
  // What goes out at once is not worth a line that moves the page under a thumb.
  if (trouble === null && open.every(({ at, state }) => state !== 'refused' && at > now - LATE_MS))
    return null;
  const refused = open.filter(({ state }) => state === 'refused').length;
  const waiting = open.length - refused;
  return (
    <Strip>
      {waiting > 0 &&
        `${count(waiting, 'entry', 'entries')} on this device, not yet on the studio’s server. `}
      {refused > 0 && `${count(refused, 'entry was', 'entries were')} not taken. `}
      <Link href="/device">{refused > 0 ? 'Settle it' : 'See'}</Link>
    </Strip>
  );
}

/** A line across the page that says what this device is about. */
export const Strip = ({ children }: { children: ReactNode }) => (
  <Box
    role="status"
    className="no-print"
    sx={{
      px: 2,
      py: 0.75,
      borderBottom: '2px solid',
      borderColor: 'text.primary',
      bgcolor: 'background.paper',
      fontWeight: 600,
      fontSize: '0.9rem',
    }}
  >
    {children}
  </Box>
);
