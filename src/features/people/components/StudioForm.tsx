'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import type { Studio } from '@/data/studio';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { ChoiceInput, NumberInput, TextInput } from '@/ui/fields';
import { studioSchema } from '../schema';

export function StudioForm({ studio }: { studio: Studio }) {
  const router = useRouter();
  const say = useSay();
  const { control, handleSubmit, setError, formState } = useForm<Studio>({
    resolver: zodResolver(studioSchema),
    defaultValues: studio,
  });
  const { act, busy, problem } = useSend();
  const submit = handleSubmit(async (values) => {
    const answer = await act('people.save-studio', values);
    showFieldProblems(answer, setError);
    if (answer.ok) {
      say('Settings saved');
      router.refresh();
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Stack spacing={2} sx={{ maxWidth: 640 }}>
        <TextInput control={control} name="name" label="Studio’s name" />
        <TextInput control={control} name="timeZone" label="Time zone" />
        <Stack direction="row" spacing={2} useFlexGap sx={{ flexWrap: 'wrap' }}>
          <ChoiceInput
            control={control}
            name="temperatureUnit"
            label="Temperature"
            choices={[
              { value: 'C', label: '°C' },
              { value: 'F', label: '°F' },
            ]}
          />
          <ChoiceInput
            control={control}
            name="lengthUnit"
            label="Length"
            choices={[
              { value: 'mm', label: 'mm' },
              { value: 'in', label: 'inch' },
            ]}
          />
          <ChoiceInput
            control={control}
            name="massUnit"
            label="Mass"
            choices={[
              { value: 'g', label: 'g, kg' },
              { value: 'oz', label: 'oz, lb' },
            ]}
          />
        </Stack>
        <Stack direction="row" spacing={2}>
          <NumberInput
            control={control}
            name="crackAtC"
            label="Crack the lid below, °C"
            helper="Opened hotter, pots and shelves crack and people burn."
          />
          <NumberInput control={control} name="unloadAtC" label="Unload by hand below, °C" />
        </Stack>
        <ProblemNote>{problem}</ProblemNote>
        <Button
          type="submit"
          variant="contained"
          disabled={busy || !formState.isDirty}
          sx={{ alignSelf: 'flex-start' }}
        >
          Save settings
        </Button>
      </Stack>
    </form>
  );
}
