'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Invitation, Person } from '@/data/people';
import { useContractForm } from '@/platform/useContractForm';
import type { Acted } from '@/platform/useSend';
import { FormShell, GROWS } from '@/ui/FormShell';
import { SelectInput } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { useSay } from '@/ui/Undo';
import { SOMEBODY } from '@/core/studio';
import { Leaving } from './Leaving';
import { LinkNote } from './LinkNote';
import * as contracts from '../contracts';
import { ROLES, type Role } from '@/core/studio';

export function PeopleList({
  people,
  invitations,
  own,
  backups,
}: {
  people: readonly Person[];
  invitations: readonly Invitation[];
  own: string;
  /** When the backups were made that are kept, in words. */
  backups: readonly string[];
}) {
  const router = useRouter();
  const say = useSay();
  const [link, setLink] = useState<{ to: string; note: string } | null>(null);
  const [leaving, setLeaving] = useState<Person | null>(null);
  const form = useContractForm(contracts.invite, {
    start: { name: '', role: 'student' },
    draft: 'new',
    done: ({ data }) => {
      setLink({
        to: `${window.location.origin}/invite/${data.token}`,
        note: 'Give this link to them; it opens once, within 14 days, and is shown only now.',
      });
      form.reset();
      router.refresh();
    },
  });
  const { act, busy } = form;
  const after = async (sent: Promise<Acted<null>>, done: string): Promise<void> => {
    const answer = await sent;
    if (answer.ok) say(done, answer.undo);
    router.refresh();
  };
  const forgotten = async ({ id, name }: Person): Promise<void> => {
    const answer = await act(contracts.resetLink, { personId: id });
    if (!answer.ok) return;
    setLink({
      to: `${window.location.origin}/reset/${answer.data.token}`,
      note: `With this link ${name} sets a new password; it opens once, within a day, and is shown only now. Give it to nobody else.`,
    });
  };
  return (
    <>
      <FormShell form={form} act="Make invitation" row>
        <TextInput control={form.control} name="name" label="Invite somebody" placeholder="Name" sx={GROWS} />
        <SelectInput
          control={form.control}
          name="role"
          label="as"
          choices={ROLES.map((value) => ({ value, label: value }))}
          sx={{ width: { sm: 180 } }}
        />
      </FormShell>
      {leaving && <Leaving person={leaving} backups={backups} onClose={() => setLeaving(null)} />}
      {link && <LinkNote link={link.to}>{link.note}</LinkNote>}
      <TableContainer>
        <Table size="small" aria-label="People">
          <TableHead>
            <TableRow>
              <TableCell>Name</TableCell>
              <TableCell>Signs in as</TableCell>
              <TableCell>Role</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {people.map((person) => (
              <TableRow key={person.id}>
                <TableCell>
                  {person.name}
                  {person.disabled ? ' (may not sign in)' : ''}
                </TableCell>
                <TableCell>{person.name === SOMEBODY ? '' : person.login}</TableCell>
                <TableCell>
                  <TextField
                    select
                    variant="standard"
                    value={person.role}
                    disabled={busy}
                    slotProps={{ htmlInput: { 'aria-label': `Role of ${person.name}` } }}
                    onChange={(event) =>
                      void after(
                        act(contracts.setRole, {
                          personId: person.id,
                          role: event.target.value as Role,
                        }),
                        `${person.name} is a ${event.target.value} now`,
                      )
                    }
                  >
                    {ROLES.map((one) => (
                      <MenuItem key={one} value={one}>
                        {one}
                      </MenuItem>
                    ))}
                  </TextField>
                </TableCell>
                <TableCell align="right">
                  {person.disabled && (
                    <>
                      <Button
                        size="small"
                        href={`/api/people/${person.id}`}
                        download
                        aria-label={`On record: ${person.name}`}
                      >
                        On record
                      </Button>
                      {person.name !== SOMEBODY && (
                        <Button
                          size="small"
                          disabled={busy}
                          aria-label={`Take out name … of ${person.name}`}
                          onClick={() => setLeaving(person)}
                        >
                          Take out name …
                        </Button>
                      )}
                    </>
                  )}
                  {person.id !== own && !person.disabled && (
                    <Button
                      size="small"
                      disabled={busy}
                      aria-label={`New password for ${person.name}`}
                      onClick={() => void forgotten(person)}
                    >
                      New password
                    </Button>
                  )}
                  {person.id !== own && person.name !== SOMEBODY && (
                    <Button
                      size="small"
                      disabled={busy}
                      onClick={() =>
                        void after(
                          act(contracts.disable, {
                            personId: person.id,
                            disabled: !person.disabled,
                          }),
                          person.disabled
                            ? `${person.name} may sign in again`
                            : `${person.name} may not sign in any more`,
                        )
                      }
                    >
                      {person.disabled ? 'Let in again' : 'Stop signing in'}
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            ))}
            {invitations.map((invitation) => (
              <TableRow key={invitation.id}>
                <TableCell>{invitation.name}</TableCell>
                <TableCell>invited, not here yet</TableCell>
                <TableCell>{invitation.role}</TableCell>
                <TableCell align="right">
                  <Button
                    size="small"
                    disabled={busy}
                    onClick={() =>
                      void after(
                        act(contracts.withdraw, { invitationId: invitation.id }),
                        'Invitation withdrawn',
                      )
                    }
                  >
                    Withdraw
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
    </>
  );
}
