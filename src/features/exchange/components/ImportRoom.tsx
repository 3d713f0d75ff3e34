'use client';
import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { DropFile } from '@/ui/DropFile';
import Link from '@/ui/Link';
import { useState } from 'react';
import { askSignIn, call, onRecord, send, type Sent } from '@/platform/client';
import { useFileAct } from '@/platform/device/file-act';
import { useSend } from '@/platform/useSend';
import { useProgress } from '@/platform/useProgress';
import { Nothing, Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import type { ImportPlan } from '../plan';
import * as contracts from '../contracts';
import type { Imported, ImportOptionsInput } from '../contracts';
import { ColumnMap } from './ColumnMap';
import { NameMap } from './NameMap';
import { RowGrid } from './RowGrid';
import { madeWords, planWords } from './words';

/** Brings a spreadsheet of past tests in: the dry run first, then all of it or nothing. */
export function ImportRoom() {
  const [file, setFile] = useState<File | null>(null);
  const [options, setOptions] = useState<ImportOptionsInput>({});
  const [plan, setPlan] = useState<ImportPlan | null>(null);
  const [done, setDone] = useState<Imported | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const fileAct = useFileAct(contracts.importFile.name);
  const [writing, setWriting] = useState<string | null>(null);
  const progress = useProgress(writing);
  const say = useSay();
  const { act, busy: taking, problem: notTaken } = useSend();

  const ask = async (from: File, with_: ImportOptionsInput): Promise<Sent<ImportPlan>> => {
    const request = (): Promise<Sent<ImportPlan>> => {
      const form = new FormData();
      form.set('file', from);
      form.set('options', JSON.stringify(with_));
      return call<ImportPlan>('/api/import/plan', { method: 'POST', body: form });
    };
    const answer = await request();
    return !answer.ok && answer.problem.code === 'not-signed-in' && (await askSignIn()) ? request() : answer;
  };
  const dryRun = async (from: File, next: ImportOptionsInput): Promise<void> => {
    setFile(from);
    setOptions(next);
    setBusy('Reading the file …');
    setProblem(null);
    const answer = await ask(from, next);
    setBusy(null);
    if (answer.ok) setPlan(answer.data);
    else setProblem(answer.problem.message);
  };
  const commit = async (): Promise<void> => {
    if (file === null) return;
    setBusy('Bringing the rows in; all of them or none …');
    setProblem(null);
    const id = fileAct.idOf(file);
    setWriting(id);
    const answer = await send(contracts.importFile, options, id, file);
    setWriting(null);
    setBusy(null);
    if (!answer.ok) setProblem(answer.problem.message);
    const imported = onRecord(answer);
    if (imported === null) return;
    setDone(imported);
    fileAct.done(file);
  };
  const another = (): void => {
    setDone(null);
    setProblem(null);
    setPlan(null);
    setFile(null);
  };
  const takeBack = async ({ lotId, coatingIds, pieces }: Imported): Promise<void> => {
    const answer = await act(contracts.putAway, { lotId, coatingIds, binned: true });
    if (!answer.ok) return;
    say(
      `${count(pieces, 'piece')} taken back: ${pieces === 1 ? 'it is' : 'they are'} in the bin`,
      answer.undo,
    );
    another();
  };
  const change = (part: ImportOptionsInput): void => void (file && dryRun(file, { ...options, ...part }));
  if (done) {
    return (
      <Box>
        <Typography variant="h2">On record: {count(done.pieces, 'piece')}</Typography>
        <ProblemNote>{problem ?? notTaken}</ProblemNote>
        <Typography sx={{ mb: 2 }}>{madeWords(done)}</Typography>
        <Button component={Link} href="/chart" variant="contained">
          Look at the chart
        </Button>{' '}
        <Button component={Link} href="/studio/pictures" variant="outlined">
          Bring in their pictures
        </Button>{' '}
        <Button onClick={another}>Another file</Button>{' '}
        <Button disabled={taking} onClick={() => void takeBack(done)}>
          Take it back
        </Button>
      </Box>
    );
  }
  return (
    <Box>
      <DropFile
        label={file ? `${file.name}: choose or drop another` : 'Choose or drop a CSV file'}
        name="Choose a CSV file"
        accept=".csv,.tsv,.txt,text/csv"
        minHeight={84}
        onFile={(chosen) => {
          setPlan(null);
          void dryRun(chosen, {});
        }}
      />
      {busy && (
        <Box role="status" sx={{ mb: 2 }}>
          <Typography>{progress?.doing ?? busy}</Typography>
          {progress === null ? (
            <LinearProgress />
          ) : (
            <LinearProgress variant="determinate" value={100 * progress.share} />
          )}
        </Box>
      )}
      <ProblemNote>{problem}</ProblemNote>
      {plan === null && busy === null && problem === null && (
        <Nothing>
          One row a test. Columns may be called: mark, body, form, coating 1, coats 1, coating 2, coats 2 …
          (first on first; “none” for bare clay, “?” behind what is only likely), key (sure, likely, lost),
          cone, atmosphere, date, kiln, surface, colour, movement, defects, rating, verdict, note. Only the
          body is needed; a cone or atmosphere left empty stays unknown.
        </Nothing>
      )}
      {plan && (
        <>
          <Section title={`${plan.counts.add} of ${count(plan.rows.length, 'row')} can be taken`}>
            <Typography>{planWords(plan, options)}. Nothing has been changed yet.</Typography>
            {plan.notices.map((notice) => (
              <Typography key={notice}>{notice}</Typography>
            ))}
          </Section>
          <NameMap plan={plan} options={options} onChange={change} />
          <ColumnMap plan={plan} options={options} onChange={change} />
          <Section title="Row by row">
            <RowGrid plan={plan} mended={options.mended ?? []} onMended={(mended) => change({ mended })} />
          </Section>
          {plan.counts.came > 0 && (
            <Choice
              label={`Also bring in the ${count(plan.counts.came, 'row')} that came in before`}
              checked={options.again}
              onChange={(again) => change({ again })}
            />
          )}
          {plan.counts.maybe > 0 && (
            <Choice
              label={`Leave out the ${count(plan.counts.maybe, 'row')} that may have come in before`}
              checked={options.leaveOutMaybe}
              onChange={(leaveOutMaybe) => change({ leaveOutMaybe })}
            />
          )}
          {plan.counts.refused > 0 && (
            <Choice
              label={`Leave ${count(plan.counts.refused, 'refused row')} out`}
              checked={options.leaveOutRefused}
              onChange={(leaveOutRefused) => change({ leaveOutRefused })}
            />
          )}
          {plan.open.map((question) => (
            <Typography key={question} sx={{ fontWeight: 650 }}>
              {question}
            </Typography>
          ))}
          <Button
            variant="contained"
            size="large"
            disabled={busy !== null || plan.open.length > 0}
            onClick={() => void commit()}
            sx={{ mt: 2 }}
          >
            Bring in {count(plan.counts.add, 'row')}
          </Button>
        </>
      )}
    </Box>
  );
}

function Choice({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean | undefined;
  onChange: (checked: boolean) => void;
}) {
  return (
    <FormControlLabel
      control={<Checkbox checked={checked ?? false} onChange={(event) => onChange(event.target.checked)} />}
      label={label}
      sx={{ display: 'flex' }}
    />
  );
}
