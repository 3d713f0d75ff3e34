import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { describePiece, nameIn } from '@/core/zones';
import { count } from '@/core/units';
import { Line, Lines } from '@/ui/Lines';
import { glazeFirings, openFiringsOf, ownUnwritten } from '@/data/placements';
import { listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import { facesOf, layersOf } from '@/data/layers';
import { permit } from '@/features/people';
import { stateWords } from '@/data/journey';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { MONO } from '@/ui/theme';
import { calendarDay } from '@/ui/time';
import { ToCollect } from '../../handing/rooms/ToCollect';
import { firingTitle } from '@/core/firing';
import { firingCalendar } from '@/features/firings/server';
import { coatNames, listCoatings } from '@/data/coatings';

export async function OwnPiecesPage() {
  const { person } = await enter(permit('write of own pieces'));
  const db = database();
  const pieces = await listPieces(db, { ownerId: person.id });
  const ids = pieces.map((piece) => piece.id);
  const [faces, layers, open, fired, photos, coatings, out] = await Promise.all([
    facesOf(db, ids),
    layersOf(db, ids, ['done']),
    openFiringsOf(db, ids),
    glazeFirings(db, ids),
    listPhotos(db, { pieceIds: ids }),
    listCoatings(db),
    ownUnwritten(db, person.id),
  ]);
  const { coming } = await firingCalendar(db);
  const coat = nameIn(coatNames(coatings));
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
          <Box key={firing.id} sx={{ borderLeft: '4px solid', borderColor: 'text.primary', pl: 1.5, mb: 2 }}>
            <Typography sx={{ fontWeight: 700 }}>
              {firingTitle(firing)}, {calendarDay(firing.plannedFor)}
              {firing.bringBy ? `: bring work by ${calendarDay(firing.bringBy)}` : ''}
            </Typography>
            <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.notice}</Typography>
          </Box>
        ))}
      {out.length > 0 && (
        <Lines>
          {out.map(({ firingId, label, pieces: n }) => (
            <Line
              key={firingId}
              figure={n}
              act={
                <Button component={Link} href={`/opening/${firingId}`} variant="contained">
                  Write them up
                </Button>
              }
            >
              <Typography sx={{ fontWeight: 650 }}>
                {count(n, 'piece')} of yours came out of {label}
              </Typography>
              <Typography variant="body2">Nobody has written up yet how they came out.</Typography>
            </Line>
          ))}
        </Lines>
      )}
      <ToCollect src={db} ownerId={person.id} />
      {pieces.length === 0 && (
        <Nothing>
          No piece is in your name yet. A technician or teacher puts your name to what you make; then you can
          see here where it is.
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
              {describePiece(
                faces.get(piece.id) ?? [],
                layers.get(piece.id) ?? [],
                { coat, body: piece.bodyName },
                piece.keyKnown,
              )}
            </Typography>
            <Typography variant="body2" sx={{ fontWeight: 650 }}>
              {stateWords(piece, open.get(piece.id)?.label, fired.get(piece.id) ?? 0)}
            </Typography>
          </Box>
        ))}
      </Box>
    </Page>
  );
}
