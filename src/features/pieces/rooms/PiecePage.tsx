import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { notFound, redirect } from 'next/navigation';
import { readCode } from '@/core/codes';
import { hasRings } from '@/core/designs';
import { airAt } from '@/core/atmosphere';
import { firedCautions } from '@/core/chemistry';
import { coneWords } from '@/core/firing';
import { formatLength, inUnits, type Units } from '@/core/units';
import { COATS_UNKNOWN, KEY_LIKELY, deviations, parseZoneKey, whereOnPiece } from '@/core/zones';
import { cautionsOf, coatsOn } from '@/data/cautions';
import { loadPieces } from '@/data/pieces';
import { unitsOf } from '@/data/studio';
import { Silhouette, namesOf, paintsOf, zoneLines } from '@/features/drawings';
import { may, maySeePiece, mayTouchPiece, permit } from '@/features/people';
import { PictureDrop } from '../../media';
import { listCases } from '@/data/clinic';
import { maySeeCase, Why } from '../../clinic';
import { SpeakHere } from '../../sounds';
import { Sounds } from '../../sounds/rooms/Sounds';
import { UseTests } from '../../usetests/rooms/UseTests';
import { CorrectLayers } from '../components/CorrectLayers';
import { EditPiece } from '../components/EditPiece';
import { PutRight } from '../components/PutRight';
import { FiringLooks } from '../components/FiringLooks';
import { PiecePictures } from '../../frames/rooms/PiecePictures';
import { framedPhotos } from '../../frames/server';
import { FlagList } from '../components/PieceActs';
import { stateWords } from '@/data/journey';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Cautions } from '@/ui/Caution';
import { Page, Section } from '@/ui/Page';
import { MONO } from '@/ui/theme';
import { calendarDay, moment } from '@/ui/time';
import { layerOf } from '../layers';
import { faultsOf, pinsOn, shownSpots } from '../spots';
import { pieceRoom } from '../queries';
import { paintable, type listCoatings } from '@/data/coatings';

export async function PiecePage({ params }: { params: Promise<{ code: string }> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const read = readCode(decodeURIComponent((await params).code));
  const db = database();
  const [piece] = read.ok ? await loadPieces(db, { codes: [read.code] }) : [];
  if (piece === undefined) notFound();
  if (!maySeePiece(person, piece)) redirect('/who-may');
  // Who may only look at it is not shown whose it is, and writes nothing.
  const own = mayTouchPiece(person, piece.ownerId);
  const keeps = may(person, 'keep records');
  const units: Units = unitsOf(studio);
  const { coatings, bodies, choices, photos, observations, placements, firings, open, times, sounds } =
    await pieceRoom(db, piece);
  const framed = await framedPhotos(db, photos, piece.id);
  const cases = (await listCases(db, { pieceId: piece.id, open: true })).filter((one) =>
    maySeeCase(person, one),
  );
  const coats = coatsOn({ faces: piece.faces, layers: piece.done });
  const cautions = firedCautions(coats.flatMap(await cautionsOf(db, coats)));
  const body = bodies.find((one) => one.id === piece.bodyId);
  const paints = paintsOf(body?.colour ?? '#cccccc', paintable(coatings), piece.bodyName);
  const name = (slug: string): string => paints.coat(slug).name;
  const whereOf = (zone: string): string => {
    const place = parseZoneKey(zone);
    return place === null ? '' : whereOnPiece(place, piece.faces, namesOf(paints).coat);
  };
  const otherwise = piece.meant.length === 0 ? [] : deviations(piece.meant, piece.done, name);
  const stages = placements
    .map((one) => ({ one, firing: firings.get(one.firingId) }))
    .sort(
      (a, b) =>
        (a.firing?.plannedFor ?? '').localeCompare(b.firing?.plannedFor ?? '') ||
        a.one.generation - b.one.generation,
    );
  const rings = (face: number): boolean =>
    hasRings(piece.form, piece.faces.find(({ no }) => no === face)?.surface ?? null);
  const firingBefore = (generation: number): string | undefined =>
    placements
      .filter((one) => one.generation > 0 && one.generation < generation)
      .sort((a, b) => b.generation - a.generation)[0]?.firingId;
  return (
    <Page
      title={
        <Box component="span" sx={{ fontFamily: MONO }}>
          {piece.code}
        </Box>
      }
      lead={`${piece.mark ? `“${piece.mark}”, ` : ''}${piece.form} in ${piece.bodyName}${piece.heightMm ? `, ${formatLength(piece.heightMm, units)}` : ''}${{ sure: '', likely: `, ${KEY_LIKELY}`, lost: `, ${COATS_UNKNOWN}` }[piece.keyKnown]}; ${stateWords(piece, open?.label, times)}${own && piece.ownerName ? `; belongs to ${piece.ownerName}` : ''}`}
      acts={
        keeps ? (
          <>
            <Button component={Link} href={`/tests/make?like=${piece.code}`} variant="contained">
              Make more like this
            </Button>
            <Button component={Link} href={`/tests/ask?design=list&match=${piece.code}`}>
              Match it
            </Button>
            <PutRight
              pieces={[{ id: piece.id, code: piece.code }]}
              bodies={choices.bodies}
              people={choices.people}
              label="Put right …"
            />
            {piece.lotId && (
              <Button component={Link} href={`/tests?lot=${piece.lotId}`} variant="outlined">
                Its lot
              </Button>
            )}
          </>
        ) : undefined
      }
    >
      <Box
        sx={{
          display: 'grid',
          gap: 4,
          gridTemplateColumns: { xs: '1fr', md: '300px minmax(0,1fr)' },
        }}
      >
        <Box>
          <Box
            sx={{
              bgcolor: 'booth.ground',
              color: 'booth.ink',
              p: 2,
              textAlign: 'center',
            }}
          >
            <Silhouette
              faces={piece.faces}
              layers={piece.done}
              paints={paints}
              height={250}
              form={piece.form}
              points={shownSpots(observations, framed.photos, rings)}
            />
          </Box>
          {own && piece.keySaid !== null && (
            <Typography variant="body2" color="text.secondary">
              What lies on it was said later: {piece.keySaid.by}, {moment(piece.keySaid.at, studio.timeZone)}
            </Typography>
          )}
          <Cautions>{cautions}</Cautions>
          {(piece.keyKnown === 'lost' ? [] : zoneLines(piece.faces, piece.done, paints)).map((line) => (
            <Box key={line.key} sx={{ borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}>
              <Typography variant="body2" color="text.secondary">
                {line.where}
              </Typography>
              <Typography sx={{ fontWeight: 600 }}>{inUnits(line.what, units)}</Typography>
            </Box>
          ))}
        </Box>
        <Box>
          <PiecePictures
            piece={{ ...piece, known: piece.keyKnown !== 'lost' }}
            framed={framed}
            firings={stages.flatMap(({ one, firing }) =>
              firing === undefined
                ? []
                : [
                    {
                      firingId: one.firingId,
                      generation: one.generation,
                      label: `${firing.kilnName} ${firing.no}, ${calendarDay(firing.plannedFor)}`,
                    },
                  ],
            )}
            mayFrame={own}
            pins={(photo) => pinsOn(observations, photo, rings)}
            mayBin={keeps}
            more={
              own && (
                <PictureDrop
                  pieceId={piece.id}
                  firingId={
                    stages.filter(({ firing }) => firing?.status === 'opened').at(-1)?.one.firingId ?? null
                  }
                />
              )
            }
          />
          {otherwise.length > 0 && (
            <Section title="Done otherwise than meant">
              {otherwise.map((line) => (
                <Typography key={line}>{line}</Typography>
              ))}
            </Section>
          )}
          <Section title="Firings and what was seen">
            {stages.length === 0 && <Typography>Not in a kiln yet.</Typography>}
            {stages.map(({ one, firing }) => (
              <Box key={one.id} sx={{ mb: 2 }}>
                <Typography variant="h3">
                  {firing && keeps ? (
                    <Link href={`/kilns/firings/${firing.id}`}>
                      {firing.kilnName} {firing.no}
                    </Link>
                  ) : firing ? (
                    `${firing.kilnName} ${firing.no}`
                  ) : (
                    ''
                  )}
                  {firing
                    ? `: ${firing.kind}, ${coneWords({ known: firing.coneKnown, band: firing.coneBand })}, ${airAt(firing, one.shelf)}, ${calendarDay(firing.plannedFor)}`
                    : ''}
                  {one.shelf === null ? '' : `; shelf ${one.shelf}`}
                  {one.setting === 'unknown' ? '' : `, on ${one.setting}`}
                </Typography>
                <FiringLooks
                  looks={observations.filter((seen) => seen.firingId === one.firingId)}
                  before={observations.filter(
                    (seen) => one.generation > 1 && seen.firingId === firingBefore(one.generation),
                  )}
                  whereOf={whereOf}
                  opened={firing?.openedAt ?? null}
                  timeZone={studio.timeZone}
                  units={units}
                />
                {firing?.status === 'opened' && faultsOf(observations, one.firingId).length > 0 && (
                  <Why
                    pieceId={piece.id}
                    firingId={one.firingId}
                    signs={faultsOf(observations, one.firingId)}
                    open={cases.find((found) => found.firingId === one.firingId)?.id ?? null}
                  />
                )}
                {firing?.status === 'opened' &&
                  own &&
                  observations.some((seen) => seen.firingId === one.firingId) && (
                    <Button
                      component={Link}
                      href={`/opening/${firing.id}?piece=${piece.code}&look=desk`}
                      size="small"
                      variant="outlined"
                    >
                      Look again
                    </Button>
                  )}
                {firing?.status === 'opened' &&
                  firing.kind !== 'bisque' &&
                  observations.every((seen) => seen.firingId !== one.firingId) && (
                    <Typography>
                      Not written up yet.{' '}
                      {own && <Link href={`/opening/${firing.id}?piece=${piece.code}`}>Write it up</Link>}
                    </Typography>
                  )}
              </Box>
            ))}
          </Section>
          <div id="use-tests">
            <UseTests src={db} pieceId={piece.id} photos={photos} timeZone={studio.timeZone} writes={own} />
          </div>
          {own && (
            <Section title="Spoken">
              <Sounds sounds={sounds} timeZone={studio.timeZone} writes={own} />
              <SpeakHere
                of={{
                  pieceId: piece.id,
                  firingId: null,
                  label: piece.code,
                  about: `piece/${piece.code}`,
                }}
              />
            </Section>
          )}
          {own && (
            <Section title="Flags">
              <FlagList pieceId={piece.id} flags={piece.flags} mayClear={keeps} />
            </Section>
          )}
          {own && (
            <Section title="Particulars">
              <EditPiece
                start={{
                  pieceId: piece.id,
                  mark: piece.mark ?? '',
                  notes: piece.notes,
                  ownerId: piece.ownerId,
                  heightMm: piece.heightMm,
                  shown: piece.shown,
                }}
                people={choices.people}
                mayGive={keeps}
                owned={piece.ownerId !== null}
              />
            </Section>
          )}
          {keeps && (
            <Section title="Layers as done">
              <CorrectLayers
                pieceId={piece.id}
                faces={piece.faces.map((face) => ({
                  no: face.no,
                  kind: face.kind,
                  slipVersionId: null,
                }))}
                heightMm={piece.heightMm}
                layers={piece.done.map(layerOf)}
                likely={piece.keyKnown === 'likely'}
                coatings={allVersions(coatings)}
                bodyColour={body?.colour ?? '#cccccc'}
                form={piece.form}
                generation={times + 1}
              />
            </Section>
          )}
        </Box>
      </Box>
    </Page>
  );
}

/** Every version of every coating: an old piece names old ones. */
function allVersions(coatings: Awaited<ReturnType<typeof listCoatings>>) {
  return coatings.flatMap((coating) =>
    coating.versions.map((version) => ({
      versionId: version.id,
      name: coating.name,
      slug: coating.slug,
      kind: coating.kind,
      version: version.no,
      colour: coating.colour,
    })),
  );
}
