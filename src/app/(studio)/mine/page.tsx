import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { describeStack, stackOf } from '@/core/zones';
import { listCoatings } from '@/data/catalogue';
import { glazeFirings, openFiringsOf } from '@/data/placements';
import { listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import { layersOf } from '@/data/layers';
import { firingTitle } from '@/features/kilns';
import { firingCalendar } from '@/features/kilns/server';
import { permit } from '@/features/people';
import { stateOf } from '@/features/tests/state';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { MONO } from '@/ui/theme';
import { calendarDay } from '@/ui/time';

export const metadata = { title: 'My pieces' };

export default async function MinePage() {
  const { person } = await enter(permit('write of own pieces'));
  const db = database();
  const pieces = await listPieces(db, { ownerId: person.id });
  const ids = pieces.map((piece) => piece.id);
  const [layers, open, fired, photos, coatings] = [
    await layersOf(db, ids, ['done']),
    await openFiringsOf(db, ids),
    await glazeFirings(db, ids),
    await listPhotos(db, { pieceIds: ids }),
    await listCoatings(db),
  ];
  const { coming } = await firingCalendar(db);
  const names = new Map(coatings.map((coating) => [coating.slug, coating.name]));
  return (
    <Page
      title="My pieces"
      lead="Where they are, and what became of them."
      acts={
        <Button component={Link} href="/kilns/calendar" variant="outlined">
          Firings to come
        </Button>
      }
    >
      {coming
        .filter(({ firing }) => firing.notice !== '' && firing.status === 'planned')
        .map(({ firing }) => (
          <Box
            key={firing.id}
            sx={{ borderLeft: '4px solid', borderColor: 'text.primary', pl: 1.5, mb: 2 }}
          >
            <Typography sx={{ fontWeight: 700 }}>
              {firingTitle(firing)}, {calendarDay(firing.plannedFor)}
              {firing.bringBy ? `: bring work by ${calendarDay(firing.bringBy)}` : ''}
            </Typography>
            <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.notice}</Typography>
          </Box>
        ))}
      {pieces.length === 0 && (
        <Nothing>
          No piece is in your name yet. A technician or teacher puts your name to what you make;
          then you can see here where it is.
        </Nothing>
      )}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
        }}
      >
        {pieces.map((piece) => (
          <Box
            key={piece.id}
            component={Link}
            href={`/pieces/${piece.code}`}
            prefetch={false}
            sx={{ color: 'inherit', textDecoration: 'none' }}
          >
            <Picture
              sha={photos.find((photo) => photo.pieceId === piece.id)?.sha ?? null}
              alt={`Picture of ${piece.code}`}
            />
            <Typography sx={{ fontFamily: MONO, fontWeight: 700 }}>{piece.code}</Typography>
            <Typography variant="body2">
              {describeStack(
                stackOf(layers.get(piece.id) ?? []),
                (slug) => names.get(slug) ?? slug,
              )}
            </Typography>
            <Typography variant="body2" sx={{ fontWeight: 650 }}>
              {stateOf(piece, open.get(piece.id)?.label, fired.get(piece.id) ?? 0)}
            </Typography>
          </Box>
        ))}
      </Box>
    </Page>
  );
}
