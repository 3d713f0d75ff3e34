'use client';
import Button from '@mui/material/Button';
import { useSearchParams } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import { unitsOf, type Studio } from '@/data/studio';
import { call } from '@/platform/client';
import Link from '@/ui/Link';
import { Nothing, Page } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import type { BoardSent } from '../board-answer';
import { boardUrl, viewOf } from '../view';
import { Chart } from './Chart';
import { ChartWaiting } from './ChartWaiting';

async function readBoard(url: string): Promise<BoardSent> {
  const answer = await call<BoardSent>(url, {});
  if (!answer.ok) throw new Error(answer.problem.message);
  return answer.data;
}

/** The board that an address names, read again whenever somebody comes back to it. */
function useBoard(share: string | null, corner: BoardSent) {
  const query = useSearchParams();
  const { mutate } = useSWRConfig();
  const url = boardUrl(viewOf(query), share);
  // The corner that came with the page is of the board that the page was asked for, and of no other.
  const [first] = useState({ url, corner });
  return useSWR<BoardSent, Error>(url, readBoard, {
    keepPreviousData: true,
    ...(first.url === url && first.corner !== null ? { fallbackData: first.corner } : {}),
    onSuccess: (board) => {
      // What was left open is filled by now: the same board under its whole name need not be read again.
      if (board === null || share !== null) return;
      const { body, cone, atmosphere, slips: ground } = board.chosen;
      const refires = board.refires ? {} : { refires: 'no' };
      const whole = boardUrl({ body, cone, atmosphere, ground, ...refires }, null);
      void mutate(whole, board, { revalidate: false });
    },
  });
}

/** The chart with its head, or what to do while there is nothing on it. */
export function ChartRoom({
  title,
  lead,
  studio,
  share,
  corner,
  mayMake,
}: {
  title: string;
  lead?: ReactNode;
  studio: Studio;
  share: string | null;
  /** What of the board came with the page. */
  corner: BoardSent;
  mayMake: boolean;
}) {
  const { data: board, error, isLoading, mutate } = useBoard(share, corner);
  return (
    <Page
      title={title}
      lead={lead}
      wide
      acts={share === null && <Acts board={board ?? null} mayMake={mayMake} />}
    >
      {error !== undefined && (
        <ProblemNote
          act={
            <Button variant="outlined" onClick={() => void mutate()}>
              Try again
            </Button>
          }
        >
          {board === undefined
            ? error.message
            : `${error.message} What is shown may be older than what is known.`}
        </ProblemNote>
      )}
      {board === undefined && error === undefined && <ChartWaiting />}
      {board === null && (
        <Nothing
          act={
            mayMake ? (
              <Button component={Link} href="/store" variant="contained">
                To the store
              </Button>
            ) : undefined
          }
        >
          The chart fills as openings are written up. It begins with a body and its coatings in the store.
        </Nothing>
      )}
      {board && (
        <Chart
          {...board}
          pending={isLoading && !board.corner}
          units={unitsOf(studio)}
          timeZone={studio.timeZone}
          share={share}
          mayMake={mayMake}
        />
      )}
    </Page>
  );
}

function Acts({ board, mayMake }: { board: BoardSent; mayMake: boolean }) {
  const { body, cone, atmosphere } = board?.chosen ?? {};
  // The board that is shown, for a page that begins with it.
  const query = new URLSearchParams(body === undefined ? {} : { body, cone: cone!, atmosphere: atmosphere! });
  return (
    <>
      <Button component={Link} href="/chart/what" variant="outlined">
        What glaze is that?
      </Button>
      {mayMake && (
        <>
          <Button component={Link} href={`/tests/fired?${query.toString()}`} variant="outlined">
            I hold a fired tile
          </Button>
          <Button component={Link} href="/studio#share" variant="outlined">
            Share
          </Button>
        </>
      )}
    </>
  );
}
