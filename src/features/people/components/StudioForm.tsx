'use client';
import { useRouter } from 'next/navigation';
import type { Studio } from '@/data/studio';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import { StudioFields } from './StudioFields';

export function StudioForm({ studio }: { studio: Studio }) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.saveStudio, {
    start: { studio },
    draft: 'settings',
    done: (_, sent) => {
      say('Settings saved');
      form.reset(sent);
      router.refresh();
    },
  });
  return (
    <FormShell form={form} act="Save settings" waits={!form.formState.isDirty}>
      <StudioFields />
    </FormShell>
  );
}
