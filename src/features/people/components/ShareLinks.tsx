'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ShareLink } from '@/data/people';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell, GROWS } from '@/ui/FormShell';
import { SelectInput } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { day } from '@/ui/time';
import { LinkNote } from './LinkNote';
import * as contracts from '../contracts';

const TERMS = [
  { value: 7, label: 'a week' },
  { value: 90, label: 'three months' },
  { value: 365, label: 'a year' },
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
  const [shown, setShown] = useState<string | null>(null);
  const address = (token: string): string => `${window.location.origin}/s/${token}`;
  const form = useContractForm(contracts.share, {
    start: { label: '', view, days: 90 },
    draft: view,
    done: ({ data }) => {
      setShown(address(data.token));
      form.reset();
      router.refresh();
    },
  });
  const revoke = async (shareId: string): Promise<void> => {
    await form.act(contracts.revokeShare, { shareId });
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
      <FormShell form={form} act="Make share link" row>
        <TextInput
          control={form.control}
          name="label"
          label="Share the chart with"
          placeholder="Tuesday class"
          sx={GROWS}
        />
        <SelectInput
          control={form.control}
          name="days"
          label="for"
          choices={TERMS}
          none="until it is revoked"
          sx={{ width: { sm: 220 } }}
        />
      </FormShell>
      {shown && (
        <LinkNote link={shown}>
          Whoever has this link sees the chart, and nothing else, without signing in.
        </LinkNote>
      )}
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
                        <Button size="small" disabled={form.busy} onClick={() => void revoke(link.id)}>
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
