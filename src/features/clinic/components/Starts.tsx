'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { COMPLAINTS, GROUPS } from '@/core/diagnosis';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { Specimen } from '../../drawings';
import * as contracts from '../contracts';
import type { WideSubject } from './OpenWideCase';

/**
 * Faults in groups of look-alikes, drawn: the way in for whoever holds something in hand that is on no
 * record.
 */
export function Starts({ fuel, of = null }: { fuel: boolean; of?: WideSubject | null }) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const begin = async (id: string): Promise<void> => {
    const answer = await act(contracts.open, {
      ...(of === null ? {} : { [`${of.kind}Id`]: of.id }),
      complaints: [id],
    });
    if (answer.ok) router.push(`/clinic/cases/${answer.data.id}`);
  };
  return (
    <>
      <ProblemNote>{problem}</ProblemNote>
      {GROUPS.map((group) => (
        <Section key={group} title={group}>
          <Box
            sx={{
              display: 'grid',
              gap: 1,
              gridTemplateColumns: 'repeat(auto-fill, minmax(230px, 1fr))',
            }}
          >
            {COMPLAINTS.filter((one) => one.group === group && (fuel || one.fuel !== true)).map(
              ({ id, name, sign, look }) => (
                <Button
                  key={id}
                  variant="outlined"
                  color="inherit"
                  disabled={busy}
                  onClick={() => void begin(id)}
                  startIcon={<Specimen id={id} sign={sign} size={52} />}
                  sx={{
                    justifyContent: 'flex-start',
                    textAlign: 'left',
                    minHeight: 68,
                    bgcolor: 'background.paper',
                  }}
                >
                  <span>
                    {name}
                    <Typography
                      component="span"
                      variant="body2"
                      color="text.secondary"
                      sx={{ display: 'block' }}
                    >
                      {look}
                    </Typography>
                  </span>
                </Button>
              ),
            )}
          </Box>
        </Section>
      ))}
    </>
  );
}
