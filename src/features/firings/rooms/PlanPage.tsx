import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { permit } from '@/features/people';
import { PlanForm } from '../components/FiringForm';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page } from '@/ui/Page';
import { today } from '@/ui/time';
import { listKilns } from '@/data/kilns';
import { usualFirings } from '@/data/kiln-firings';

export async function PlanPage({
  searchParams,
}: {
  searchParams: Promise<{ kiln?: string; cone?: string; atmosphere?: string; kind?: string }>;
}) {
  const { studio } = await enter(permit('keep records'));
  const query = await searchParams;
  const kilns = (await listKilns(database())).filter((kiln) => !kiln.archived);
  const usual = await usualFirings(
    database(),
    kilns.map(({ id }) => id),
  );
  const kiln = kilns.find((one) => one.slug === query.kiln) ?? kilns[0];
  const own = usual[kiln?.id ?? ''];
  return (
    <Page title="Plan a firing" lead="Then put pieces in, from the queue or by their codes.">
      {kiln === undefined ? (
        <Nothing
          act={
            <Button component={Link} href="/kilns/new" variant="contained">
              Add a kiln
            </Button>
          }
        >
          A firing needs a kiln: add one first.
        </Nothing>
      ) : (
        <PlanForm
          kilns={kilns}
          usual={usual}
          start={{
            kilnId: kiln.id,
            kind: (query.kind as 'glaze') ?? own?.kind ?? 'glaze',
            targetCone: query.cone ?? own?.targetCone ?? '6',
            atmosphere: (query.atmosphere as 'oxidation') ?? own?.atmosphere ?? 'oxidation',
            plannedFor: today(studio.timeZone),
            notes: '',
          }}
        />
      )}
    </Page>
  );
}
