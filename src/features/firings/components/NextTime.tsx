'use client';
import { useRouter } from 'next/navigation';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { useSay } from '@/ui/Undo';
import { TextInput } from '@/ui/fields';
import * as contracts from '../contracts';

/** What we want to do otherwise: comes up when the next firing of this kiln is planned. */
export function NextTime({
  firingId,
  nextTime,
  energyUsed,
  unit,
}: {
  firingId: string;
  nextTime: string;
  energyUsed: number | null;
  unit: string;
}) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.setRun, {
    start: { firingId, nextTime, energyUsed },
    draft: `next/${firingId}`,
    done: () => {
      say('Kept for next time');
      router.refresh();
    },
  });
  const { control } = form;
  return (
    <FormShell form={form} act="Keep for next time">
      <TextInput
        control={control}
        name="nextTime"
        label="Next time"
        multiline
        minRows={2}
        placeholder="Start the reduction earlier; bottom shelf ten degrees cool."
        helper="Shown when the next firing of this kiln is planned."
      />
      <NumberInput control={control} name="energyUsed" label={`Meter, ${unit}`} width={200} />
    </FormShell>
  );
}
