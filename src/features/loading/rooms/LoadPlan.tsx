import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { shelfOf, type Footprint } from '@/core/load';
import Link from '@/ui/Link';
import { Nothing } from '@/ui/Page';
import type { CheckedLoad } from '../load-check';
import { LoadChecks } from '../components/LoadChecks';
import { ShelfPlan } from '../components/ShelfPlan';

/** The shelves of a load drawn, once the kiln's shelf has been measured. */
function Shelves({
  firingId,
  checked: { kiln, items },
  waiting,
  edit,
}: {
  firingId: string;
  checked: CheckedLoad;
  waiting: readonly { id: string; code: string; footprint: Footprint }[];
  edit: boolean;
}) {
  const shelf = shelfOf(kiln, kiln.posts);
  if (shelf === null)
    return (
      <Nothing
        act={
          <Button component={Link} href={`/kilns/${kiln.slug}/settings`} variant="outlined">
            Measure its shelf
          </Button>
        }
      >
        Once the shelf of {kiln.name} is measured, the load can be drawn and packed to scale, and the plan is
        the key when numbers burn off.
      </Nothing>
    );
  if (items.length === 0)
    return <Typography>Put pieces in below; then they can be packed and moved here.</Typography>;
  return (
    <ShelfPlan
      key={items
        .map(({ placementId }) => placementId)
        .sort()
        .join()}
      firingId={firingId}
      kilnId={kiln.id}
      shelf={shelf}
      shelves={kiln.shelves}
      chamberMm={kiln.chamberMm}
      thermocouple={
        kiln.thermocoupleXMm === null || kiln.thermocoupleYMm === null
          ? null
          : { xMm: kiln.thermocoupleXMm, yMm: kiln.thermocoupleYMm }
      }
      items={items.map(
        ({ id, code, shelf: no, spot, footprint, setting, placementId, turned, form, owner }) => ({
          id,
          code,
          shelf: no,
          spot,
          footprint,
          setting,
          placementId,
          turned,
          form,
          owner,
        }),
      )}
      small={waiting}
      edit={edit}
    />
  );
}

export const LoadPlan = { Shelves, Checks: LoadChecks };
