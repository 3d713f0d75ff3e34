import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { listBodies } from '@/data/bodies';
import { coatNames, listCoatings } from '@/data/coatings';
import { controlPieces, readControl } from '@/data/control';
import type { Source } from '@/data/database';
import Link from '@/ui/Link';
import { PutControlIn } from '../components/PutControlIn';
import { namedStack } from '../named';

/**
 * Of a glaze load without a control tile: the one that waits, to be put in with one touch; nothing where
 * there is one.
 */
export async function ControlInLoad({ src, firingId }: { src: Source; firingId: string }) {
  const control = await readControl(src);
  if (control === null) return null;
  const [inside, waiting] = await Promise.all([
    controlPieces(src, control, { firingId }),
    controlPieces(src, control, 'waiting'),
  ]);
  if (inside.length > 0) return null;
  const [bodies, coatings] = await Promise.all([listBodies(src), listCoatings(src)]);
  const name = namedStack(control, bodies, coatNames(coatings));
  return (
    <Box
      sx={{
        borderLeft: '4px solid',
        pl: 1.5,
        mb: 2,
        display: 'flex',
        gap: 2,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Typography>
        <b>No control tile is in this load</b> ({name}).{' '}
        {waiting.length === 0
          ? 'None waits for a glaze firing.'
          : `${waiting.length} wait${waiting.length === 1 ? 's' : ''}.`}
      </Typography>
      {waiting[0] !== undefined ? (
        <PutControlIn firingId={firingId} piece={waiting[0]} />
      ) : (
        <Button component={Link} href="/tests/make" variant="outlined">
          Make some
        </Button>
      )}
    </Box>
  );
}
