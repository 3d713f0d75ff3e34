'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { KilnToken } from '@/data/kiln-care';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { moment } from '@/ui/time';

/** Devices that send this kiln's readings, each with a token of its own. */
export function Devices({
  kilnId,
  tokens,
  timeZone,
}: {
  kilnId: string;
  tokens: readonly KilnToken[];
  timeZone: string;
}) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const [name, setName] = useState('');
  const [secret, setSecret] = useState<string | null>(null);
  return (
    <Box>
      <Typography sx={{ mb: 1, maxWidth: 720 }}>
        A controller or a small computer sends readings to <code>/api/readings</code> with its
        token: <code>{'{"readings":[{"at":"2026-03-05T14:30:00Z","celsius":661.5}]}'}</code>. A
        batch may be sent again; nothing is counted twice.
      </Typography>
      <Stack
        component="form"
        direction={{ xs: 'column', sm: 'row' }}
        spacing={1}
        sx={{ mb: 1, maxWidth: 560 }}
        onSubmit={(event) => {
          event.preventDefault();
          void act<{ secret: string }>('kilns.make-token', { kilnId, name }).then((answer) => {
            if (!answer.ok) return;
            setSecret(answer.data.secret);
            setName('');
            router.refresh();
          });
        }}
      >
        <TextField
          label="A new device"
          placeholder="Controller in the kiln room"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" variant="outlined" disabled={busy} sx={{ flex: 'none' }}>
          Make its token
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
      {secret && (
        <Box role="status" sx={{ border: '2px solid', borderColor: 'text.primary', p: 1.5, mb: 1 }}>
          <Typography>Give this to the device now; it is not shown again:</Typography>
          <Typography sx={{ fontFamily: MONO, overflowWrap: 'anywhere' }} data-testid="secret">
            {secret}
          </Typography>
        </Box>
      )}
      {tokens.map((token) => (
        <Box
          key={token.id}
          sx={{
            display: 'flex',
            gap: 1,
            alignItems: 'center',
            borderTop: '1px solid',
            borderColor: 'divider',
            py: 0.5,
          }}
        >
          <Typography sx={{ flex: 1 }}>
            <b>{token.name}</b>, made {moment(token.at, timeZone)},{' '}
            {token.usedAt ? `last heard ${moment(token.usedAt, timeZone)}` : 'never heard'}
          </Typography>
          <Button
            size="small"
            disabled={busy}
            onClick={() =>
              void act('kilns.revoke-token', { id: token.id }).then(() => router.refresh())
            }
          >
            Revoke
          </Button>
        </Box>
      ))}
    </Box>
  );
}
