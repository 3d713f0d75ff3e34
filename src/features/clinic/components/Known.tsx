'use client';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { factOf } from '@/core/diagnosis';
import { count } from '@/core/units';

import { Section } from '@/ui/Page';
import type { KnownFact, KnownFacts } from '../facts';
import { More } from './More';
import { ToRecord } from './ToRecord';

/** What is known, with where it is from; each can be said otherwise. */
export function Known({
  known,
  bearing,
  missing,
  onSay,
}: {
  known: KnownFacts;
  /** The facts that bear on a cause of this. */
  bearing: ReadonlySet<string>;
  missing: readonly string[];
  /** Null where nothing is said any more. */
  onSay: ((fact: string, value: string | null) => void) | null;
}) {
  const [first, rest] = [true, false].map((side) =>
    known.list.filter(({ fact }) => bearing.has(fact) === side),
  ) as [KnownFact[], KnownFact[]];
  const lines = (list: readonly KnownFact[]) =>
    list.map((one) => <One key={one.fact} one={one} onSay={onSay} />);
  return (
    <Section title="What is known">
      {lines(first)}
      {rest.length > 0 && (
        <More summary={`${count(rest.length, 'fact')} more, of no weight here`}>{lines(rest)}</More>
      )}
      {missing.length > 0 && (
        <More summary={`${count(missing.length, 'thing')} that the records do not say`}>
          {missing.map((line) => (
            <Typography key={line} variant="body2">
              {line}
            </Typography>
          ))}
        </More>
      )}
    </Section>
  );
}

function One({ one, onSay }: { one: KnownFact; onSay: Parameters<typeof Known>[0]['onSay'] }) {
  const fact = factOf(one.fact);
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
      <Typography variant="body2" color="text.secondary">
        {one.question}
      </Typography>
      {onSay === null || fact === undefined ? (
        <Typography sx={{ fontWeight: 600 }}>{one.words}</Typography>
      ) : (
        <TextField
          select
          variant="standard"
          fullWidth
          value={one.value ?? ''}
          onChange={(event) => onSay(one.fact, event.target.value === '' ? null : event.target.value)}
          slotProps={{
            htmlInput: { 'aria-label': one.question },
            select: { displayEmpty: true },
            input: { sx: { fontWeight: 600 } },
          }}
        >
          <MenuItem value="">nobody knows</MenuItem>
          {fact.values.map(({ id, words }) => (
            <MenuItem key={id} value={id} sx={{ whiteSpace: 'normal' }}>
              {words}
            </MenuItem>
          ))}
        </TextField>
      )}
      <Typography variant="body2" color="text.secondary">
        {one.from}
        {one.otherwise === null ? '' : `; the records say otherwise: ${one.otherwise}`}
        <ToRecord href={one.href} />
      </Typography>
    </Box>
  );
}
