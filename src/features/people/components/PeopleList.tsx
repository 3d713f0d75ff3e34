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
import type { Invitation, Person, Role } from '@/data/people';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { LinkNote } from './LinkNote';

const ROLES: readonly Role[] = ['technician', 'teacher', 'student'];

export function PeopleList({
  people,
  invitations,
  own,
}: {
  people: readonly Person[];
  invitations: readonly Invitation[];
  own: string;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('student');
  const [link, setLink] = useState<string | null>(null);
  const run = async (operation: string, input: unknown, done: string): Promise<void> => {
    if ((await act(operation, input)).ok) say(done);
    router.refresh();
  };
  const invite = async (): Promise<void> => {
    const answer = await act<{ token: string }>('people.invite', { name, role });
    if (!answer.ok) return;
    setLink(`${window.location.origin}/invite/${answer.data.token}`);
    setName('');
    router.refresh();
  };
  return (
    <>
      <Stack
        direction={{ xs: 'column', sm: 'row' }}
        spacing={1}
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void invite();
        }}
        sx={{ maxWidth: 720, mb: 2 }}
      >
        <TextField
          label="Invite somebody"
          value={name}
          onChange={(event) => setName(event.target.value)}
          placeholder="Name"
        />
        <TextField
          select
          label="as"
          value={role}
          onChange={(event) => setRole(event.target.value as Role)}
          sx={{ maxWidth: { sm: 180 } }}
        >
          {ROLES.map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </TextField>
        <Button
          type="submit"
          variant="contained"
          disabled={busy || name.trim() === ''}
          sx={{ flex: 'none' }}
        >
          Make invitation
        </Button>
      </Stack>
      {link && (
        <LinkNote link={link}>
          Give this link to them; it opens once, within 14 days, and is shown only now.
        </LinkNote>
      )}
      <ProblemNote>{problem}</ProblemNote>
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
                <TableCell>{person.login}</TableCell>
                <TableCell>
                  <TextField
                    select
                    variant="standard"
                    value={person.role}
                    disabled={busy}
                    slotProps={{ htmlInput: { 'aria-label': `Role of ${person.name}` } }}
                    onChange={(event) =>
                      void run(
                        'people.set-role',
                        { personId: person.id, role: event.target.value },
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
                  {person.id !== own && (
                    <Button
                      size="small"
                      disabled={busy}
                      onClick={() =>
                        void run(
                          'people.disable',
                          { personId: person.id, disabled: !person.disabled },
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
                      void run(
                        'people.withdraw-invitation',
                        { invitationId: invitation.id },
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
