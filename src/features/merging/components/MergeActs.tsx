'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import type { z } from 'zod';
import type { Call, Contract } from '@/platform/contract';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import type { Taken } from '@/platform/contract';
import * as contracts from '../contracts';

/** One act on two that are one; where it leads to another page, that is shown after it. */
function MergerAct({
  call: { contract, input },
  words,
  to,
}: {
  call: Call;
  words: { act: string; done: string };
  to?: string;
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const say = useSay();
  const go = async (): Promise<void> => {
    const answer = await act(contract as Contract<z.ZodType, unknown>, input);
    if (!answer.ok) return;
    say(words.done, answer.undo);
    if (to !== undefined) router.replace(to);
    router.refresh();
  };
  return (
    <>
      <ProblemNote>{problem}</ProblemNote>
      <Button variant={to === undefined ? 'text' : 'contained'} disabled={busy} onClick={() => void go()}>
        {words.act}
      </Button>
    </>
  );
}

export const MergeAct = ({
  wanted,
  words,
}: {
  wanted: Taken<typeof contracts.merge>;
  words: { act: string; done: string };
}) => (
  <MergerAct
    call={{ contract: contracts.merge as Contract, input: wanted }}
    words={words}
    to={`/studio/merge?kind=${wanted.kind}`}
  />
);

export const TakeApart = ({ mergerId, name }: { mergerId: string; name: string }) => (
  <MergerAct
    call={{ contract: contracts.takeApart, input: { mergerId } }}
    words={{ act: 'Take apart again', done: `${name} stands by itself again` }}
  />
);

export const BringAlong = ({ mergerId, name }: { mergerId: string; name: string }) => (
  <MergerAct
    call={{ contract: contracts.bringAlong, input: { mergerId } }}
    words={{ act: 'Bring them along', done: `They stand under ${name} now` }}
  />
);
