'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItem from '@mui/material/ListItem';
import ListItemText from '@mui/material/ListItemText';
import { useRouter } from 'next/navigation';
import type { OpenSession } from '@/data/sessions';
import { useSend, type Acted } from '@/platform/useSend';
import { useSay } from '@/ui/Undo';
import { moment } from '@/ui/time';
import * as contracts from '../contracts';

/** Where a person is signed in, to be ended one by one or all at once. */
export function Devices({
  sessions,
  timeZone,
}: {
  sessions: readonly OpenSession[];
  timeZone: string;
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const say = useSay();
  const after = async (sent: Promise<Acted<null>>, done: string): Promise<void> => {
    if ((await sent).ok) say(done);
    router.refresh();
  };
  const others = sessions.filter(({ here }) => !here);
  return (
    <>
      {problem && <Alert severity="error">{problem}</Alert>}
      <List dense disablePadding aria-label="Signed in on">
        {sessions.map(({ id, device, seen, since, here }) => (
          <ListItem
            key={id}
            disableGutters
            secondaryAction={
              !here && (
                <Button
                  size="small"
                  disabled={busy}
                  aria-label={`Sign out ${device || 'unknown device'}`}
                  onClick={() =>
                    void after(act(contracts.endSession, { sessionId: id }), 'Signed out there')
                  }
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
