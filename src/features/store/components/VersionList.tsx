'use client';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell, GROWS } from '@/ui/FormShell';
import { TextInput } from '@/ui/fields';
import { useSay } from '@/ui/Undo';
import { day } from '@/ui/time';
import * as contracts from '../contracts';
import type { Coating } from '@/data/coatings';

/** A coating's versions, and the act of making the next one when its recipe or materials change. */
export function VersionList({
  coating,
  timeZone,
  edit,
}: {
  coating: Coating;
  timeZone: string;
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.addVersion, {
    start: { coatingId: coating.id, notes: '' },
    draft: coating.id,
    done: ({ data }) => {
      form.reset();
      say(`Version ${data.no} is made; new tiles use it`);
      router.refresh();
    },
  });
  return (
    <>
      {[...coating.versions].reverse().map((version) => (
        <Typography key={version.id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
          <b>Version {version.no}</b>, {day(version.createdAt, timeZone)}
          {version.notes === '' ? '' : `: ${version.notes}`}
        </Typography>
      ))}
      {edit && (
        <FormShell form={form} act="Make next version" row sx={{ mt: 1 }}>
          <TextInput
            control={form.control}
            name="notes"
            label="What changed"
            placeholder="New supplier of feldspar"
            sx={GROWS}
          />
        </FormShell>
      )}
    </>
  );
}
