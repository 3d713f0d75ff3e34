'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import ListItemText from '@mui/material/ListItemText';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { OpenSession } from '@/data/sessions';
import { useSend, type Acted } from '@/platform/useSend';
import { useSay } from '@/ui/Undo';
import { moment } from '@/ui/time';
import * as contracts from '../contracts';

const SHOWN = 4;

/** Where a person is signed in, to be ended one by one or all at once. */
export function Devices({ sessions, timeZone }: { sessions: readonly OpenSession[]; timeZone: string }) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const say = useSay();
  const after = async (sent: Promise<Acted<null>>, done: string): Promise<void> => {
    if ((await sent).ok) say(done);
    router.refresh();
  };
  const others = sessions.filter(({ here }) => !here);
  const [all, setAll] = useState(false);
  const shown = all ? sessions : sessions.slice(0, SHOWN);
  return (
    <>
      {problem && <Alert severity="error">{problem}</Alert>}
      <Typography sx={{ fontWeight: 650, mt: 2 }}>Signed in on</Typography>
      <List dense disablePadding aria-label="Signed in on">
        {shown.map(({ id, device, seen, since, here }) => (
          <ListItem
            key={id}
            disableGutters
            secondaryAction={
              !here && (
                <Button
                  size="small"
                  disabled={busy}
                  aria-label={`Sign out there: ${device || 'unknown device'}`}
                  onClick={() => void after(act(contracts.endSession, { sessionId: id }), 'Signed out there')}
                >
                  Sign out there
                </Button>
              )
            }
          >
            <ListItemText
              primary={`${device || 'A device that does not say what it is'}${here ? ' (this one)' : ''}`}
              secondary={`since ${moment(since, timeZone)}${here ? '' : `, last used ${moment(seen, timeZone)}`}`}
            />
          </ListItem>
        ))}
      </List>
      {shown.length < sessions.length && (
        <Button size="small" onClick={() => setAll(true)}>
          {sessions.length - shown.length} more
        </Button>
      )}
      {others.length > 1 && (
        <Button
          size="small"
          variant="outlined"
          disabled={busy}
          onClick={() => void after(act(contracts.endOthers, {}), 'Signed out everywhere but here')}
        >
          Sign out everywhere else
        </Button>
      )}
    </>
  );
}
