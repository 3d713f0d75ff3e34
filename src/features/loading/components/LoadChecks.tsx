'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { inUnits } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { useUnits } from '@/ui/units';
import type { CheckedLoad } from '../load-check';
import * as contracts from '../contracts';
import { Form } from '@/ui/Form';

/** What to look at before the lid is closed; each with why, and a way to let it stay so. */
export function LoadChecks({
  firingId,
  findings,
  edit,
}: {
  firingId: string;
  findings: CheckedLoad['findings'];
  edit: boolean;
}) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const units = useUnits();
  const [open, setOpen] = useState<string | null>(null);
  const [reason, setReason] = useState('');
  if (findings.length === 0)
    return <Typography>Nothing speaks against closing the lid, as far as the record knows.</Typography>;
  const overrule = async (finding: CheckedLoad['findings'][number]): Promise<void> => {
    const answer = await act(contracts.overrule, {
      firingId,
      finding: finding.id,
      pieces: finding.pieces,
      reason,
    });
    if (answer.ok) {
      setOpen(null);
      setReason('');
      router.refresh();
    }
  };
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {findings.map((finding) => (
        <Box
          component="li"
          key={finding.id}
          sx={{
            borderLeft: finding.level === 'stop' && !finding.overruledBy ? '6px solid' : '2px solid',
            borderColor: finding.level === 'stop' && !finding.overruledBy ? 'error.main' : 'divider',
            pl: 1.5,
            py: 0.75,
            mb: 1,
          }}
        >
          <Typography sx={{ fontWeight: 700 }}>
            {finding.level === 'stop' && !finding.overruledBy ? 'Stop: ' : ''}
            {finding.title}
          </Typography>
          <Typography variant="body2">{inUnits(finding.reason, units)}</Typography>
          {finding.pieces.length > 0 && (
            <Typography variant="body2" sx={{ fontFamily: MONO }}>
              {finding.pieces.slice(0, 12).join(' ')}
              {finding.pieces.length > 12 ? ` and ${finding.pieces.length - 12} more` : ''}
            </Typography>
          )}
          {finding.overruledBy && (
            <Typography variant="body2">
              Stays so: “{finding.overruledBy.reason}”, {finding.overruledBy.by}{' '}
              {edit && (
                <Button
                  size="small"
                  disabled={busy}
                  onClick={() =>
                    void act(contracts.withdrawOverrule, {
                      firingId,
                      id: finding.overruledBy!.id,
                    }).then(() => router.refresh())
                  }
                >
                  Ask again
                </Button>
              )}
            </Typography>
          )}
          {edit &&
            !finding.overruledBy &&
            finding.firm !== true &&
            (open === finding.id ? (
              <Stack
                component={Form}
                direction={{ xs: 'column', sm: 'row' }}
                spacing={1}
                sx={{ mt: 1, maxWidth: 640 }}
                onSubmit={(event) => {
                  event.preventDefault();
                  void overrule(finding);
                }}
              >
                <TextField
                  label="Why may it stay so?"
                  value={reason}
                  autoFocus
                  onChange={(event) => setReason(event.target.value)}
                />
                <Button type="submit" variant="outlined" disabled={busy} sx={{ flex: 'none' }}>
                  Let it stay
                </Button>
              </Stack>
            ) : (
              <Button
                size="small"
                onClick={() => setOpen(finding.id)}
                aria-label={`Let it stay: ${finding.title}`}
              >
                Let it stay …
              </Button>
            ))}
        </Box>
      ))}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
