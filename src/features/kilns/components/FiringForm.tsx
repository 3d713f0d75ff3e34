'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { parseCone, usualPack } from '@/core/cones';
import { ATMOSPHERES } from '@/core/signs';
import type { Kiln } from '@/data/catalogue';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { ChoiceInput, DateInput, SelectInput, TextInput } from '@/ui/fields';
import { firingFields } from '../schema';

type Fields = z.input<typeof firingFields>;

const KINDS = [
  { value: 'glaze', label: 'Glaze' },
  { value: 'bisque', label: 'Bisque' },
  { value: 'refire', label: 'Refire' },
  { value: 'overglaze', label: 'Overglaze, lustre' },
  { value: 'once-fired', label: 'Once-fired' },
];

/** Plans a firing, or changes what was planned. A new one comes with its usual cone pack. */
export function FiringForm({
  kilns,
  start,
  existing,
  onDone,
}: {
  kilns: readonly Kiln[];
  start: Fields;
  existing?: { id: string; revision: number };
  onDone?: () => void;
}) {
  const router = useRouter();
  const say = useSay();
  const { control, handleSubmit, setError } = useForm<Fields>({
    resolver: zodResolver(firingFields) as never,
    defaultValues: start,
  });
  const { act, busy, problem } = useSend();
  const [kind, target, kilnId] = useWatch({ control, name: ['kind', 'targetCone', 'kilnId'] });
  const cone = parseCone(target ?? '');
  const shelves = kilns.find((kiln) => kiln.id === kilnId)?.shelves ?? 1;
  const submit = handleSubmit(async (fields) => {
    if (existing) {
      const answer = await act('kilns.edit-firing', {
        firingId: existing.id,
        revision: existing.revision,
        fields,
      });
      showFieldProblems(answer, setError, 'fields.');
      if (!answer.ok) return;
      say('Firing changed');
      onDone?.();
      router.refresh();
      return;
    }
    const places = shelves > 1 ? ['top shelf', 'bottom shelf'] : ['shelf'];
    const cones =
      fields.targetCone && kind !== 'bisque'
        ? places.flatMap((place) =>
            usualPack(fields.targetCone as string).map((one) => ({ ...one, place })),
          )
        : [];
    const answer = await act<{ id: string }>('kilns.plan', { fields, cones });
    showFieldProblems(answer, setError, 'fields.');
    if (answer.ok) router.push(`/kilns/firings/${answer.data.id}`);
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Stack spacing={2} sx={{ maxWidth: 720 }}>
        <ChoiceInput control={control} name="kind" label="Kind" choices={KINDS} />
        <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
          {!existing && (
            <SelectInput
              control={control}
              name="kilnId"
              label="Kiln"
              choices={kilns.map(({ id, name }) => ({ value: id, label: name }))}
            />
          )}
          <TextInput
            control={control}
            name="targetCone"
            label="Target cone"
            orNull
            helper={cone.ok || !target ? 'As in 6, 06 or 5½. Empty when there is none.' : undefined}
          />
          <SelectInput
            control={control}
            name="atmosphere"
            label="Atmosphere"
            choices={ATMOSPHERES.map((value) => ({ value, label: value }))}
          />
          <DateInput control={control} name="plannedFor" label="On" />
        </Box>
        <TextInput
          control={control}
          name="notes"
          label="Notes"
          multiline
          minRows={2}
          helper="Schedule, weather, what to watch."
        />
        <Caution>
          Damp ware explodes: dry it through. Keep what burns away from the kiln, vent the fumes,
          and never leave a kiln with a manual shut-off past its time. Reduction makes carbon
          monoxide: alarm and ventilation.
        </Caution>
        <ProblemNote>{problem}</ProblemNote>
        <Stack direction="row" spacing={1}>
          <Button type="submit" variant="contained" disabled={busy}>
            {existing ? 'Save' : 'Plan this firing'}
          </Button>
          {existing && <Button onClick={onDone}>Leave it</Button>}
        </Stack>
      </Stack>
    </form>
  );
}
