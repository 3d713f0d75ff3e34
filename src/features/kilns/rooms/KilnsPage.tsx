import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import { formatCone } from '@/core/cones';
import { newestFirings } from '@/data/firings';
import { countPlacements } from '@/data/placements';
import { listWitnesses, type Witness } from '@/data/witnesses';
import { may, permit } from '@/features/people';
import { ConeRow } from '../../drawings';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page, Section } from '@/ui/Page';
import { calendarDay } from '@/ui/time';
import { reachedWords } from '@/core/firing';
import { listKilns } from '@/data/kilns';

const SHOWN = 24;

/** The cones of one place: enough to compare firings by. */
const firstPlace = (cones: readonly Witness[]): Witness[] =>
  cones.filter((cone) => cone.place === cones.at(-1)?.place);

export async function KilnsPage() {
  const { person } = await enter(permit('see records'));
  const db = database();
  const [all, firings] = await Promise.all([listKilns(db), newestFirings(db, SHOWN)]);
  const kilns = all.filter(({ mergedInto }) => mergedInto === null);
  const shown = kilns.map((kiln) => ({
    kiln,
    ...(firings.get(kiln.id) ?? { newest: [], all: 0 }),
  }));
  const ids = shown.flatMap(({ newest }) => newest.map(({ id }) => id));
  const [cones, counts] = await Promise.all([listWitnesses(db, ids), countPlacements(db, ids)]);
  return (
    <Page
      title="Kilns"
      wide
      lead="Each firing by its cone row, newest first: whether they bend alike shows how alike the kiln fires."
      acts={
        may(person, 'keep records') ? (
          <>
            <Button component={Link} href="/kilns/plan" variant="contained">
              Plan a firing
            </Button>
            <Button component={Link} href="/kilns/schedules" variant="outlined">
              Schedules
            </Button>
            <Button component={Link} href="/kilns/calendar" variant="outlined">
              Calendar
            </Button>
            <Button component={Link} href="/kilns/compare" variant="outlined">
              Compare
            </Button>
            <Button component={Link} href="/kilns/new">
              Add a kiln
            </Button>
          </>
        ) : undefined
      }
    >
      {kilns.length === 0 && (
        <Nothing
          act={
            <Button component={Link} href="/kilns/new" variant="contained">
              Add a kiln
            </Button>
          }
        >
          No kiln yet: its name, how it is heated and run, and how many shelves it has.
        </Nothing>
      )}
      {shown.map(({ kiln, newest, all }) => (
        <Section
          key={kiln.id}
          title={
            <>
              {kiln.name}{' '}
              <Typography component="span" color="text.secondary">
                {kiln.energy}
                {kiln.volumeL ? `, ${kiln.volumeL} l` : ''},{' '}
                {kiln.control === 'controller'
                  ? 'controller'
                  : kiln.control === 'shut-off'
                    ? 'mechanical shut-off'
                    : 'fired by hand'}
                ; {count(all, 'firing')}
              </Typography>
            </>
          }
          acts={<Link href={`/kilns/${kiln.slug}`}>Its thermocouple, upkeep, settings</Link>}
        >
          {all === 0 ? (
            <Nothing>It has not been fired on record yet.</Nothing>
          ) : (
            <Box
              component="ol"
              tabIndex={0}
              aria-label={`Firings of ${kiln.name}`}
              sx={{
                listStyle: 'none',
                m: 0,
                p: 0,
                display: 'flex',
                gap: 0,
                overflowX: 'auto',
                borderTop: '1px solid',
                borderBottom: '1px solid',
                borderColor: 'divider',
              }}
            >
              {newest.map((firing) => (
                <Box
                  component="li"
                  key={firing.id}
                  sx={{
                    flex: 'none',
                    width: 178,
                    borderRight: '1px solid',
                    borderColor: 'divider',
                    bgcolor: firing.status === 'opened' ? 'transparent' : 'background.paper',
                  }}
                >
                  <Box
                    component={Link}
                    href={`/kilns/firings/${firing.id}`}
                    prefetch={false}
                    sx={{
                      display: 'block',
                      color: 'inherit',
                      textDecoration: 'none',
                      p: 1.25,
                      minHeight: 168,
                      '&:hover': { bgcolor: 'background.paper' },
                    }}
                  >
                    <Typography sx={{ fontWeight: 700 }}>
                      {kiln.name} {firing.no}
                    </Typography>
                    <Typography variant="body2">
                      {firing.kind}
                      {firing.targetCone ? ` ${formatCone(firing.targetCone)}` : ''}, {firing.atmosphere}
                    </Typography>
                    <Box sx={{ my: 0.5, minHeight: 52 }}>
                      <ConeRow cones={firstPlace(cones.get(firing.id) ?? [])} size={46} />
                    </Box>
                    <Typography variant="body2" sx={{ fontWeight: 600 }}>
                      {firing.status === 'opened' ? reachedWords(firing) : firing.status}
                    </Typography>
                    <Typography variant="body2" color="text.secondary">
                      {calendarDay(firing.plannedFor)}, {counts.get(firing.id) ?? 0} pieces
                    </Typography>
                  </Box>
                </Box>
              ))}
            </Box>
          )}
        </Section>
      ))}
    </Page>
  );
}
