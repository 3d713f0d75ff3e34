'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import type { HouseAct, HouseState, ListedBackup } from '@/keeper/state';
import { call } from '@/platform/client';
import { Nothing, Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { moment } from '@/ui/time';
import { KIND_WORDS, spokenBytes, worries } from '../words';
import { Form } from '@/ui/Form';

const OFTEN_MS = 1500;
const SELDOM_MS = 20_000;

/** Backups: what there is, what should be looked after, and making, trying and bringing back. */
export function BackupRoom({
  first,
  studio,
  timeZone,
}: {
  first: HouseState;
  studio: string;
  timeZone: string;
}) {
  const router = useRouter();
  const [state, setState] = useState(first);
  const [away, setAway] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [restoring, setRestoring] = useState<ListedBackup | null>(null);

  const look = useCallback(async (): Promise<void> => {
    const answer = await call<HouseState>('/api/house/act', { cache: 'no-store' });
    // While a backup is brought back the application itself is started again.
    setAway(!answer.ok);
    if (answer.ok) setState(answer.data);
    // A studio as it was before may not know this session.
    else if (answer.problem.code === 'not-signed-in') router.replace('/sign-in');
  }, [router]);
  const busy = state.busy !== null || away;
  useEffect(() => {
    const timer = setInterval(() => void look(), busy ? OFTEN_MS : SELDOM_MS);
    return () => clearInterval(timer);
  }, [look, busy]);

  const ask = async (act: HouseAct): Promise<boolean> => {
    setProblem(null);
    const answer = await call('/api/house/act', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(act),
    });
    if (!answer.ok) setProblem(answer.problem.message);
    await look();
    return answer.ok;
  };
  const bring = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    setProblem(null);
    const answer = await call('/api/house/file', {
      method: 'POST',
      headers: { 'content-type': 'application/x-tar' },
      body: file,
    });
    if (!answer.ok) setProblem(answer.problem.message);
    await look();
  };
  const now = new Date(state.at);
  return (
    <>
      <Box role="status" sx={{ minHeight: 56 }}>
        {busy ? (
          <>
            <Typography>
              {state.busy === null
                ? 'The studio’s server is being started again …'
                : `${state.busy.what}: ${state.busy.said} …`}
            </Typography>
            <LinearProgress sx={{ my: 1 }} />
          </>
        ) : (
          state.last !== null && (
            <Typography sx={{ fontWeight: state.last.ok ? 400 : 650 }}>
              {moment(state.last.at, timeZone)}, {state.last.what}: {state.last.said}
            </Typography>
          )
        )}
      </Box>
      <ProblemNote>{problem}</ProblemNote>
      {worries(state, now).map(({ key, what, todo }) => (
        <Box key={key} sx={{ borderLeft: '6px solid', borderColor: 'error.main', pl: 1.5, my: 1.5 }}>
          <Typography sx={{ fontWeight: 650 }}>{what}</Typography>
          <Typography variant="body2">{todo}</Typography>
        </Box>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 2 }}>
        <Button variant="contained" disabled={busy} onClick={() => void ask({ act: 'backup' })}>
          Make a backup now
        </Button>
        <Button component="label" variant="outlined" disabled={busy}>
          Take in a backup from a file
          <input
            type="file"
            accept=".tar,application/x-tar"
            hidden
            onChange={(event) => {
              void bring(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </Button>
      </Box>
      {state.backups.length === 0 ? (
        <Nothing>
          None yet. One is made every night after three, and one before the program is brought up to date.
        </Nothing>
      ) : (
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {state.backups.map((one) => (
            <Item
              key={one.name}
              backup={one}
              timeZone={timeZone}
              busy={busy}
              onTry={() => void ask({ act: 'verify', name: one.name })}
              onRestore={() => setRestoring(one)}
            />
          ))}
        </Box>
      )}
      <Section title="On another disk">
        <Elsewhere
          key={state.elsewhere?.path ?? ''}
          path={state.elsewhere?.path ?? ''}
          busy={busy}
          onSave={(path) => void ask({ act: 'elsewhere', path })}
        />
      </Section>
      {restoring !== null && (
        <Restore
          backup={restoring}
          studio={studio}
          timeZone={timeZone}
          onClose={() => setRestoring(null)}
          onGo={(typed) => {
            setRestoring(null);
            void ask({ act: 'restore', name: restoring.name, typed });
          }}
        />
      )}
    </>
  );
}

function Item({
  backup,
  timeZone,
  busy,
  onTry,
  onRestore,
}: {
  backup: ListedBackup;
  timeZone: string;
  busy: boolean;
  onTry: () => void;
  onRestore: () => void;
}) {
  const { verified } = backup;
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '1fr auto' },
        gap: 1,
        alignItems: 'center',
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
      }}
    >
      <Box>
        <Typography sx={{ fontWeight: 650 }}>{moment(backup.made, timeZone)}</Typography>
        <Typography variant="body2">
          {KIND_WORDS[backup.kind]}, {spokenBytes(backup.bytes)}, {backup.pictures} pictures
        </Typography>
        <Typography variant="body2" sx={{ fontWeight: verified?.ok === false ? 650 : 400 }}>
          {verified === null ? 'Not tried yet.' : `Tried ${moment(verified.at, timeZone)}: ${verified.said}`}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" disabled={busy} onClick={onTry}>
          Try it
        </Button>
        <Button variant="outlined" href={`/api/house/file?name=${encodeURIComponent(backup.name)}`} download>
          As a file
        </Button>
        <Button disabled={busy} onClick={onRestore}>
          Bring it back …
        </Button>
      </Box>
    </Box>
  );
}

function Elsewhere({ path, busy, onSave }: { path: string; busy: boolean; onSave: (path: string) => void }) {
  const [typed, setTyped] = useState(path);
  return (
    <Box
      component={Form}
      onSubmit={(event) => {
        event.preventDefault();
        onSave(typed);
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
    >
      <TextField
        label="Folder on another disk"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        helperText="Every backup is copied there too. On the computer that runs the studio, from / on, as in /media/disk/jiten."
        sx={{ flex: 1, minWidth: 260 }}
      />
      <Button type="submit" variant="outlined" disabled={busy || typed === path}>
        {typed === '' ? 'Copy nowhere' : 'Copy there'}
      </Button>
    </Box>
  );
}

function Restore({
  backup,
  studio,
  timeZone,
  onClose,
  onGo,
}: {
  backup: ListedBackup;
  studio: string;
  timeZone: string;
  onClose: () => void;
  onGo: (typed: string) => void;
}) {
  const [typed, setTyped] = useState('');
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>Bring back {moment(backup.made, timeZone)}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>
          The studio becomes what it was then; what was written since is in it no more. A backup of now is
          made first and stays in this list. Nobody can write for a minute or two.
        </Typography>
        <TextField
          autoFocus
          fullWidth
          label={`Type “${studio}” to say that you mean it`}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it as it is</Button>
        <Button
          variant="contained"
          color="error"
          disabled={typed.trim() !== studio}
          onClick={() => onGo(typed)}
        >
          Bring it back
        </Button>
      </DialogActions>
    </Dialog>
  );
}
