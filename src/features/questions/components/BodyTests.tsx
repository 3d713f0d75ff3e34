'use client';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { formatCone } from '@/core/cones';
import type { BodyTest } from '@/data/stock';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { SelectInput } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { Nothing } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import { day } from '@/ui/time';
import * as contracts from '../contracts';

const KINDS = [
  { value: 'shrinkage', label: 'Shrinkage, %' },
  { value: 'absorption', label: 'Absorption, %' },
  { value: 'sag', label: 'Sag over a span, mm' },
  { value: 'plasticity', label: 'Plasticity, 1 to 5' },
  { value: 'melt', label: 'Melt, 0 to 5' },
  { value: 'strength of colour', label: 'Strength of colour, 0 to 5' },
  { value: 'expansion', label: 'Expansion, 10⁻⁶/K' },
];

/** What was measured of the clay itself. */
export function BodyTests({
  bodyId,
  tests,
  timeZone,
}: {
  bodyId: string;
  tests: readonly BodyTest[];
  timeZone: string;
}) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.testBody, {
    start: { bodyId, kind: 'shrinkage', value: null, cone: null, note: '' },
    draft: bodyId,
    done: (_, sent) => {
      form.reset({ ...sent, value: null, note: '' });
      say('Measured');
      router.refresh();
    },
  });
  const { control } = form;
  return (
    <>
      {tests.length === 0 && (
        <Nothing>
          Shrinkage, absorption, sag and melt of this clay stand here, and the expansion that its glazes are
          compared with.
        </Nothing>
      )}
      {tests.map((test) => (
        <Typography key={test.id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
          <b>
            {test.kind} {test.value}
          </b>
          {test.cone === null ? '' : `, cone ${formatCone(test.cone)}`}
          {test.note === '' ? '' : `: ${test.note}`}
          <Typography component="span" variant="body2" color="text.secondary">
            {' '}
            {day(test.at, timeZone)}, {test.by}
          </Typography>
        </Typography>
      ))}
      <FormShell form={form} act="Write it down" row sx={{ mt: 2 }}>
        <SelectInput
          control={control}
          name="kind"
          label="What was measured"
          choices={KINDS}
          sx={{ width: 210 }}
        />
        <NumberInput control={control} name="value" label="Figure" width={110} />
        <TextInput control={control} name="cone" label="Fired to cone" orNull sx={{ width: 130 }} />
        <TextInput control={control} name="note" label="How, and what was seen" sx={{ width: 260 }} />
      </FormShell>
    </>
  );
}
