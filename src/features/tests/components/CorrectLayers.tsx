'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, type Control } from 'react-hook-form';
import { z } from 'zod';
import type { Units } from '@/core/units';
import { showFieldProblems, useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { layerSchema, type LayerInput } from '../schema';
import { LayerEditor, type CoatingChoice, type LayersForm } from './LayerEditor';
import { StackPreview } from './StackPreview';

const schema = z.object({
  layers: z.array(layerSchema).max(12),
  faces: z.any(),
  heightMm: z.any(),
});

/** Puts on record what was really done; what was meant stays beside it. */
export function CorrectLayers(props: {
  pieceId: string;
  layers: readonly LayerInput[];
  faces: LayersForm['faces'];
  heightMm: number | null;
  coatings: readonly CoatingChoice[];
  bodyColour: string;
  form: string;
  units: Units;
  generation: number;
}) {
  const router = useRouter();
  const say = useSay();
  const [open, setOpen] = useState(false);
  const { control, handleSubmit, setError, formState, reset } = useForm<LayersForm>({
    resolver: zodResolver(schema) as never,
    defaultValues: { layers: [...props.layers], faces: props.faces, heightMm: props.heightMm },
  });
  const { act, busy, problem } = useSend();
  const submit = handleSubmit(async ({ layers }) => {
    const answer = await act('tests.correct-layers', { pieceIds: [props.pieceId], layers });
    showFieldProblems(answer, setError);
    if (!answer.ok) return;
    say('What was done is on record; the chart follows');
    setOpen(false);
    router.refresh();
  });
  if (!open)
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        {props.generation > 1 ? 'Correct, or add a coat for the refire' : 'Correct what was done'}
      </Button>
    );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0,1fr) 300px' },
        }}
      >
        <LayerEditor
          control={control}
          coatings={props.coatings}
          units={props.units}
          errors={formState.errors}
          generation={props.generation}
        />
        <StackPreview
          control={control as Control<LayersForm>}
          coatings={props.coatings}
          bodyColour={props.bodyColour}
          form={props.form}
        />
      </Box>
      <ProblemNote>{problem}</ProblemNote>
      <Stack direction="row" spacing={1} sx={{ mt: 2 }}>
        <Button type="submit" variant="contained" disabled={busy}>
          Save what was done
        </Button>
        <Button
          onClick={() => {
            reset();
            setOpen(false);
          }}
        >
          Leave it
        </Button>
      </Stack>
    </form>
  );
}
