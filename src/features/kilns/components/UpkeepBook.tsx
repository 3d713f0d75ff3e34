'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useWatch } from 'react-hook-form';
import { v7 } from 'uuid';
import { UPKEEP_KINDS, type UpkeepKind } from '@/core/firing';
import type { Upkeep } from '@/data/kiln-care';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell, GROWS } from '@/ui/FormShell';
import { SelectInput } from '@/ui/choice-fields';
import { DateInput } from '@/ui/DateInput';
import { TextInput } from '@/ui/fields';
import { Caution } from '@/ui/Caution';
import { calendarDay } from '@/ui/time';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

const WORDS: Record<UpkeepKind, string> = {
  elements: 'New elements',
  thermocouple: 'New thermocouple',
  chrome: 'Chrome in the bricks',
  idle: 'Stood idle',
  repair: 'Repair',
  ground: 'Shelves ground',
  other: 'Other',
};

/** What was done to the kiln. New elements or a new thermocouple begin a new series. */
export function UpkeepBook({
  kilnId,
  upkeep,
  today,
  edit,
}: {
  kilnId: string;
  upkeep: readonly Upkeep[];
  today: string;
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const blank = { kilnId, kind: 'elements' as const, doneOn: today, note: '' };
  const form = useContractForm(contracts.upkeep, {
    start: { ...blank, id: v7() },
    draft: kilnId,
    done: ({ undo }) => {
      form.reset({ ...blank, id: v7() });
      say('Written down', undo);
      router.refresh();
    },
  });
  const { control, act, busy } = form;
  const kind = useWatch({ control, name: 'kind' });
  const drop = async (id: string): Promise<void> => {
    const answer = await act(contracts.dropUpkeep, { id, dropped: true });
    if (!answer.ok) return;
    router.refresh();
    say('Line taken out', answer.undo);
  };
  return (
    <Box>
      {edit && (
        <FormShell form={form} act="Write down" row sx={{ mb: 1 }}>
          <SelectInput
            control={control}
            name="kind"
            label="What"
            choices={UPKEEP_KINDS.map((value) => ({ value, label: WORDS[value] }))}
            sx={{ width: { sm: 210 } }}
          />
          <Box sx={{ width: { sm: 170 } }}>
            <DateInput control={control} name="doneOn" label="On" />
          </Box>
          <TextInput control={control} name="note" label="Note" sx={GROWS} />
        </FormShell>
      )}
      {edit && (kind === 'elements' || kind === 'thermocouple' || kind === 'repair') && (
        <Caution>
          Isolate the kiln and lock it off before anybody reaches in; electrical work is for licensed people.
          What was learned of this thermocouple begins anew.
        </Caution>
      )}
      {upkeep.length === 0 && <Typography>Nothing on record.</Typography>}
      {upkeep.map((one) => (
        <Box
          key={one.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: '110px 1fr auto',
            gap: 1,
            borderTop: '1px solid',
            borderColor: 'divider',
            py: 0.5,
            alignItems: 'baseline',
          }}
        >
          <Typography color="text.secondary">{calendarDay(one.doneOn)}</Typography>
          <Typography>
            <b>{WORDS[one.kind]}</b>
            {one.note ? `: ${one.note}` : ''} <small>{one.by}</small>
          </Typography>
          {edit && (
            <Button size="small" disabled={busy} onClick={() => void drop(one.id)}>
              Take out
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
