'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useColorScheme } from '@mui/material/styles';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { call } from '@/platform/client';
import { forgetPages } from '../../device';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { useSay } from '@/ui/Undo';
import { TextInput } from '@/ui/fields';
import * as contracts from '../contracts';

/** A person's own matters: light or dark, the password, leaving. */
export function Account() {
  const { mode, setMode } = useColorScheme();
  const [changing, setChanging] = useState(false);
  const router = useRouter();
  const leave = async (): Promise<void> => {
    await forgetPages();
    await call('/api/door/sign-out', { method: 'POST', body: '{}' });
    router.replace('/sign-in');
    router.refresh();
  };
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'center' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={mode ?? 'system'}
          onChange={(_, value) => value && setMode(value)}
          aria-label="Light or dark"
        >
          <ToggleButton value="light">Light</ToggleButton>
          <ToggleButton value="dark">Dark (kiln room)</ToggleButton>
          <ToggleButton value="system">As the device</ToggleButton>
        </ToggleButtonGroup>
        <Button variant="outlined" onClick={() => setChanging(true)}>
          Change password
        </Button>
        <Button variant="outlined" onClick={() => void leave()}>
          Sign out
        </Button>
      </Stack>
      {changing && <PasswordForm onDone={() => setChanging(false)} />}
    </Stack>
  );
}

function PasswordForm({ onDone }: { onDone: () => void }) {
  const say = useSay();
  const form = useContractForm(contracts.changePassword, {
    start: { current: '', next: '' },
    draft: null,
    done: () => {
      say('Password changed');
      onDone();
    },
  });
  return (
    <FormShell
      form={form}
      act="Change password"
      acts={<Button onClick={onDone}>Leave it</Button>}
      sx={{ maxWidth: 420 }}
    >
      <TextInput
        control={form.control}
        name="current"
        label="Present password"
        type="password"
        autoComplete="current-password"
      />
      <TextInput
        control={form.control}
        name="next"
        label="New password"
        type="password"
        autoComplete="new-password"
        helper="At least ten characters."
      />
    </FormShell>
  );
}
