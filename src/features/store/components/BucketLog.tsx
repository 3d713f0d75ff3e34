'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { v7 } from 'uuid';
import { additionForBucket, dryToThicken, sgProblem, waterToThin } from '@/core/slurry';
import { figure, formatMass, formatTemperature, type Units } from '@/core/units';
import { FormShell } from '@/ui/FormShell';
import { NumberField, NumberInput } from '@/ui/NumberField';
import { useUnits } from '@/ui/units';
import type { Bucket, BucketEntry } from '@/data/buckets';
import type { Taken } from '@/platform/contract';
import { useContractForm } from '@/platform/useContractForm';
import { Nothing, Section } from '@/ui/Page';
import { useNow } from '@/ui/useNow';
import { useSay } from '@/ui/Undo';
import { moment } from '@/ui/time';
import * as contracts from '../contracts';

const DriftChart = dynamic(() => import('./DriftChart').then((module) => module.DriftChart), {
  ssr: false,
  loading: () => <Box sx={{ height: 180 }} />,
});

function figures(entry: BucketEntry, units: Units): string {
  return [
    entry.sg === null ? '' : `SG ${entry.sg.toFixed(2)}`,
    entry.seconds === null ? '' : `${entry.seconds} s`,
    entry.temperatureC === null ? '' : formatTemperature(entry.temperatureC, units),
    entry.grams === null ? '' : formatMass(entry.grams, units),
    entry.litres === null ? '' : `${figure(entry.litres, 2)} l in it`,
    entry.note,
  ]
    .filter(Boolean)
    .join(', ');
}

type Entry = Taken<typeof contracts.logBucket>;
type LogEntry = Partial<Entry> & Pick<Entry, 'kind'>;

/** Measuring a bucket, what to do about it, and how it has drifted. */
export function BucketLog({
  bucket,
  entries,
  density,
  additionsIn,
  timeZone,
}: {
  bucket: Bucket;
  entries: readonly BucketEntry[];
  density: number;
  /** Additions that its recipe already holds, % of the base. */
  additionsIn: number;
  timeZone: string;
}) {
  const router = useRouter();
  const say = useSay();
  const units = useUnits();
  const measured = entries.filter((entry) => entry.sg !== null);
  const last = measured.at(-1)?.sg ?? null;
  const blank = {
    bucketId: bucket.id,
    kind: 'measured' as const,
    sg: null,
    seconds: null,
    temperatureC: null,
    litres: bucket.litres,
    grams: null,
    note: '',
  };
  const form = useContractForm(contracts.logBucket, {
    start: { ...blank, entryId: v7() },
    draft: bucket.id,
    done: ({ undo }, { litres }) => {
      form.reset({ ...blank, litres, entryId: v7() });
      say('Measured', undo);
      router.refresh();
    },
  });
  const { control, act, busy } = form;
  const [percent, setPercent] = useState<number | null>(null);
  const log = async (entry: LogEntry, said: string): Promise<void> => {
    const answer = await act(contracts.logBucket, {
      ...blank,
      litres: null,
      entryId: v7(),
      ...entry,
    });
    if (!answer.ok) return;
    say(said, answer.undo);
    router.refresh();
  };
  const typed = useWatch({ control });
  const now = typed.sg && sgProblem(typed.sg) === null ? typed.sg : last;
  const volume = typed.litres || bucket.litres;
  const aim = bucket.advice.sg;
  const remedy = remedyFor(now, aim, volume ?? null, density, units);
  const more =
    now !== null && now > 1 && volume && percent
      ? additionForBucket({ litres: volume, sg: now, density, additionsIn }, percent)
      : null;
  return (
    <>
      <Section title="Measure">
        <FormShell
          form={form}
          act="Keep it"
          acts={
            <Button disabled={busy} onClick={() => void log({ kind: 'stirred' }, 'Stirred')}>
              Stirred
            </Button>
          }
          row
        >
          <NumberInput
            control={control}
            name="sg"
            label="SG"
            problem={typed.sg ? sgProblem(typed.sg) : null}
            helper={last === null ? 'none yet' : `last ${last.toFixed(2)}`}
            width={190}
          />
          <NumberInput control={control} name="litres" label="Volume now, l" width={130} />
          <NumberInput control={control} name="seconds" label="Seconds used" width={130} />
          <NumberInput control={control} name="temperatureC" quantity="temperature" label="At" width={100} />
        </FormShell>
        <StirNote
          at={entries.filter(({ kind }) => kind === 'stirred').at(-1)?.at ?? null}
          minutes={bucket.advice.restirMinutes}
        />
        {remedy && (
          <Stack direction="row" spacing={2} sx={{ alignItems: 'center', mt: 1 }}>
            <Typography sx={{ fontSize: '1.1rem' }}>{remedy.words}</Typography>
            {remedy.entry && (
              <Button
                variant="outlined"
                disabled={busy}
                onClick={() => void log(remedy.entry as LogEntry, 'Written down')}
              >
                It is in
              </Button>
            )}
          </Stack>
        )}
      </Section>
      <Section title="Add to what is left">
        <Stack direction="row" spacing={1} sx={{ alignItems: 'center', flexWrap: 'wrap', rowGap: 1 }}>
          <NumberField label="More of something, %" value={percent} onChange={setPercent} width={230} />
          <Typography>
            {more === null
              ? 'Percent of the base that is still in the bucket; needs its volume and SG.'
              : `is ${formatMass(more.grams, units)}: the bucket holds ${formatMass(more.dry, units)} dry, ${formatMass(more.base, units)} of it base.`}
          </Typography>
          {more !== null && (
            <Button
              variant="outlined"
              disabled={busy}
              onClick={() =>
                void log({ kind: 'addition', grams: more.grams, note: `${percent} % added` }, 'Written down')
              }
            >
              It is in
            </Button>
          )}
        </Stack>
      </Section>
      <Section title="Drift">
        {measured.length >= 2 ? (
          <DriftChart
            points={measured.map((entry) => ({
              at: new Date(entry.at).getTime(),
              sg: entry.sg as number,
            }))}
            aim={aim}
            timeZone={timeZone}
          />
        ) : (
          <Nothing>After two measurements the drift of its SG is drawn here.</Nothing>
        )}
        {[...entries].reverse().map((entry) => (
          <Typography key={entry.id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
            <b>{entry.kind}</b>, {moment(entry.at, timeZone)}, {entry.by}
            {figures(entry, units) === '' ? '' : `: ${figures(entry, units)}`}
          </Typography>
        ))}
      </Section>
    </>
  );
}

/** How long ago it was stirred, and when it wants stirring again. */
function StirNote({ at, minutes }: { at: Date | null; minutes: number | null }) {
  const now = useNow();
  if (at === null || minutes === null || now === null) return null;
  const past = Math.floor((now - new Date(at).getTime()) / 60_000);
  if (past > 240) return null;
  return (
    <Typography role="status" sx={{ mt: 1, fontWeight: past >= minutes ? 700 : 400 }}>
      Stirred {past <= 0 ? 'just now' : `${past} min ago`}
      {past >= minutes ? ': stir again, to the bottom.' : `; again in ${Math.ceil(minutes - past)} min.`}
    </Typography>
  );
}

/** What brings a bucket from its SG to the one aimed at. */
function remedyFor(
  sg: number | null,
  aim: number | null,
  litres: number | null,
  density: number,
  units: Units,
): { words: string; entry: LogEntry | null } | null {
  if (sg === null || aim === null) return null;
  if (Math.abs(sg - aim) < 0.01) return { words: `On its mark of ${aim.toFixed(2)}.`, entry: null };
  if (litres === null || litres === 0)
    return {
      words: `${sg > aim ? 'Thicker' : 'Thinner'} than ${aim.toFixed(2)}: give its volume to see how much ${sg > aim ? 'water' : 'dry mix'}.`,
      entry: null,
    };
  if (aim <= 1) return null;
  if (sg > aim) {
    const water = waterToThin(litres, sg, aim);
    return {
      words: `Water: ${water.toFixed(2)} l brings it to ${aim.toFixed(2)}.`,
      entry: {
        kind: 'water',
        litres: Number((litres + water).toFixed(2)),
        note: `${water.toFixed(2)} l of water`,
      },
    };
  }
  const dry = dryToThicken(litres, sg, aim, density);
  return {
    words: `Dry mix: ${formatMass(dry.grams, units)} brings it to ${aim.toFixed(2)}.`,
    entry: { kind: 'dry mix', grams: dry.grams, litres: Number(dry.litres.toFixed(2)) },
  };
}
