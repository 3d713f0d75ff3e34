'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CAUSES, COMPLAINTS, complaintOf, factOf, GROUPS, type Cause } from '@/core/diagnosis';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { Specimen } from '../../drawings';
import * as contracts from '../contracts';
import { More } from './More';

/** What a technician said of a cause, as the page shows it. */
export type SaidHere = { cause: string; off: boolean; factor: number; reason: string; by: string };

const textOf = (cause: Cause): string =>
  [cause.name, cause.how, ...cause.remedies.map((one) => one.do)].join(' ').toLowerCase();

/** What the clinic knows, complaint by complaint: to be read, searched, and disagreed with. */
export function Knowledge({ said, mayDisagree }: { said: readonly SaidHere[]; mayDisagree: boolean }) {
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const here = new Map(said.map((one) => [one.cause, one]));
  const causesOf = (id: string): Cause[] =>
    CAUSES.filter(
      (cause) =>
        cause.shares[id] !== undefined &&
        (wanted === '' ||
          textOf(cause).includes(wanted) ||
          complaintOf(id)!.name.toLowerCase().includes(wanted)),
    ).sort((a, b) => b.shares[id]! - a.shares[id]!);
  const found = COMPLAINTS.filter(({ id }) => causesOf(id).length > 0);
  return (
    <>
      <TextField
        label="Search faults, causes and remedies"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
        fullWidth
        sx={{ mb: 2 }}
      />
      {found.length === 0 && <Typography>Nothing here speaks of “{search}”.</Typography>}
      {GROUPS.filter((group) => found.some((one) => one.group === group)).map((group) => (
        <Section key={group} title={group}>
          {found
            .filter((one) => one.group === group)
            .map(({ id, name, look, sign, caution }) => (
              <Box key={id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}>
                <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                  <Specimen id={id} sign={sign} />
                  <div>
                    <Typography variant="h3">{name}</Typography>
                    <Typography color="text.secondary">{look}</Typography>
                  </div>
                </Box>
                {caution !== undefined && <Caution brief>{caution}</Caution>}
                <More summary={count(causesOf(id).length, 'cause')} open={wanted !== ''}>
                  {causesOf(id).map((cause) => (
                    <CauseEntry
                      key={cause.id}
                      cause={cause}
                      share={cause.shares[id]!}
                      said={here.get(cause.id) ?? null}
                      mayDisagree={mayDisagree}
                    />
                  ))}
                </More>
              </Box>
            ))}
        </Section>
      ))}
    </>
  );
}

/** A value in words; a bare yes or no with what it answers. */
function inWords(id: string, value: string): string {
  const fact = factOf(id)!;
  const { words } = fact.values.find((one) => one.id === value)!;
  return words.length <= 5 ? `${fact.question} ${words}` : words;
}

const side = (cause: Cause, positive: boolean): string =>
  cause.evidence
    .flatMap(({ fact, weights }) =>
      Object.entries(weights)
        .filter(([, weight]) => weight > 0 === positive && weight !== 0)
        .map(([value]) => inWords(fact, value)),
    )
    .join('; ');

function CauseEntry({
  cause,
  share,
  said,
  mayDisagree,
}: {
  cause: Cause;
  share: number;
  said: SaidHere | null;
  mayDisagree: boolean;
}) {
  return (
    <Box sx={{ pl: 2, py: 1, opacity: said?.off === true ? 0.6 : 1 }}>
      <Typography sx={{ fontWeight: 650 }}>
        {cause.name}: in {share} of 100
        {said === null ? '' : said.off ? '; turned off here' : `; here ${said.factor} times that`}
      </Typography>
      <Typography>{cause.how}</Typography>
      <Typography variant="body2">
        <b>For:</b> {side(cause, true) || '–'}. <b>Against:</b> {side(cause, false) || '–'}.
      </Typography>
      <Typography variant="body2">
        <b>Do:</b> {cause.remedies.map((one) => one.do).join('; ')}. ({cause.source})
      </Typography>
      {said !== null && (
        <Typography variant="body2">
          {said.by}: {said.reason}
        </Typography>
      )}
      {mayDisagree && <DisagreeForm cause={cause} said={said} />}
    </Box>
  );
}

function DisagreeForm({ cause, said }: { cause: Cause; said: SaidHere | null }) {
  const { act, busy, problem } = useSend();
  const say = useSay();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [choice, setChoice] = useState(said?.off === true ? 'off' : String(said?.factor ?? 1));
  const [reason, setReason] = useState('');
  if (!open) return <Button onClick={() => setOpen(true)}>Not so here …</Button>;
  const save = async (): Promise<void> => {
    const off = choice === 'off';
    const answer = await act(contracts.disagree, {
      cause: cause.id,
      off,
      factor: off ? 1 : Number(choice),
      reason,
    });
    if (!answer.ok) return;
    say(`${cause.name}: kept, with its reason`);
    setOpen(false);
    router.refresh();
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start', mt: 1 }}>
      <TextField
        select
        label="Here it is"
        value={choice}
        onChange={(event) => setChoice(event.target.value)}
        sx={{ minWidth: 200 }}
      >
        <MenuItem value="off">never the cause</MenuItem>
        {contracts.FACTORS.map((factor) => (
          <MenuItem key={factor} value={String(factor)}>
            {factor === 1
              ? 'as common as said'
              : factor < 1
                ? `rarer: ${factor} times`
                : `commoner: ${factor} times`}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Because"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        sx={{ flex: '1 1 260px' }}
      />
      <Button variant="contained" disabled={busy} onClick={() => void save()}>
        Keep it
      </Button>
      <Button onClick={() => setOpen(false)}>Cancel</Button>
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
