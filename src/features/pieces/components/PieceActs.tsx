'use client';
import FlagOutlined from '@mui/icons-material/FlagOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import type { Flag } from '@/data/flags';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell, GROWS } from '@/ui/FormShell';
import { TextInput } from '@/ui/fields';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** Doubts about a piece: raised here, cleared by those who keep the records. */
export function FlagList({
  pieceId,
  flags,
  mayClear,
}: {
  pieceId: string;
  flags: readonly Flag[];
  mayClear: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.flag, {
    start: { pieceIds: [pieceId], text: '' },
    draft: pieceId,
    done: () => {
      say('It will come up at loading and opening');
      form.reset();
      router.refresh();
    },
  });
  const clear = async (flagId: string): Promise<void> => {
    if (!(await form.act(contracts.clearFlag, { flagId })).ok) return;
    say('Flag cleared');
    router.refresh();
  };
  return (
    <Box>
      {flags.map((flag) => (
        <Stack
          key={flag.id}
          direction="row"
          spacing={1}
          sx={{ alignItems: 'center', borderTop: '1px solid', borderColor: 'divider', py: 0.5 }}
        >
          <FlagOutlined aria-hidden fontSize="small" />
          <Typography sx={{ flex: 1 }}>
            {flag.text}{' '}
            <Typography component="span" color="text.secondary">
              ({flag.raisedBy})
            </Typography>
          </Typography>
          {mayClear && (
            <Button size="small" disabled={form.busy} onClick={() => void clear(flag.id)}>
              Seen to
            </Button>
          )}
        </Stack>
      ))}
      <FormShell form={form} act="Raise flag" row sx={{ mt: 1 }}>
        <TextInput
          control={form.control}
          name="text"
          label="A doubt to be remembered"
          placeholder="Gave when lifted"
          sx={GROWS}
        />
      </FormShell>
    </Box>
  );
}
