'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ShareLink } from '@/data/people';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { day } from '@/ui/time';
import { LinkNote } from './LinkNote';

const TERMS = [
  { days: 7, label: 'a week' },
  { days: 90, label: 'three months' },
  { days: 365, label: 'a year' },
  { days: null, label: 'until it is revoked' },
];

/** Links that show the chart to somebody without an account. `view` is what a new one opens with. */
export function ShareLinks({
  links,
  now,
  timeZone,
  view = '',
}: {
  links: readonly ShareLink[];
  now: Date;
  timeZone: string;
  view?: string;
}) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const [label, setLabel] = useState('');
  const [term, setTerm] = useState(1);
  const [shown, setShown] = useState<string | null>(null);
  const address = (token: string): string => `${window.location.origin}/s/${token}`;
  const make = async (): Promise<void> => {
    const answer = await act<{ token: string }>('people.share', {
      label,
      view,
      days: TERMS[term]!.days,
    });
    if (!answer.ok) return;
    setShown(address(answer.data.token));
    setLabel('');
    router.refresh();
  };
  const revoke = async (shareId: string): Promise<void> => {
    await act('people.revoke-share', { shareId });
    router.refresh();
  };
  const state = (link: ShareLink): string =>
    link.revokedAt
      ? 'revoked'
      : link.expiresAt && link.expiresAt <= now
        ? 'run out'
        : link.expiresAt
          ? `open until ${day(link.expiresAt, timeZone)}`
          : 'open until revoked';
  return (
    <>
      <Stack
        direction={{ xs: 'column', sm: 'row' }}
        spacing={1}
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void make();
        }}
        sx={{ maxWidth: 760, mb: 2 }}
      >
        <TextField
          label="Share the chart with"
          placeholder="Tuesday class"
          value={label}
          onChange={(event) => setLabel(event.target.value)}
        />
        <TextField
          select
          label="for"
          value={term}
          onChange={(event) => setTerm(Number(event.target.value))}
          sx={{ maxWidth: { sm: 220 } }}
        >
          {TERMS.map((one, i) => (
            <MenuItem key={one.label} value={i}>
              {one.label}
            </MenuItem>
          ))}
        </TextField>
        <Button
          type="submit"
          variant="contained"
          disabled={busy || label.trim() === ''}
          sx={{ flex: 'none' }}
        >
          Make share link
        </Button>
      </Stack>
      {shown && (
        <LinkNote link={shown}>
          Whoever has this link sees the chart, and nothing else, without signing in.
        </LinkNote>
      )}
      <ProblemNote>{problem}</ProblemNote>
      {links.length > 0 && (
        <TableContainer>
          <Table size="small" aria-label="Share links">
            <TableHead>
              <TableRow>
                <TableCell>For</TableCell>
                <TableCell>Made</TableCell>
                <TableCell>State</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {links.map((link) => (
                <TableRow key={link.id}>
                  <TableCell>{link.label}</TableCell>
                  <TableCell>{day(link.createdAt, timeZone)}</TableCell>
                  <TableCell>{state(link)}</TableCell>
                  <TableCell align="right">
                    {!link.revokedAt && (!link.expiresAt || link.expiresAt > now) && (
                      <>
                        <Button size="small" onClick={() => setShown(address(link.token))}>
                          Show
                        </Button>
                        <Button size="small" disabled={busy} onClick={() => void revoke(link.id)}>
                          Revoke
                        </Button>
                      </>
                    )}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      )}
    </>
  );
}
