import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { count } from '@/core/units';
import Link from '@/ui/Link';
import { Nothing, Page } from '@/ui/Page';
import { FrameMany } from '../components/FrameMany';
import { picturesToFrame } from '../queries';

/** As many as one act takes, and as a person looks over at once. */
const AT_ONCE = 12;

/** Pictures without a frame, a dozen at a time. */
export async function FramePage() {
  const { person } = await enter(permit('write of own pieces'));
  const keeps = may(person, 'keep records');
  const { list, all, card } = await picturesToFrame(database(), keeps ? null : person.id, AT_ONCE);
  return (
    <Page
      title="Pictures without a frame"
      lead={
        all === 0
          ? 'Every picture of a piece has its frame.'
          : `${count(all, 'picture')}. A frame says where the piece is: then its zones are cut out, compared and measured. Touch one that is wrong.`
      }
    >
      {card === null && all > 0 && keeps && (
        <Typography sx={{ mb: 2 }}>
          The studio has not said what its grey card is: colours will not be measured.{' '}
          <Button component={Link} href="/studio" size="small">
            Say it
          </Button>
        </Typography>
      )}
      {all === 0 ? (
        <Nothing
          act={
            <Button component={Link} href="/chart" variant="outlined">
              To the chart
            </Button>
          }
        >
          Nothing is waiting here.
        </Nothing>
      ) : (
        // Another dozen is another form.
        <FrameMany key={list[0]?.photo.id ?? ''} list={list} all={all} card={card} />
      )}
    </Page>
  );
}
