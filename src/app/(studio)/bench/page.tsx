import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from '@/ui/Link';
import type { ReactNode } from 'react';
import { formatCone } from '@/core/cones';
import { formatRate, formatTemperature } from '@/core/units';
import { listBodies, listCoatings, listKilns, type Kiln } from '@/data/catalogue';
import { daySheet } from '@/features/bench/queries';
import { permit } from '@/features/people';
import { firingTitle, reachedWords } from '@/features/kilns/words';
import { firingRoom } from '@/features/kilns/server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page, Section } from '@/ui/Page';
import { MONO } from '@/ui/theme';
import { calendarDay, moment, today } from '@/ui/time';

export const metadata = { title: 'Bench' };

/** A line of the day sheet: a figure, what it is, and its next act. */
function Line({
  figure,
  children,
  act,
}: {
  figure: ReactNode;
  children: ReactNode;
  act: ReactNode;
}) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '76px 1fr', sm: '112px 1fr auto' },
        gap: 2,
        alignItems: 'center',
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
      }}
    >
      <Typography component="div" sx={{ fontSize: '1.7rem', fontWeight: 700, lineHeight: 1.05 }}>
        {figure}
      </Typography>
      <Box sx={{ minWidth: 0 }}>{children}</Box>
      <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>{act}</Box>
    </Box>
  );
}

const Lines = ({ children }: { children: ReactNode }) => (
  <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
    {children}
  </Box>
);

export default async function BenchPage() {
  const { studio } = await enter(permit('see records'));
  const db = database();
  const [sheet, bodies, coatings, kilns] = [
    await daySheet(db),
    await listBodies(db),
    await listCoatings(db),
    await listKilns(db),
  ];
  const units = { temperature: studio.temperatureUnit, length: 'mm', mass: 'g' } as const;
  const crack = formatTemperature(studio.crackAtC, units);
  const hot = await Promise.all(
    sheet.hot.map(async (one) => ({
      ...one,
      room: await firingRoom(
        db,
        one.firing,
        kilns.find(({ id }) => id === one.firing.kilnId) as Kiln,
        studio,
      ),
    })),
  );
  const fresh = bodies.length === 0 || coatings.length === 0 || kilns.length === 0;
  return (
    <Page
      title="Bench"
      lead={`${studio.name}, ${calendarDay(today(studio.timeZone))}`}
      acts={
        <>
          <Button component={Link} href="/tests/make" variant="contained">
            Make tiles
          </Button>
          <Button component={Link} href="/kilns/plan" variant="outlined">
            Plan a firing
          </Button>
          <Button component={Link} href="/chart" variant="outlined">
            Look at the chart
          </Button>
        </>
      }
    >
      {fresh && (
        <Section title="To begin">
          <Lines>
            <Line
              figure={bodies.length > 0 ? '✓' : '1'}
              act={
                <Button
                  component={Link}
                  href="/store/bodies/new"
                  variant={bodies.length > 0 ? 'text' : 'contained'}
                >
                  Add a body
                </Button>
              }
            >
              <Typography>The clay bodies you use: {bodies.length} in the store.</Typography>
            </Line>
            <Line
              figure={coatings.length > 0 ? '✓' : '2'}
              act={
                <Button
                  component={Link}
                  href="/store/coatings/new"
                  variant={coatings.length > 0 ? 'text' : 'contained'}
                >
                  Add a coating
                </Button>
              }
            >
              <Typography>Glazes, slips and washes: {coatings.length} in the store.</Typography>
            </Line>
            <Line
              figure={kilns.length > 0 ? '✓' : '3'}
              act={
                <Button
                  component={Link}
                  href="/kilns/new"
                  variant={kilns.length > 0 ? 'text' : 'contained'}
                >
                  Add a kiln
                </Button>
              }
            >
              <Typography>Your kilns: {kilns.length} so far.</Typography>
            </Line>
            <Line
              figure="or"
              act={
                <Button component={Link} href="/studio/import" variant="outlined">
                  Bring in past tests
                </Button>
              }
            >
              <Typography>
                A spreadsheet of past tests brings bodies, coatings, kilns and results with it.
              </Typography>
            </Line>
          </Lines>
        </Section>
      )}
      <Section title="In the kilns">
        {sheet.hot.length === 0 && <Nothing>No kiln is hot.</Nothing>}
        <Lines>
          {hot.map(({ firing, pieces, room }) => (
            <Line
              key={firing.id}
              figure={
                room.last === null ? (
                  firing.kilnName
                ) : (
                  <>
                    {formatTemperature(room.last.celsius, units)}
                    <Typography sx={{ fontWeight: 600 }}>{firing.kilnName}</Typography>
                  </>
                )
              }
              act={
                <Button component={Link} href={`/kilns/firings/${firing.id}`} variant="outlined">
                  {firing.status === 'firing' ? 'Look after it' : 'Open kiln …'}
                </Button>
              }
            >
              {room.alarms.map((alarm) => (
                <Typography key={alarm.message} role="alert" sx={{ fontWeight: 800 }}>
                  {alarm.message}
                </Typography>
              ))}
              <Typography sx={{ fontWeight: 650 }}>
                {firing.status === 'firing' ? 'Climbing' : 'Cooling'}
                {room.rate === null ? '' : ` ${formatRate(room.rate, units)}`}: {firing.kind}, cone{' '}
                {formatCone(firing.targetCone)}, {firing.atmosphere}, {pieces} pieces
              </Typography>
              <Typography variant="body2" color="text.secondary">
                {firing.startedAt ? `Lit ${moment(firing.startedAt, studio.timeZone)}. ` : ''}
                {room.last ? `Read ${moment(room.last.at, studio.timeZone)}. ` : ''}
                {firing.status === 'cooling'
                  ? room.cool?.crack && room.last
                    ? room.cool.crack.hours === 0
                      ? `It may be cracked now (${crack}).`
                      : `Below ${crack} about ${moment(new Date(room.last.at.getTime() + room.cool.crack.hours * 3_600_000), studio.timeZone)}.`
                    : `Crack the lid below ${crack}.`
                  : ''}
              </Typography>
            </Line>
          ))}
        </Lines>
      </Section>
      <Section title="To be written up">
        {sheet.openings.length === 0 && <Nothing>Every opening is written up.</Nothing>}
        <Lines>
          {sheet.openings.map(({ firing, written, pieces }) => (
            <Line
              key={firing.id}
              figure={`${written}/${pieces}`}
              act={
                <Button component={Link} href={`/opening/${firing.id}`} variant="contained">
                  {written === 0 ? 'Write up opening' : 'Go on writing up'}
                </Button>
              }
            >
              <Typography sx={{ fontWeight: 650 }}>
                {firingTitle(firing)}: {firing.kind}, {reachedWords(firing)}
              </Typography>
              <Typography variant="body2" color="text.secondary">
                {firing.openedAt ? `Opened ${moment(firing.openedAt, studio.timeZone)}` : ''}
              </Typography>
            </Line>
          ))}
        </Lines>
      </Section>
      <Section title="Waiting to be fired">
        {sheet.waiting.length === 0 && (
          <Nothing
            act={
              <Button component={Link} href="/tests/make" variant="outlined">
                Make tiles
              </Button>
            }
          >
            Nothing waits.
          </Nothing>
        )}
        <Lines>
          {sheet.waiting.map((group) => (
            <Line
              key={`${group.waitingFor}${group.cone}${group.atmosphere}`}
              figure={group.count}
              act={
                group.suits ? (
                  <Button
                    component={Link}
                    href={`/kilns/firings/${group.suits.id}`}
                    variant="outlined"
                  >
                    Load {firingTitle(group.suits)}
                  </Button>
                ) : (
                  <Button
                    component={Link}
                    href={`/kilns/plan?${new URLSearchParams({ kind: group.waitingFor, ...(group.cone ? { cone: group.cone } : {}), ...(group.atmosphere ? { atmosphere: group.atmosphere } : {}) }).toString()}`}
                    variant="outlined"
                  >
                    Plan a firing for them
                  </Button>
                )
              }
            >
              <Typography sx={{ fontWeight: 650 }}>
                {group.count === 1 ? 'piece' : 'pieces'} for {group.waitingFor}
                {group.waitingFor !== 'bisque' && group.cone
                  ? `, cone ${formatCone(group.cone)}`
                  : ''}
                {group.waitingFor !== 'bisque' && group.atmosphere ? `, ${group.atmosphere}` : ''}
              </Typography>
            </Line>
          ))}
        </Lines>
      </Section>
      {sheet.planned.length > 0 && (
        <Section title="Planned">
          <Lines>
            {sheet.planned.map(({ firing, pieces }) => (
              <Line
                key={firing.id}
                figure={pieces}
                act={
                  <Button component={Link} href={`/kilns/firings/${firing.id}`} variant="outlined">
                    {firing.status === 'planned' ? 'Load kiln' : 'Start firing …'}
                  </Button>
                }
              >
                <Typography sx={{ fontWeight: 650 }}>
                  {pieces === 1 ? 'piece' : 'pieces'} in {firingTitle(firing)}: {firing.kind}
                  {firing.targetCone ? `, cone ${formatCone(firing.targetCone)}` : ''},{' '}
                  {calendarDay(firing.plannedFor)}
                </Typography>
              </Line>
            ))}
          </Lines>
        </Section>
      )}
      {(sheet.ripe.length > 0 || sheet.short.length > 0 || sheet.off.length > 0) && (
        <Section title="Tests and store">
          <Lines>
            {sheet.ripe.map((question) => (
              <Line
                key={question.id}
                figure={`${question.tiles}`}
                act={
                  <Button
                    component={Link}
                    href={`/tests/questions/${question.no}`}
                    variant="outlined"
                  >
                    Conclude
                  </Button>
                }
              >
                <Typography sx={{ fontWeight: 650 }}>{question.text}</Typography>
                <Typography variant="body2">All its tiles are written up.</Typography>
              </Line>
            ))}
            {sheet.off.map(({ bucket, sg }) => (
              <Line
                key={bucket.id}
                figure={sg.toFixed(2)}
                act={
                  <Button component={Link} href={`/store/buckets/${bucket.id}`} variant="outlined">
                    {sg > (bucket.advice.sg ?? 0) ? 'Thin it' : 'Thicken it'}
                  </Button>
                }
              >
                <Typography sx={{ fontWeight: 650 }}>{bucket.name}</Typography>
                <Typography variant="body2">
                  SG; it should have {bucket.advice.sg?.toFixed(2)}.
                </Typography>
              </Line>
            ))}
            {sheet.short.map((stock) => (
              <Line
                key={`${stock.bodyId}/${stock.form}/${stock.faces}`}
                figure={stock.number}
                act={
                  <Button component={Link} href="/tests/stock" variant="outlined">
                    Tile stock
                  </Button>
                }
              >
                <Typography sx={{ fontWeight: 650 }}>
                  {stock.bodyName}, {stock.form}: blanks are running out
                </Typography>
                <Typography variant="body2">
                  {stock.usedLately} were used in the last 90 days.
                </Typography>
              </Line>
            ))}
          </Lines>
        </Section>
      )}
      {sheet.flagged.length > 0 && (
        <Section title="Flags on pieces to come">
          <Lines>
            {sheet.flagged.map((flag) => (
              <Line
                key={flag.code + flag.text}
                figure={<span style={{ fontFamily: MONO, fontSize: '1.2rem' }}>{flag.code}</span>}
                act={
                  <Button component={Link} href={`/pieces/${flag.code}`}>
                    See to it
                  </Button>
                }
              >
                <Typography>{flag.text}</Typography>
              </Line>
            ))}
          </Lines>
        </Section>
      )}
    </Page>
  );
}
