'use client';
import Box from '@mui/material/Box';
import Stack from '@mui/material/Stack';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { hazardsByMaterial } from '@/core/chemistry';
import { batch, drySolids, mixDensity, percentOf, type Batch } from '@/core/slurry';
import { formatMass } from '@/core/units';
import { FormShell } from '@/ui/FormShell';
import { NumberField } from '@/ui/NumberField';
import { useUnits } from '@/ui/units';
import type { Recipe } from '@/data/recipes';
import { useContractForm } from '@/platform/useContractForm';
import { Caution } from '@/ui/Caution';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { TickList, useTicks } from '@/features/ticks';
import { useSay } from '@/ui/Undo';
import type { RecipeMaterial } from '../recipe';
import { BucketFields } from './BucketFields';
import { Variants } from './Variants';
import * as contracts from '../contracts';

/** From a recipe to a bucket: how much, what to beware of, weighing with ticks, the bucket. */
export function MixRoom({
  coating,
  version,
  recipe,
  materials,
}: {
  coating: { name: string; slug: string };
  version: { id: string; no: number };
  recipe: Recipe;
  materials: readonly RecipeMaterial[];
}) {
  const router = useRouter();
  const say = useSay();
  const units = useUnits();
  const weight = (grams: number): string => formatMass(grams, units, step ?? undefined);
  const [dry, setDry] = useState<number | null>(2000);
  const [step, setStep] = useState<number | null>(1);
  const [of, setOf] = useState<'base' | 'total'>('base');
  const [sg, setSg] = useState<number | null>(1.45);
  const used = recipe.lines.flatMap((line) => materials.find((one) => one.id === line.materialId) ?? []);
  const ticks = `mix/${version.id}/${dry}/${step}/${of}`;
  const { ticked, clear } = useTicks(ticks);
  let made: Batch | null = null;
  let wrong: string | null = null;
  try {
    made = batch(percentOf(recipe.lines), dry ?? Number.NaN, step ?? Number.NaN, of);
  } catch (error) {
    wrong = error instanceof Error ? error.message : 'This cannot be weighed.';
  }
  let litres: number | null = null;
  let wrongSg: string | null = null;
  try {
    const density = mixDensity(
      recipe.lines.map((line) => ({
        amount: line.amount,
        density: materials.find((one) => one.id === line.materialId)?.density ?? null,
      })),
    );
    litres = made === null ? null : made.grams / drySolids(sg ?? Number.NaN, density);
  } catch (error) {
    wrongSg = error instanceof Error ? error.message : 'Give a specific gravity, such as 1.45.';
  }
  const water = litres === null || made === null ? null : litres * (sg ?? 0) - made.grams / 1000;
  const short = (made?.lines ?? []).flatMap((line, i) => {
    const stock = used[i]?.stockG ?? null;
    return stock !== null && stock < line.grams
      ? [`${line.name}: ${weight(stock)} on the shelf, ${weight(line.grams)} wanted`]
      : [];
  });
  const price = (made?.lines ?? []).reduce<number | null>((sum, line, i) => {
    const each = used[i]?.pricePerKg ?? null;
    return sum === null || each === null ? null : sum + (each * line.grams) / 1000;
  }, 0);
  const form = useContractForm(contracts.mix, {
    start: {
      versionId: version.id,
      fields: {
        name: coating.name,
        dryG: null,
        shape: 'round',
        widthMm: 300,
        depthMm: 350,
        litres: null,
        advice: { dips: 1, seconds: 3, dryingSign: '', restirMinutes: 5, sg: 1.45 },
      },
      weighed: null,
    },
    draft: version.id,
    // What was weighed is what the sheet above says, at the moment it goes into the bucket.
    complete: (typed) => ({
      ...typed,
      fields: {
        ...typed.fields,
        dryG: made?.grams ?? null,
        litres: typed.fields.litres ?? (litres === null ? null : Number(litres.toFixed(2))),
      },
      weighed: (made?.lines ?? []).map((line, i) => ({
        materialId: recipe.lines[i]!.materialId,
        name: line.name,
        grams: line.grams,
      })),
    }),
    done: ({ data }) => {
      clear();
      say('It is in the bucket; its materials are off the shelf');
      router.push(`/store/buckets/${data.id}`);
      router.refresh();
    },
  });
  return (
    <Box>
      <Caution>
        Dry powders: fitted respirator, not a paper mask; no sweeping, wipe wet; no food at the bench.
      </Caution>
      {hazardsByMaterial(used, ['dust']).map(({ words, from }) => (
        <Typography key={words} variant="body2" sx={{ mb: 0.5 }}>
          <b>{from.join(', ')}:</b> {words}
        </Typography>
      ))}
      <Box sx={{ mt: 3 }} />
      <Section title="How much">
        <Stack direction="row" spacing={1} sx={{ flexWrap: 'wrap', rowGap: 1 }}>
          <NumberField label="Dry weight" quantity="mass" value={dry} onChange={setDry} width={150} />
          <ToggleButtonGroup
            exclusive
            size="small"
            value={of}
            aria-label="The dry weight is"
            onChange={(_, next: 'base' | 'total' | null) => next && setOf(next)}
          >
            <ToggleButton value="base">of the base</ToggleButton>
            <ToggleButton value="total">of everything</ToggleButton>
          </ToggleButtonGroup>
          <NumberField label="Scale shows" quantity="mass" value={step} onChange={setStep} width={130} />
          <NumberField label="To SG" value={sg} onChange={setSg} width={110} />
        </Stack>
        <ProblemNote>{wrong ?? wrongSg}</ProblemNote>
        {made && (
          <Typography sx={{ mt: 1 }}>
            {weight(made.grams)} dry
            {litres !== null && water !== null && (
              <>
                {' '}
                with about <b>{water.toFixed(2)} l</b> of water makes <b>{litres.toFixed(2)} l</b>
              </>
            )}
            {price !== null && used.length > 0 && `; materials about ${price.toFixed(2)}`}.
            {made.worst > 0.02 &&
              ` The scale is coarse for this: a line is off by up to ${Math.round(100 * made.worst)} %.`}
          </Typography>
        )}
        {short.map((text) => (
          <Typography key={text} sx={{ fontWeight: 650 }}>
            {text}.
          </Typography>
        ))}
      </Section>
      {made && (
        <Section title="Weigh out">
          <TickList
            id={ticks}
            columns={['Material', '', 'Weigh']}
            groups={[
              {
                title: '',
                rows: made.lines.map((line, i) => [
                  line.name,
                  [recipe.lines[i]?.supply ?? '', line.addition ? 'addition' : ''].filter(Boolean).join(', '),
                  weight(line.grams),
                ]),
              },
            ]}
          />
        </Section>
      )}
      <Section title="Several variants of it">
        <Box component="details" sx={{ '& summary': { cursor: 'pointer', mb: 1 } }}>
          <summary>In what order to mix variants that share this base</summary>
          <Variants id={version.id} />
        </Box>
      </Section>
      <Section title="Into the bucket">
        <FormShell
          form={form}
          waits={made === null}
          act={
            ticked.size < recipe.lines.length
              ? `It is a bucket now (${ticked.size} of ${recipe.lines.length} ticked)`
              : 'It is a bucket now'
          }
          sx={{}}
        >
          <BucketFields />
        </FormShell>
      </Section>
    </Box>
  );
}
