'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { complaintOf, COMPLAINTS, complaintsOf, confirmedWords, type Complaint } from '@/core/diagnosis';
import { count } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { ProblemNote } from '@/ui/Problem';
import { Specimen } from '../../drawings';
import * as contracts from '../contracts';
import { factsOf, reckoned } from '../facts';
import type { CaseView, Said } from '../queries';
import { CauseCard } from './CauseCard';
import { CloseCase } from './CloseCase';
import { Contradicts } from './Contradicts';
import { Contrasts } from './Contrasts';
import { Known } from './Known';
import { More } from './More';
import { NextQuestion } from './NextQuestion';
import { NowWith } from './NowWith';
import { Tests } from './Tests';

/** How many causes are worth a line at first. */
const FIRST = 5;

/**
 * The sheet of a case: cautions, what to ask next, causes in order, what is known, what to try, what it
 * turned out to be.
 */
export function CaseSheet({
  view,
  mayMake,
  mayMix,
}: {
  view: CaseView;
  /** May they have its tiles made, and such as are weighed out? */
  mayMake: boolean;
  mayMix: boolean;
}) {
  const { one } = view;
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const [said, setSaid] = useState<readonly Said[]>(view.said);
  const [complaints, setComplaints] = useState<readonly string[]>(one.complaints);
  const [all, setAll] = useState(false);
  /** A fact that is asked again, because it does not go with another. */
  const [again, setAgain] = useState<string | null>(null);
  const closed = one.closedAt !== null;
  const known = useMemo(() => factsOf(view.told, said), [view.told, said]);
  const found = useMemo(
    () => reckoned({ confirmed: view.confirmed, disagreed: view.disagreed }, complaints, known.facts),
    [complaints, known, view.confirmed, view.disagreed],
  );
  // What nobody knows is not asked again.
  const answered = new Set(said.map(({ fact }) => fact));
  // A test whose tiles are written up comes before any look.
  const ready = view.test !== null && view.test.tiles > 0 && view.test.seen === view.test.tiles;
  const next =
    again ??
    [...(ready ? found.tests : []), ...found.ask].find(({ fact }) => !answered.has(fact))?.fact ??
    null;
  const say = async (fact: string, value: string | null): Promise<void> => {
    setAgain(null);
    const before = said.find((other) => other.fact === fact);
    const having = (one: Said | undefined) => (now: readonly Said[]) => [
      ...now.filter((other) => other.fact !== fact),
      ...(one === undefined ? [] : [one]),
    ];
    setSaid(having({ fact, value, by: 'you', at: new Date().toISOString() }));
    const answer = await act(contracts.answer, { caseId: one.id, fact, value });
    // What did not arrive is taken back by itself: what was said meanwhile of something else stands.
    if (!answer.ok) setSaid(having(before));
  };
  const rename = async (to: readonly string[]): Promise<void> => {
    const before = complaints;
    setComplaints(to);
    const answer = await act(contracts.name, { caseId: one.id, revision: one.revision, complaints: [...to] });
    if (answer.ok) router.refresh();
    else setComplaints(before);
  };
  const toldByTiles = view.told.some(({ fact }) => fact === view.test?.fact);
  const shown = found.causes.filter(({ probability }) => probability >= 0.01);
  return (
    <>
      {found.cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
      <ProblemNote>{problem}</ProblemNote>
      {view.corrected !== null && (
        <Typography role="status" sx={{ fontWeight: 650, mb: 1 }}>
          {view.corrected}
        </Typography>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
        {view.pictures[0] !== undefined && (
          <Box sx={{ width: { xs: 84, md: 120 }, flex: 'none' }}>
            <Picture sha={view.pictures[0]} alt={`Picture of ${one.code ?? 'it'}`} />
          </Box>
        )}
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Naming complaints={complaints} busy={busy || closed} onName={(to) => void rename(to)} />
        </Box>
      </Box>
      {complaints.length > 0 && (
        <Box
          sx={{
            display: 'grid',
            gap: { xs: 2, md: 4 },
            gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,1.15fr)' },
            gridTemplateRows: { md: 'auto 1fr' },
            alignItems: 'start',
          }}
        >
          {/* On a phone the causes come before what they are made from. */}
          <Box sx={{ order: { xs: 0, md: 0 }, gridColumn: { md: 1 } }}>
            {!closed && (
              <>
                <Contradicts facts={known.facts} onAsk={setAgain} />
                <NextQuestion next={next} onSay={(fact, value) => void say(fact, value)} />
              </>
            )}
          </Box>
          <Box sx={{ order: { xs: 2, md: 0 }, gridColumn: { md: 1 }, gridRow: { md: 2 } }}>
            <Known
              known={known}
              bearing={
                new Set(
                  found.causes.flatMap((ranked) =>
                    [...ranked.for, ...ranked.against].map(({ fact }) => fact),
                  ),
                )
              }
              missing={view.missing}
              onSay={closed ? null : (fact, value) => void say(fact, value)}
            />
          </Box>
          <Box sx={{ order: { xs: 1, md: 0 }, gridColumn: { md: 2 }, gridRow: { md: '1 / span 2' } }}>
            <Section title="Why, likely">
              <Box
                component="ol"
                sx={{ listStyle: 'none', m: 0, p: 0 }}
                aria-label="Causes, the likeliest first"
              >
                {shown.slice(0, all ? undefined : FIRST).map((ranked, i) => (
                  <CauseCard
                    key={ranked.id}
                    ranked={ranked}
                    first={i === 0}
                    told={known.tell}
                    own={confirmedWords(view.confirmed, complaints, ranked.id)}
                  />
                ))}
              </Box>
              <Typography sx={{ borderTop: '1px solid', borderColor: 'divider', pt: 1 }}>
                Something that is not on this list: {Math.max(1, Math.round(found.other * 100))} in 100.
              </Typography>
              {shown.length > FIRST && (
                <Button onClick={() => setAll(!all)}>
                  {all ? 'Only the likeliest' : `${count(shown.length - FIRST, 'more cause')}`}
                </Button>
              )}
            </Section>
            {view.test !== null && (
              <Typography sx={{ my: 1.5 }}>
                <Link href={`/tests/questions/${view.test.no}`}>Question {view.test.no}</Link> was made to
                tell: {waitWords(view.test, toldByTiles)}
              </Typography>
            )}
            {found.tests.length > 0 && !closed && (
              <Tests
                caseId={one.id}
                revision={one.revision}
                facts={found.tests
                  .map(({ fact }) => fact)
                  // What was made already is waited for.
                  .filter((fact) => fact !== view.test?.fact || view.test.tiles === 0)
                  .slice(0, 3)}
                mayMake={mayMake && view.place !== null}
                mayMix={mayMix}
              />
            )}
            <Contrasts view={view} />
            <NowWith complaints={complaints} one={one.code !== null} />
            <CloseCase one={one} causes={found.causes} />
          </Box>
        </Box>
      )}
    </>
  );
}

/** How far the test is that a case waits for. */
function waitWords({ tiles, seen }: NonNullable<CaseView['test']>, told: boolean): string {
  if (tiles === 0) return 'its tiles are gone; they can be made anew below.';
  if (seen < tiles) return `${seen} of ${count(tiles, 'tile')} written up so far.`;
  return told
    ? 'its tiles are written up, and what they show is counted above.'
    : 'its tiles are written up. Say above what it showed, when it is asked.';
}

/** What it is called, and its look-alikes beside it: a wrong name is put right by a touch. */
function Naming({
  complaints,
  busy,
  onName,
}: {
  complaints: readonly string[];
  busy: boolean;
  onName: (to: readonly string[]) => void;
}) {
  const named = complaints.flatMap((id) => complaintOf(id) ?? []);
  const groups = new Set(named.map(({ group }) => group));
  const alike =
    named.length === 0
      ? complaintsOf('off-colour')
      : COMPLAINTS.filter(({ id, group }) => groups.has(group) && !complaints.includes(id));
  const [, ...rest] = complaints;
  const pick = (to: Complaint): void => onName([to.id, ...rest.filter((id) => id !== to.id)]);
  return (
    <Section title={named.length === 0 ? 'Which is it?' : named.map(({ name }) => name).join(' and ')}>
      {named.map(({ id, look }) => (
        <Typography key={id} color="text.secondary">
          {look}
        </Typography>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        {named.map(({ id, sign }) => (
          <Box key={id} sx={{ border: '2px solid', borderColor: 'text.primary', px: 1, py: 0.5 }}>
            <Specimen id={id} sign={sign} />
          </Box>
        ))}
        {named.length === 0 && <Alikes alike={alike} busy={busy} onPick={pick} />}
      </Box>
      {named.length > 0 && alike.length > 0 && (
        <More summary="Is it rather something else?">
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Alikes alike={alike} busy={busy} onPick={pick} />
          </Box>
        </More>
      )}
    </Section>
  );
}

/** Look-alikes side by side, each with what tells it. */
const Alikes = ({
  alike,
  busy,
  onPick,
}: {
  alike: readonly Complaint[];
  busy: boolean;
  onPick: (to: Complaint) => void;
}) =>
  alike.map((one) => (
    <Button
      key={one.id}
      variant="outlined"
      color="inherit"
      disabled={busy}
      onClick={() => onPick(one)}
      startIcon={<Specimen id={one.id} sign={one.sign} size={44} />}
      sx={{ flex: '1 1 240px', justifyContent: 'flex-start', textAlign: 'left', minHeight: 56 }}
    >
      <span>
        {one.name}
        <Typography component="span" variant="body2" color="text.secondary" sx={{ display: 'block' }}>
          {one.look}
        </Typography>
      </span>
    </Button>
  ));
