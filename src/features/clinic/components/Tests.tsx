'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { isWeighed, testOf } from '@/core/diagnosis';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import * as contracts from '../contracts';

/** The tests that would tell most; one touch makes the tiles, their sheets and their places. */
export function Tests({
  caseId,
  revision,
  facts,
  mayMake,
  mayMix,
}: {
  caseId: string;
  revision: number;
  facts: readonly string[];
  mayMake: boolean;
  /** Such as have to be weighed out are for those who mix. */
  mayMix: boolean;
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const make = async (fact: string): Promise<void> => {
    const answer = await act(contracts.makeTest, { caseId, revision, fact });
    if (!answer.ok) return;
    router.push(`/tests/questions/${answer.data.no}`);
    // The way back leads to a case that waits for it.
    router.refresh();
  };
  return (
    <Section title="What would tell them apart">
      <ProblemNote>{problem}</ProblemNote>
      {facts.flatMap((fact) => {
        const test = testOf(fact);
        return test === undefined ? (
          []
        ) : (
          <Box
            key={fact}
            sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1, display: 'flex', gap: 1 }}
          >
            <Box sx={{ flex: 1 }}>
              <Typography sx={{ fontWeight: 650 }}>
                {test.name}
                {test.design === null ? '' : `: ${count(test.tiles, 'tile')} at least`}
              </Typography>
              <Typography>{test.how}</Typography>
            </Box>
            {mayMake && test.design !== null && (mayMix || !isWeighed(fact)) && (
              <Button variant="outlined" disabled={busy} onClick={() => void make(fact)}>
                Make its tiles
              </Button>
            )}
          </Box>
        );
      })}
    </Section>
  );
}
