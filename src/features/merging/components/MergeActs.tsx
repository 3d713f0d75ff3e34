'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { useSend } from '@/platform/useSend';
import type { Taken } from '@/platform/contract';
import * as contracts from '../contracts';

export function MergeAct({
  wanted,
  words,
}: {
  wanted: Taken<typeof contracts.merge>;
  words: { act: string; done: string };
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const say = useSay();
  const merge = async (): Promise<void> => {
    const answer = await act(contracts.merge, wanted);
    if (!answer.ok) return;
    say(words.done, answer.undo);
    router.replace(`/studio/merge?kind=${wanted.kind}`);
    router.refresh();
  };
  return (
    <>
      <ProblemNote>{problem}</ProblemNote>
      <Button variant="contained" disabled={busy} onClick={() => void merge()}>
        {words.act}
      </Button>
    </>
  );
}

/** One act on something that was merged. */
function MergerAct({
  mergerId,
  contract,
  words,
}: {
  mergerId: string;
  contract: typeof contracts.takeApart;
  words: { act: string; done: string };
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const say = useSay();
  const go = async (): Promise<void> => {
    const answer = await act(contract, { mergerId });
    if (!answer.ok) return;
    say(words.done);
    router.refresh();
  };
  return (
    <>
      <ProblemNote>{problem}</ProblemNote>
      <Button disabled={busy} onClick={() => void go()}>
        {words.act}
      </Button>
    </>
  );
}

export const TakeApart = ({ mergerId, name }: { mergerId: string; name: string }) => (
  <MergerAct
    mergerId={mergerId}
    contract={contracts.takeApart}
    words={{ act: 'Take apart again', done: `${name} stands by itself again` }}
  />
);

export const BringAlong = ({ mergerId, name }: { mergerId: string; name: string }) => (
  <MergerAct
    mergerId={mergerId}
    contract={contracts.bringAlong}
    words={{ act: 'Bring them along', done: `They stand under ${name} now` }}
  />
);
