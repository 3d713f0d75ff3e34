'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { count } from '@/core/units';
import { clockAhead } from '@/platform/device/clock';
import { useSender } from '@/platform/sender/host';
import type { Item } from '@/platform/sender/store';
import { Line, Lines } from '@/ui/Lines';
import { Nothing, Section } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import { canKeep, keptHere, type KeptHere } from '../offline';
import { packUnsent, takeInUnsent } from '../parcel';

/** A clock that is less than this off misleads nobody, ms. */
const OFF_MS = 60_000;

const time = (at: number): string =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** What was written here and is not yet on the server: sent, settled, or carried elsewhere. */
export function OnThisDevice() {
  const { sender, open, sending, trouble } = useSender();
  const say = useSay();
  const input = useRef<HTMLInputElement>(null);
  const [why, setWhy] = useState<string | null>(null);
  if (open === null || sender === null)
    return <Typography role="status">Looking through this device …</Typography>;
  const refused = open.filter(({ state }) => state === 'refused');
  const waiting = open.filter(({ state }) => state !== 'refused');
  const save = async (): Promise<void> => {
    const bytes = await packUnsent(sender, open);
    const url = URL.createObjectURL(new Blob([bytes.slice()], { type: 'application/zip' }));
    const link = document.createElement('a');
    Object.assign(link, { href: url, download: 'unsent-work.zip' }).click();
    setTimeout(() => URL.revokeObjectURL(url), 60_000);
  };
  const takeIn = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    const taken = await takeInUnsent(sender, new Uint8Array(await file.arrayBuffer()));
    setWhy(taken.ok ? null : taken.why);
    if (taken.ok)
      say(
        `${count(taken.taken, 'entry', 'entries')} taken in${taken.known > 0 ? `, ${taken.known} known already` : ''}`,
      );
  };
  return (
    <>
      {refused.length > 0 && (
        <Section title="Not taken">
          <Lines>
            {refused.map((item) => (
              <Refused key={item.id} item={item} />
            ))}
          </Lines>
        </Section>
      )}
      <Section
        title="Waiting to be sent"
        acts={
          waiting.length > 0 && (
            <Button variant="contained" disabled={sending} onClick={() => void sender.flush()}>
              {sending ? 'Sending …' : 'Send now'}
            </Button>
          )
        }
      >
        {trouble !== null && waiting.length > 0 && <Typography role="alert">{trouble}</Typography>}
        {waiting.length === 0 ? (
          <Nothing>All that was written here is on the studio’s server.</Nothing>
        ) : (
          <Lines>
            {waiting.map(({ id, label, at }) => (
              <Line
                key={id}
                figure={time(at)}
                act={
                  <Button size="small" onClick={() => void sender.takeBack(id)}>
                    Take back
                  </Button>
                }
              >
                {label}{' '}
                <Typography component="span" variant="body2">
                  {time(at)}
                </Typography>
              </Line>
            ))}
          </Lines>
        )}
      </Section>
      <Section title="Carried by hand">
        <Typography sx={{ mb: 1 }}>
          If the studio has another address now, save here what waits, open the new address on this phone,
          sign in as the same person, and take it in there.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button variant="outlined" disabled={open.length === 0} onClick={() => void save()}>
            Save what waits as a file
          </Button>
          <Button variant="outlined" onClick={() => input.current?.click()}>
            Take such a file in
          </Button>
          <input
            ref={input}
            type="file"
            accept=".zip,application/zip"
            hidden
            aria-label="File of unsent work"
            onChange={(event) => {
              void takeIn(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </Box>
        {why !== null && <Typography role="alert">{why}</Typography>}
      </Section>
      <KeptNote />
      <ClockNote />
    </>
  );
}

/** What the studio said no to: sent as it is all the same, tried again, or left out. */
function Refused({ item }: { item: Item }) {
  const { sender } = useSender();
  const settle = (instead: unknown): void => void sender?.settle(item.id, { id: v7(), input: instead });
  return (
    <Line
      figure={time(item.at)}
      act={
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button size="small" variant="outlined" onClick={() => settle(item.anyway?.input ?? item.input)}>
            {item.anyway === null ? 'Try again' : 'Send it all the same'}
          </Button>
          <Button size="small" onClick={() => void sender?.settle(item.id, null)}>
            Leave it out
          </Button>
        </Box>
      }
    >
      <b>{item.label}</b>: {item.problem?.message}
    </Line>
  );
}

function ClockNote() {
  const ahead = clockAhead();
  if (ahead === null || Math.abs(ahead) < OFF_MS) return null;
  const minutes = Math.round(Math.abs(ahead) / 60_000);
  return (
    <Typography role="note">
      The clock of this device is {count(minutes, 'minute')} {ahead > 0 ? 'ahead of' : 'behind'} the studio’s.
      What is written here bears the studio’s time.
    </Typography>
  );
}

/** What of the studio is on this device, so that it can be used where there is no network. */
function KeptNote() {
  const [kept, setKept] = useState<KeptHere | null>(null);
  useEffect(() => {
    const look = (): void => setKept(keptHere());
    look();
    window.addEventListener('jiten-kept', look);
    return () => window.removeEventListener('jiten-kept', look);
  }, []);
  return (
    <Section title="Without a network">
      {!canKeep() ? (
        <Typography>
          This browser keeps no pages of an address without TLS. What you write is kept all the same, as long
          as the page stays open.
        </Typography>
      ) : kept === null ? (
        <Typography role="status">What is at hand is being brought here …</Typography>
      ) : (
        <Typography role="status">
          {kept.pages} of {kept.of} pages and pictures are on this device, since {time(kept.at)}: the Bench,
          and every firing that is loaded, burns, cools or is being opened.
        </Typography>
      )}
    </Section>
  );
}
