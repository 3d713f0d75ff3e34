'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { NumberInput, SelectInput, TextInput } from '@/ui/fields';
import { editPieceSchema } from '../schema';

/** Mark, owner, height and notes of a piece. */
export function EditPiece({
  start,
  people,
  mayGive,
}: {
  start: z.input<typeof editPieceSchema>;
  people: readonly { id: string; name: string }[];
  mayGive: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { control, handleSubmit, setError, formState, reset } = useForm({
    resolver: zodResolver(editPieceSchema),
    defaultValues: start,
  });
  const { act, busy, problem } = useSend();
  const submit = handleSubmit(async (values) => {
    const answer = await act('tests.edit-piece', values);
    showFieldProblems(answer, setError);
    if (!answer.ok) return;
    say('Saved');
    reset(values);
    router.refresh();
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Stack spacing={1.5}>
        <Stack direction={{ xs: 'column', sm: 'row' }} spacing={1.5}>
          <TextInput control={control} name="mark" label="The studio’s own mark" />
          {mayGive && (
            <SelectInput
              control={control}
              name="ownerId"
              label="Belongs to"
              none="the studio"
              choices={people.map(({ id, name }) => ({ value: id, label: name }))}
            />
          )}
          <NumberInput control={control} name="heightMm" label="Face, foot to rim, mm" />
        </Stack>
        <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
        <ProblemNote>{problem}</ProblemNote>
        <Button
          type="submit"
          variant="outlined"
          disabled={busy || !formState.isDirty}
          sx={{ alignSelf: 'flex-start' }}
        >
          Save
        </Button>
      </Stack>
    </form>
  );
}
