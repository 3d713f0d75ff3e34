'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { KilnToken } from '@/data/kiln-care';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell, GROWS } from '@/ui/FormShell';
import { TextInput } from '@/ui/fields';
import { MONO } from '@/ui/theme';
import { moment } from '@/ui/time';
import * as contracts from '../contracts';

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
  const [secret, setSecret] = useState<string | null>(null);
  const form = useContractForm(contracts.makeToken, {
    start: { kilnId, name: '' },
    draft: kilnId,
    done: ({ data }) => {
      setSecret(data.secret);
      form.reset();
      router.refresh();
    },
  });
  const { act, busy } = form;
  return (
    <Box>
      <Typography sx={{ mb: 1, maxWidth: 720 }}>
        A controller or a small computer sends readings to <code>/api/readings</code> with its token:{' '}
        <code>{'{"readings":[{"at":"2026-03-05T14:30:00Z","celsius":661.5}]}'}</code>. A batch may be sent
        again; nothing is counted twice.
      </Typography>
      <FormShell form={form} act="Make its token" row>
        <TextInput
          control={form.control}
          name="name"
          label="A new device"
          placeholder="Controller in the kiln room"
          sx={GROWS}
        />
      </FormShell>
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
            onClick={() => void act(contracts.revokeToken, { id: token.id }).then(() => router.refresh())}
          >
            Revoke
          </Button>
        </Box>
      ))}
    </Box>
  );
}
