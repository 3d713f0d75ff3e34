'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { COUNTS } from '@/core/designs';
import type { Question } from '@/data/questions';
import { useContractForm } from '@/platform/useContractForm';
import { useSend } from '@/platform/useSend';
import { FieldGrid } from '@/ui/FieldGrid';
import { FormShell } from '@/ui/FormShell';
import { ChoiceInput, choices } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** What came out, against what was expected, on several counts, and what to change next. */
export function ConcludeForm({ question }: { question: Pick<Question, 'id' | 'expected'> }) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.conclude, {
    start: {
      id: question.id,
      conclusion: { said: '', asExpected: 'as expected', counts: {}, nextChange: '' },
    },
    draft: question.id,
    done: ({ undo }) => {
      say('Concluded', undo);
      router.refresh();
    },
  });
  const { control } = form;
  return (
    <FormShell form={form} act="Conclude" sx={{ maxWidth: 760 }}>
      <TextInput control={control} name="conclusion.said" label="What came out" multiline />
      <ChoiceInput
        control={control}
        name="conclusion.asExpected"
        label={question.expected === '' ? 'Against what was expected' : `Expected was: ${question.expected}`}
        choices={choices(['as expected', 'otherwise', 'cannot tell'])}
      />
      <FieldGrid wide={3}>
        {COUNTS.map((count) => (
          <TextInput
            key={count}
            control={control}
            name={`conclusion.counts.${count}`}
            label={count === 'mix a bucket' ? 'Would we mix a bucket?' : `On ${count}`}
          />
        ))}
      </FieldGrid>
      <TextInput control={control} name="conclusion.nextChange" label="Next change" />
    </FormShell>
  );
}

/** Opens a concluded question again. */
export function ReopenButton({ id }: { id: string }) {
  const router = useRouter();
  const { act, busy } = useSend();
  return (
    <Button
      size="small"
      disabled={busy}
      onClick={() => void act(contracts.conclude, { id, conclusion: null }).then(() => router.refresh())}
    >
      Open it again
    </Button>
  );
}
