'use client';
import { count } from '@/core/units';
import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Caution } from '@/ui/Caution';
import Link from '@/ui/Link';
import { MONO } from '@/ui/theme';
import { ProblemNote } from '@/ui/Problem';
import { useState, type ReactNode } from 'react';
import type { Tally } from '../room';

/** What remains when the kiln is empty: what is missing, shelves to grind, whom to tell. */
export function Finish({
  tally,
  writtenUp,
  waiting,
  unread,
  busy,
  problem,
  onFinish,
  onCones,
  onPick,
  shared = null,
}: {
  tally: Tally;
  writtenUp: boolean;
  waiting: number;
  /** Witness cones of the firing that nobody has read. */
  unread: number;
  busy: boolean;
  problem: string | null;
  /** Null where they may not say that it is written up. */
  onFinish: ((done: boolean) => void) | null;
  onCones: () => void;
  onPick: (code: string) => void;
  /** What unrelated stacks of the load share. */
  shared?: ReactNode;
}) {
  const [asked, setAsked] = useState(false);
  const ask = unread > 0 && !writtenUp && onFinish !== null;
  return (
    <Box sx={{ maxWidth: 640 }}>
      <Typography component="h1" sx={{ fontSize: '2.4rem', fontWeight: 800 }}>
        {tally.written} of {tally.all} written up
      </Typography>
      <Typography sx={{ mt: 1 }}>
        <b>Planned</b> {tally.all - tally.joined}, <b>found</b> {tally.written}
        {tally.joined > 0 ? ` (${tally.joined} on no list)` : ''}, <b>still to come</b> {tally.missing.length}
        {tally.broken.length > 0 && (
          <>
            , <b>broken</b> {tally.broken.length}:{' '}
            <span style={{ fontFamily: MONO }}>{tally.broken.join(', ')}</span>
          </>
        )}
      </Typography>
      {tally.missing.length > 0 && (
        <>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, my: 1 }}>
            {tally.missing.map((code) => (
              <Button
                key={code}
                size="small"
                variant="outlined"
                onClick={() => onPick(code)}
                sx={{ fontFamily: MONO }}
              >
                {code}
              </Button>
            ))}
          </Box>
        </>
      )}
      {tally.verdicts.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          <b>Decided:</b> {tally.verdicts.map(({ verdict, n }) => `${n} ${verdict}`).join(', ')}
        </Typography>
      )}
      {tally.grind.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          <b>Shelves to grind:</b> {tally.grind.join(', ')}
        </Typography>
      )}
      {tally.grind.length > 0 && (
        <Caution>
          Chip and grind shelves with eyes and lungs covered, wet or with extraction; lift them two to a
          shelf.
        </Caution>
      )}
      {tally.refire.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          <b>To be refired:</b> <span style={{ fontFamily: MONO }}>{tally.refire.join(', ')}</span>
        </Typography>
      )}
      {shared}
      {ask && asked && (
        <Typography role="note" sx={{ mt: 1, fontWeight: 650 }}>
          {count(unread, 'witness cone is', 'witness cones are')} not read: without them this firing has no
          cone.{' '}
          <Button size="small" variant="outlined" onClick={onCones}>
            Read the cones
          </Button>
        </Typography>
      )}
      <ProblemNote>{problem}</ProblemNote>
      {onFinish !== null && (
        <Button
          variant="contained"
          size="large"
          disabled={busy || waiting > 0}
          onClick={() => (ask && !asked ? setAsked(true) : onFinish(!writtenUp))}
          sx={{ mt: 2 }}
        >
          {writtenUp
            ? 'Go on writing up'
            : tally.missing.length > 0
              ? `Close it without the ${tally.missing.length} missing`
              : 'The opening is written up'}
        </Button>
      )}
      {onFinish === null && (
        <Button component={Link} href="/mine" variant="contained" size="large" sx={{ mt: 2 }}>
          My pieces
        </Button>
      )}
      {waiting > 0 && (
        <Typography variant="body2">
          First {count(waiting, 'entry goes', 'entries go')} to the studio’s server.
        </Typography>
      )}
    </Box>
  );
}
