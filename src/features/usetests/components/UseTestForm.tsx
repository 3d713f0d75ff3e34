'use client';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useRouter } from 'next/navigation';
import { useWatch } from 'react-hook-form';
import { testKind } from '@/core/usetests';
import { useContractForm } from '@/platform/useContractForm';
import { SelectInput } from '@/ui/choice-fields';
import { FormShell } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { DateInput } from '@/ui/DateInput';
import { TextInput } from '@/ui/fields';
import { Caution } from '@/ui/Caution';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** Writes down a test: what is asked follows from its kind, and how it is done stands beside it. */
export function UseTestForm({ pieceId, today }: { pieceId: string; today: string }) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.done, {
    start: {
      pieceId,
      kind: 'ice',
      outcome: '',
      rounds: null,
      dryG: null,
      wetG: null,
      note: '',
      doneOn: today,
      dueOn: null,
    },
    draft: pieceId,
    done: ({ undo }, sent) => {
      form.reset({ ...sent, outcome: '', rounds: null, dryG: null, wetG: null, note: '', dueOn: null });
      say('Written down', undo);
      router.refresh();
    },
  });
  const { control } = form;
  const [kind, doneOn] = useWatch({ control, name: ['kind', 'doneOn'] });
  const test = testKind(kind)!;
  const choose = (next: string | number | null): void => {
    const { outcomes, againDays } = testKind(String(next))!;
    form.setValue('outcome', outcomes.length === 1 ? outcomes[0]!.id : '');
    form.setValue(
      'dueOn',
      againDays === null ? null : dayjs(doneOn).add(againDays, 'day').format('YYYY-MM-DD'),
    );
  };
  return (
    <FormShell form={form} act="Write it down" sx={{ mt: 2 }}>
      <SelectInput
        control={control}
        name="kind"
        label="Which test"
        choices={contracts.KINDS}
        onPick={choose}
      />
      <Typography variant="body2">
        {test.how} <b>It finds:</b> {test.finds}
      </Typography>
      {test.caution !== undefined && <Caution>{test.caution}</Caution>}
      {test.outcomes.length > 1 && (
        <SelectInput
          control={control}
          name="outcome"
          label="What was found"
          choices={test.outcomes.map(({ id, words }) => ({ value: id, label: words }))}
        />
      )}
      {test.counted !== null && (
        <NumberInput control={control} name="rounds" label={`How many ${test.counted}s`} width={160} />
      )}
      {test.weighs && (
        <>
          <NumberInput control={control} name="dryG" label="Dry, g" width={130} />
          <NumberInput control={control} name="wetG" label="Soaked, g" width={130} />
        </>
      )}
      <DateInput control={control} name="doneOn" label="Done on" />
      <DateInput control={control} name="dueOn" label="Due again on" />
      <TextInput control={control} name="note" label="Note" />
    </FormShell>
  );
}
