'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FormProvider } from 'react-hook-form';
import { useContractForm } from '@/platform/useContractForm';
import { CheckInput } from '@/ui/fields';
import { FormShell } from '@/ui/FormShell';
import { useSay } from '@/ui/Undo';
import { LayerEditor, type CoatingChoice, type LayersForm } from './LayerEditor';
import { StackPreview } from './StackPreview';
import * as contracts from '../contracts';

type Correcting = LayersForm & {
  pieceId: string;
  coatings: readonly CoatingChoice[];
  bodyColour: string;
  form: string;
  generation: number;
  /** What is on record is somebody's recollection. */
  likely: boolean;
};

/** Puts on record what was really done; what was meant stays beside it. */
export function CorrectLayers(props: Correcting) {
  const [open, setOpen] = useState(false);
  if (open) return <Correction {...props} onDone={() => setOpen(false)} />;
  return (
    <Button variant="outlined" onClick={() => setOpen(true)}>
      {props.generation > 1 ? 'Correct, or add a coat for the refire' : 'Correct what was done'}
    </Button>
  );
}

function Correction({ onDone, ...props }: Correcting & { onDone: () => void }) {
  const router = useRouter();
  const say = useSay();
  const { pieceId, layers, likely, faces, heightMm } = props;
  // Faces and height are shown beside the layers and are not sent.
  const start = { pieceIds: [pieceId], layers, likely, faces, heightMm };
  const form = useContractForm(contracts.correctLayers, {
    start,
    draft: pieceId,
    complete: ({ pieceIds, layers, likely }) => ({ pieceIds, layers, likely }),
    done: () => {
      say('What was done is on record; the chart follows');
      onDone();
      router.refresh();
    },
  });
  return (
    <FormProvider {...form}>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0,1fr) 300px' },
        }}
      >
        <FormShell
          form={form}
          act="Save what was done"
          acts={<Button onClick={onDone}>Leave it</Button>}
          sx={{}}
        >
          <LayerEditor coatings={props.coatings} generation={props.generation} />
          <CheckInput
            control={form.control}
            name="likely"
            label="Likely so: from memory, not from a record"
          />
        </FormShell>
        <StackPreview coatings={props.coatings} bodyColour={props.bodyColour} form={props.form} />
      </Box>
    </FormProvider>
  );
}
