import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { notFound, redirect } from 'next/navigation';
import { shelfOf } from '@/core/load';
import { count, formatSpan } from '@/core/units';
import { listFirings } from '@/data/firings';
import { listTokens, listUpkeep, shelvesToGrind } from '@/data/kiln-care';
import { ToGrindList } from './GrindLines';
import { strayOf } from '@/data/readings';
import { coneMovesOf, listWitnesses } from '@/data/witnesses';
import { unitsOf } from '@/data/studio';
import { ConeRow } from '../../drawings';
import { ControlOfKiln } from '../../control/rooms/ControlOfKiln';
import { Devices } from '../components/Devices';
import { OffsetChart } from '../components/OffsetChart';
import { Strays } from '../../firelog';
import { UpkeepBook } from '../components/UpkeepBook';
import { intervalWords, offsetSaid } from '../words';
import { knownOf } from '../server';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Page, Section } from '@/ui/Page';
import { calendarDay, day, today } from '@/ui/time';
import { firingTitle, reachedWords } from '@/core/firing';
import { KilnForm } from '../components/KilnForm';
import { entryAt } from '@/data/entries';
import { listKilns } from '@/data/kilns';

export async function KilnPage({ params }: { params: Promise<{ slug: string }> }) {
  const { person, studio } = await enter(permit('see records'));
  const { slug } = await params;
  if (slug === 'new') {
    return (
      <Page title="A new kiln" lead="What it is and how it is run.">
        <KilnForm kiln={null} />
      </Page>
    );
  }
  const db = database();
  const kiln = entryAt(await listKilns(db), slug) ?? null;
  if (kiln === null) notFound();
  if (kiln.slug !== slug) redirect(`/kilns/${kiln.slug}`);
  const keeps = may(person, 'keep records');
  const [known, firings, upkeep, stray, moves, grind] = await Promise.all([
    knownOf(db, kiln.id),
    listFirings(db, { kilnId: kiln.id }),
    listUpkeep(db, [kiln.id]),
    strayOf(db, kiln.id),
    coneMovesOf(db, kiln.id, 8),
    shelvesToGrind(db, kiln.id),
  ]);
  const tokens = may(person, 'run the studio') ? await listTokens(db, kiln.id) : null;
  const opened = firings.filter(({ status, kind }) => status === 'opened' && kind !== 'bisque');
  const cones = await listWitnesses(
    db,
    opened.map(({ id }) => id),
  );
  const rows = opened.filter(({ id }) => (cones.get(id) ?? []).length > 0).slice(0, 14);
  const units = unitsOf(studio);
  const points = known.lessons
    .filter(({ said }) => said.length > 0)
    .map(({ no, said }) => ({
      no,
      low: said.reduce((sum, one) => sum + one.bounds[0]!.atLeast, 0) / said.length,
      high: said.reduce((sum, one) => sum + one.bounds[0]!.atMost, 0) / said.length,
    }));
  const { offset } = known;
  return (
    <Page
      title={kiln.name}
      lead={`${kiln.energy}${kiln.volumeL ? `, ${kiln.volumeL} l` : ''}, ${kiln.shelves} shelves${shelfOf(kiln) ? '' : ' (not measured yet)'}. ${kiln.notes}`}
      acts={
        keeps ? (
          <>
            <Button component={Link} href={`/kilns/plan?kiln=${kiln.slug}`} variant="contained">
              Plan a firing
            </Button>
            <Button component={Link} href={`/kilns/${kiln.slug}/settings`} variant="outlined">
              Settings
            </Button>
          </>
        ) : undefined
      }
    >
      {stray && keeps && (
        <Strays
          kilnId={kiln.id}
          firingId={firings.find(({ startedAt }) => startedAt !== null)?.id ?? null}
          stray={stray}
          units={units}
          timeZone={studio.timeZone}
        />
      )}
      {grind.length > 0 && (
        <Section title="Shelves to grind">
          <ToGrindList shelves={grind} today={today(studio.timeZone)} />
        </Section>
      )}
      <ControlOfKiln src={db} kilnId={kiln.id} />
      <Section title="Its thermocouple, by its cones">
        {offset === null ? (
          <Typography>
            No firing with both a log and witness cones yet
            {known.since ? ` since ${calendarDay(known.since.doneOn)}` : ''}. After the first, what the
            thermocouple is off by is learned, and schedules reckon with it.
          </Typography>
        ) : (
          <>
            <Typography sx={{ fontSize: '1.3rem', fontWeight: 650 }}>
              Reads {offsetSaid(offset, units)}
            </Typography>
            {offset.offset === null && (
              <Typography>
                Its cones bound it on one side only, so schedules take it at its word. A cone that is down
                beside one that stands says more.
              </Typography>
            )}
            <Typography sx={{ mb: 1 }}>
              95 %: {intervalWords(offset.low, offset.high, units)}, from {offset.firings}{' '}
              {offset.firings === 1 ? 'firing' : 'firings'}
              {known.since
                ? ` since ${known.since.kind} were changed, ${calendarDay(known.since.doneOn)}`
                : ''}
              . Single firings scatter by {formatSpan(offset.scatter, units)}.
            </Typography>
            <OffsetChart points={points} estimate={offset} units={units} />
          </>
        )}
        {known.places.length > 1 && (
          <Box sx={{ mt: 2 }}>
            <Typography variant="h3">Hot and cold places</Typography>
            {known.places.map((place) => (
              <Typography key={place.place}>
                <b>{place.place}</b>:{' '}
                {offset?.offset == null || place.offset === null
                  ? ''
                  : `${formatSpan(place.offset - offset.offset, units)} ${place.offset >= offset.offset ? 'hotter' : 'cooler'} than the kiln as a whole`}{' '}
                <small>
                  (there it reads {offsetSaid(place, units)}, 95 %:{' '}
                  {intervalWords(place.low, place.high, units)})
                </small>
              </Typography>
            ))}
          </Box>
        )}
        {known.before.length > 0 && (
          <Box sx={{ mt: 2 }}>
            <Typography variant="h3">Before</Typography>
            {known.before.map(({ until, offset: old }) => (
              <Typography key={until.id}>
                Until {calendarDay(until.doneOn)} ({until.kind}):{' '}
                {old === null
                  ? 'nothing learned'
                  : `read ${offsetSaid(old, units)}, from ${count(old.firings, 'firing')}`}
              </Typography>
            ))}
          </Box>
        )}
      </Section>
      {moves.length > 0 && (
        <Section title="Cones by log that moved">
          {moves.map((move) => (
            <Typography key={`${move.firingId}${move.at.toISOString()}`} variant="body2">
              {day(move.at, studio.timeZone)}:{' '}
              <Link href={`/kilns/firings/${move.firingId}`}>
                {kiln.name} {move.no}
              </Link>{' '}
              was “{move.was}”, is “{move.became}”
              {move.taughtNo === null ? '' : `, since ${kiln.name} ${move.taughtNo} was read`}.
            </Typography>
          ))}
        </Section>
      )}
      <Section title="Cone row">
        {rows.length === 0 ? (
          <Typography>No cones have been read in it yet.</Typography>
        ) : (
          <Box
            component="ol"
            tabIndex={0}
            aria-label={`Cones of ${kiln.name}, newest first`}
            sx={{
              listStyle: 'none',
              m: 0,
              p: 0,
              display: 'flex',
              overflowX: 'auto',
              borderBottom: '2px solid',
              borderColor: 'text.primary',
            }}
          >
            {rows.map((firing) => {
              const own = cones.get(firing.id) ?? [];
              return (
                <Box component="li" key={firing.id} sx={{ flex: 'none', width: 170, p: 1 }}>
                  <Link href={`/kilns/firings/${firing.id}`}>{firingTitle(firing)}</Link>
                  <ConeRow cones={own.filter((cone) => cone.place === own.at(-1)?.place)} size={44} />
                  <Typography variant="body2">{reachedWords(firing)}</Typography>
                </Box>
              );
            })}
          </Box>
        )}
      </Section>
      <Section title="Upkeep">
        <UpkeepBook kilnId={kiln.id} upkeep={upkeep} today={today(studio.timeZone)} edit={keeps} />
      </Section>
      {tokens && (
        <Section title="Devices">
          <Devices kilnId={kiln.id} tokens={tokens} timeZone={studio.timeZone} />
        </Section>
      )}
    </Page>
  );
}
