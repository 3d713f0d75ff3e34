'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { additionForBucket, dryToThicken, sgProblem, waterToThin } from '@/core/slurry';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';
import type { Bucket, BucketEntry } from '@/data/buckets';
import { useSend } from '@/platform/useSend';
import { Nothing, Section } from '@/ui/Page';
import { useNow } from '@/ui/useNow';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { moment } from '@/ui/time';
import { weight } from '../words';

const DriftChart = dynamic(() => import('./DriftChart').then((module) => module.DriftChart), {
  ssr: false,
  loading: () => <Box sx={{ height: 180 }} />,
});

function figures(entry: BucketEntry): string {
  return [
    entry.sg === null ? '' : `SG ${entry.sg.toFixed(2)}`,
    entry.seconds === null ? '' : `${entry.seconds} s`,
    entry.temperatureC === null ? '' : `${entry.temperatureC} °C`,
    entry.grams === null ? '' : weight(entry.grams),
    entry.litres === null ? '' : `${Number(entry.litres.toFixed(2))} l in it`,
    entry.note,
  ]
    .filter(Boolean)
    .join(', ');
}

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
  const { act, busy, problem } = useSend();
  const measured = entries.filter((entry) => entry.sg !== null);
  const last = measured.at(-1)?.sg ?? null;
  const [sg, setSg] = useState('');
  const [seconds, setSeconds] = useState('');
  const [litres, setLitres] = useState(bucket.litres === null ? '' : String(bucket.litres));
  const [temperature, setTemperature] = useState('');
  const [percent, setPercent] = useState('');
  const log = async (entry: object, said: string): Promise<boolean> => {
    const entryId = v7();
    const answer = await act('store.log-bucket', {
      bucketId: bucket.id,
      entryId,
      sg: null,
      seconds: null,
      temperatureC: null,
      litres: null,
      grams: null,
      note: '',
      ...entry,
    });
    if (!answer.ok) return false;
    say(said, () => {
      void act('store.drop-bucket-entry', { entryId }).then(() => router.refresh());
    });
    router.refresh();
    return true;
  };
  const typed = {
    sg: fieldNumber(sg),
    seconds: fieldNumber(seconds),
    temperatureC: fieldNumber(temperature),
    litres: fieldNumber(litres),
  };
  const unread = Object.values(typed).some(Number.isNaN);
  const wrong = typed.sg === null || Number.isNaN(typed.sg) ? null : sgProblem(typed.sg);
  const now = wrong === null && typed.sg ? typed.sg : last;
  const volume = typed.litres || bucket.litres;
  const aim = bucket.advice.sg;
  const remedy = remedyFor(now, aim, volume, density);
  const share = fieldNumber(percent);
  const more =
    now !== null && now > 1 && volume && share
      ? additionForBucket({ litres: volume, sg: now, density, additionsIn }, share)
      : null;
  return (
    <>
      <Section title="Measure">
        <Stack
          direction="row"
          spacing={1}
          sx={{ flexWrap: 'wrap', rowGap: 1 }}
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            void log({ kind: 'measured', ...typed }, 'Measured').then((kept) => kept && setSg(''));
          }}
        >
          <QuantityField
            label="SG"
            value={sg}
            problem={wrong}
            helperText={last === null ? 'none yet' : `last ${last.toFixed(2)}`}
            onChange={setSg}
            width={190}
          />
          <QuantityField label="Volume now, l" value={litres} onChange={setLitres} width={130} />
          <QuantityField label="Seconds used" value={seconds} onChange={setSeconds} width={130} />
          <QuantityField label="°C" value={temperature} onChange={setTemperature} width={80} />
          <Button
            type="submit"
            variant="contained"
            disabled={
              busy || unread || wrong !== null || (typed.sg === null && typed.seconds === null)
            }
            sx={{ alignSelf: 'flex-start' }}
          >
            Keep it
          </Button>
          <Button
            disabled={busy}
            onClick={() => void log({ kind: 'stirred' }, 'Stirred')}
            sx={{ alignSelf: 'flex-start' }}
          >
            Stirred
          </Button>
        </Stack>
        <ProblemNote>{problem}</ProblemNote>
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
                onClick={() => void log(remedy.entry as object, 'Written down')}
              >
                It is in
              </Button>
            )}
          </Stack>
        )}
      </Section>
      <Section title="Add to what is left">
        <Stack
          direction="row"
          spacing={1}
          sx={{ alignItems: 'center', flexWrap: 'wrap', rowGap: 1 }}
        >
          <QuantityField
            label="More of something, %"
            value={percent}
            onChange={setPercent}
            width={230}
          />
          <Typography>
            {more === null
              ? 'Percent of the base that is still in the bucket; needs its volume and SG.'
              : `is ${weight(more.grams)}: the bucket holds ${weight(more.dry)} dry, ${weight(more.base)} of it base.`}
          </Typography>
          {more !== null && (
            <Button
              variant="outlined"
              disabled={busy}
              onClick={() =>
                void log(
                  { kind: 'addition', grams: more.grams, note: `${percent} % added` },
                  'Written down',
                )
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
          <Typography
            key={entry.id}
            sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}
          >
            <b>{entry.kind}</b>, {moment(entry.at, timeZone)}, {entry.by}
            {figures(entry) === '' ? '' : `: ${figures(entry)}`}
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
      {past >= minutes
        ? ': stir again, to the bottom.'
        : `; again in ${Math.ceil(minutes - past)} min.`}
    </Typography>
  );
}

/** What brings a bucket from its SG to the one aimed at. */
function remedyFor(
  sg: number | null,
  aim: number | null,
  litres: number | null,
  density: number,
): { words: string; entry: object | null } | null {
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
    words: `Dry mix: ${weight(dry.grams)} brings it to ${aim.toFixed(2)}.`,
    entry: { kind: 'dry mix', grams: dry.grams, litres: Number(dry.litres.toFixed(2)) },
  };
}
