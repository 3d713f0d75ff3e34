'use client';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { count } from '@/core/units';
import { useItemsAbout } from '@/platform/sender/host';
import { useSay } from '@/ui/Undo';
import { speak } from '../contracts';
import { lengthWords } from '../words';
import { useSpeak, type Of } from '../useSpeak';
import { HoldToTalk } from './HoldToTalk';

/** Speaks of a piece or a firing on its page; what has gone out appears there. */
export function SpeakHere({ of }: { of: Of }) {
  const router = useRouter();
  const say = useSay();
  const keep = useSpeak();
  const waiting = (useItemsAbout(of.about) ?? []).filter(
    ({ name, state }) => name === speak.name && (state === 'waiting' || state === 'sending'),
  ).length;
  const before = useRef(waiting);
  useEffect(() => {
    if (waiting < before.current) router.refresh();
    before.current = waiting;
  }, [waiting, router]);
  return (
    <>
      <HoldToTalk
        of={of.label}
        onRecorded={(recorded) =>
          void keep(of, recorded).then((back) =>
            say(`Spoken: ${lengthWords(recorded.lengthS)}`, () => (back(), router.refresh())),
          )
        }
      />
      {waiting > 0 && (
        <Typography variant="body2">
          {count(waiting, 'spoken note')} on this device, until there is a network
        </Typography>
      )}
    </>
  );
}
