'use client';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import type { Taken } from '@/platform/contract';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { useSay } from '@/ui/Undo';
import { SelectInput } from '@/ui/choice-fields';
import { CheckInput, TextInput } from '@/ui/fields';
import * as contracts from '../contracts';

/** Mark, owner, height and notes of a piece; whether others may look at it, where it is somebody’s. */
export function EditPiece({
  start,
  people,
  mayGive,
  owned,
}: {
  start: Taken<typeof contracts.edit>;
  people: readonly { id: string; name: string }[];
  mayGive: boolean;
  owned: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.edit, {
    start,
    draft: start.pieceId,
    done: (_, sent) => {
      say('Saved');
      form.reset(sent);
      router.refresh();
    },
  });
  const { control } = form;
  return (
    <FormShell form={form} act="Save" waits={!form.formState.isDirty}>
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
        <NumberInput control={control} name="heightMm" quantity="length" label="Face, foot to rim" />
      </Stack>
      <TextInput control={control} name="notes" label="Notes" multiline minRows={2} />
      {owned && (
        <CheckInput
          control={control}
          name="shown"
          label="Others in the studio may look at it, with its pictures and what was seen"
        />
      )}
    </FormShell>
  );
}
