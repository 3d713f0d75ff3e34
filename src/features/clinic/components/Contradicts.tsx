'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { contradictionsIn } from '@/core/diagnosis';

/** What is known and does not go together: which of it is wrong is asked. */
export function Contradicts({
  facts,
  onAsk,
}: {
  facts: Readonly<Record<string, string>>;
  /** Asks a fact again. */
  onAsk: (fact: string) => void;
}) {
  const found = contradictionsIn(facts);
  if (found.length === 0) return null;
  return (
    <Box role="note" sx={{ border: '2px solid', borderColor: 'text.primary', p: 2, mb: 2 }}>
      <Typography variant="h2">These do not go together</Typography>
      {found.map((pair) => (
        <Box key={pair.map(({ fact }) => fact).join()} sx={{ my: 1 }}>
          {pair.map(({ fact, words }) => (
            <Box key={fact} sx={{ display: 'flex', gap: 1, alignItems: 'center', my: 0.5 }}>
              <Typography sx={{ flex: 1 }}>{words}</Typography>
              <Button variant="outlined" onClick={() => onAsk(fact)}>
                Put this right
              </Button>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}
