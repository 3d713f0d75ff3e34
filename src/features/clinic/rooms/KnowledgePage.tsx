import Typography from '@mui/material/Typography';
import { saidOfCauses } from '@/data/clinic';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { Knowledge } from '../components/Knowledge';

export async function KnowledgePage() {
  const { person } = await enter(permit('see the chart'));
  const said = await saidOfCauses(database());
  return (
    <Page title="What the clinic knows" lead="Faults, their causes, and what speaks for and against each.">
      <Typography sx={{ mb: 2 }}>
        Shares say in how many of 100 cases of a fault a cause takes part, with nothing else known; they are
        one bench’s judgement, right within a factor of two, and move with the cases that are confirmed here.
        Each cause says whether it is published theory, common practice or judgement.
      </Typography>
      <Knowledge
        said={said.map(({ cause, off, factor, reason, byName }) => ({
          cause,
          off,
          factor,
          reason,
          by: byName,
        }))}
        mayDisagree={may(person, 'run the studio')}
      />
    </Page>
  );
}
