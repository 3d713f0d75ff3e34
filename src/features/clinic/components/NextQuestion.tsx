'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { factOf } from '@/core/diagnosis';

/** The one question that helps most, answered by a touch. */
export function NextQuestion({
  next,
  onSay,
}: {
  next: string | null;
  onSay: (fact: string, value: string | null) => void;
}) {
  const fact = next === null ? undefined : factOf(next);
  return (
    <Box sx={{ border: '2px solid', borderColor: 'text.primary', p: 2, mb: 3 }} aria-live="polite">
      {fact === undefined ? (
        <Typography>Nothing more to ask: what is left is told apart by a test, or is clear.</Typography>
      ) : (
        <>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {fact.question}
          </Typography>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
            {fact.values.map(({ id, words }) => (
              <Button
                key={id}
                variant="outlined"
                onClick={() => onSay(fact.id, id)}
                sx={{ justifyContent: 'flex-start', textAlign: 'left', minHeight: 48 }}
              >
                {words}
              </Button>
            ))}
            <Button onClick={() => onSay(fact.id, null)} sx={{ justifyContent: 'flex-start' }}>
              Nobody knows
            </Button>
          </Box>
          {fact.asked === 'break' && (
            <Typography variant="body2">Break it in a cloth, eyes covered.</Typography>
          )}
        </>
      )}
    </Box>
  );
}
