import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lookWords, stateOf } from '@/core/looks';
import { count } from '@/core/units';
import { listCoatings } from '@/data/coatings';
import { listFirings } from '@/data/firings';
import { listObservations, toldOf } from '@/data/observations';
import { listPhotos } from '@/data/photos';
import { listPieces } from '@/data/pieces';
import { listPlacements } from '@/data/placements';
import { listSounds } from '@/data/sounds';
import { unitsOf } from '@/data/studio';
import { firingTitle } from '@/core/firing';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { Sounds } from '../../sounds/rooms/Sounds';
import { KeyGrid } from '../components/KeyGrid';

const MOST = 120;

/** Pieces of which nobody knows what lies on them, firing by firing, with what was spoken of them beside. */
export async function KeysPage({ searchParams }: { searchParams: Promise<{ firing?: string }> }) {
  const { studio } = await enter(permit('keep records'));
  const db = database();
  const lost = await listPieces(db, { lost: true, limit: 600 });
  const ids = lost.map(({ id }) => id);
  const placements = ids.length === 0 ? [] : await listPlacements(db, { pieceIds: ids });
  const firings = await listFirings(db, { ids: [...new Set(placements.map(({ firingId }) => firingId))] });
  const groups = firings
    .map((firing) => ({
      firing,
      ids: new Set(placements.filter(({ firingId }) => firingId === firing.id).map(({ pieceId }) => pieceId)),
    }))
    .filter(({ ids }) => ids.size > 0);
  const asked = (await searchParams).firing;
  const chosen = groups.find(({ firing }) => firing.id === asked) ?? groups[0];
  const own = lost
    .filter(({ id }) => chosen?.ids.has(id))
    .sort((a, b) => (a.mark ?? a.code).localeCompare(b.mark ?? b.code, 'en', { numeric: true }))
    .slice(0, MOST);
  const pieceIds = own.map(({ id }) => id);
  const [coatings, looks, photos, ofPieces, ofFiring] = await Promise.all([
    listCoatings(db),
    pieceIds.length === 0 ? [] : listObservations(db, { pieceIds, current: true }),
    pieceIds.length === 0 ? [] : listPhotos(db, { pieceIds }),
    pieceIds.length === 0 ? [] : listSounds(db, { pieceIds }),
    chosen === undefined ? [] : listSounds(db, { firingId: chosen.firing.id }),
  ]);
  const sounds = [...new Map([...ofFiring, ...ofPieces].map((one) => [one.id, one])).values()];
  const seen = (id: string): string => {
    const now = stateOf(toldOf(looks, id))?.now;
    return now == null ? 'not written up' : lookWords(now, unitsOf(studio));
  };
  return (
    <Page
      title="What is on them?"
      lead="Pieces that were written up by their marks alone. Type or paste what lies on them; what nobody knows stays not known."
      wide
    >
      {chosen === undefined ? (
        <Nothing
          act={
            <Button component={Link} href="/tests/unregistered" variant="outlined">
              Write up things nobody registered
            </Button>
          }
        >
          Of every piece on record somebody knows what lies on it.
        </Nothing>
      ) : (
        <>
          {groups.length > 1 && (
            <Typography sx={{ mb: 1 }}>
              {groups.map(({ firing, ids: some }) => (
                <Button
                  key={firing.id}
                  component={Link}
                  href={`/tests/keys?firing=${firing.id}`}
                  variant={firing.id === chosen.firing.id ? 'contained' : 'text'}
                  size="small"
                >
                  {firingTitle(firing)}: {some.size}
                </Button>
              ))}
            </Typography>
          )}
          {sounds.length > 0 && (
            <Section title="Spoken of them">
              <Sounds sounds={sounds} timeZone={studio.timeZone} writes of />
            </Section>
          )}
          <Section title={`${firingTitle(chosen.firing)}: ${count(own.length, 'piece')}`}>
            <KeyGrid
              key={chosen.firing.id}
              about={chosen.firing.id}
              coatings={coatings.flatMap(({ name, archived, versions }) => {
                const last = versions.at(-1);
                return archived || last === undefined ? [] : [{ name, versionId: last.id }];
              })}
              pieces={own.map((piece) => ({
                id: piece.id,
                generation: 1,
                code: piece.code,
                mark: piece.mark,
                form: piece.form,
                sha: photos.find((photo) => photo.pieceId === piece.id)?.sha ?? null,
                seen: seen(piece.id),
              }))}
            />
          </Section>
        </>
      )}
    </Page>
  );
}
