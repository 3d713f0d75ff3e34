import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { formatCone } from '@/core/cones';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { calendarDay } from '@/ui/time';
import { firingCalendar } from '../server';
import { firingTitle } from '@/core/firing';

const full = (days: number | null): string =>
  days === null ? 'nothing has come lately' : days === 0 ? 'full' : `full in about ${days} days`;

export async function CalendarPage() {
  const { person } = await enter(permit('see the chart'));
  const { coming, waiting } = await firingCalendar(database());
  const keeps = may(person, 'keep records');
  return (
    <Page
      title="Calendar of firings"
      lead="What is to come, who sees to it, and when a load will be full."
      acts={
        <Button component="a" href="/api/calendar" variant="outlined">
          As iCalendar
        </Button>
      }
    >
      <Section title="To come">
        {coming.length === 0 && <Nothing>No firing is planned.</Nothing>}
        {coming.map(({ firing, pieces, usual, duty }) => (
          <Box
            key={firing.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '150px 1fr auto' },
              gap: { xs: 0.25, sm: 2 },
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 1,
            }}
          >
            <Typography sx={{ fontWeight: 700, fontSize: '1.1rem' }}>
              {calendarDay(firing.plannedFor)}
            </Typography>
            <Box>
              <Typography sx={{ fontWeight: 650 }}>
                {keeps ? (
                  <Link href={`/kilns/firings/${firing.id}`}>{firingTitle(firing)}</Link>
                ) : (
                  firingTitle(firing)
                )}
                : {firing.kind}
                {firing.targetCone ? `, cone ${formatCone(firing.targetCone)}` : ''}, {firing.atmosphere}
                {firing.status === 'planned' ? '' : ` (${firing.status})`}
              </Typography>
              {firing.bringBy && <Typography>Bring work by {calendarDay(firing.bringBy)}.</Typography>}
              {firing.notice && <Typography sx={{ whiteSpace: 'pre-line' }}>{firing.notice}</Typography>}
            </Box>
            <Typography color="text.secondary" sx={{ textAlign: { sm: 'right' } }}>
              {count(pieces, 'piece')}
              {usual ? ` of about ${usual}` : ''}
              <br />
              {duty ?? 'nobody on duty yet'}
            </Typography>
          </Box>
        ))}
      </Section>
      <Section title="Waiting">
        {waiting.length === 0 && <Nothing>Nothing waits to be fired.</Nothing>}
        {waiting.map((group) => (
          <Box
            key={`${group.waitsFor}${group.cone}${group.atmosphere}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '70px 1fr', sm: '90px 1fr auto' },
              gap: 2,
              alignItems: 'center',
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 1,
            }}
          >
            <Typography sx={{ fontSize: '1.6rem', fontWeight: 700 }}>{group.count}</Typography>
            <Typography>
              <b>
                for {group.waitsFor}
                {group.cone ? `, cone ${formatCone(group.cone)}` : ''}
                {group.atmosphere ? `, ${group.atmosphere}` : ''}
              </b>
              <br />
              {group.usual === null
                ? 'no firing of this kind to go by'
                : `a usual load holds ${group.usual}: ${full(group.fullIn)}`}
            </Typography>
            {keeps && (
              <Button
                component={Link}
                variant="outlined"
                href={
                  group.planned
                    ? `/kilns/firings/${group.planned.id}`
                    : `/kilns/plan?${new URLSearchParams({ kind: group.waitsFor, ...(group.cone ? { cone: group.cone } : {}), ...(group.atmosphere ? { atmosphere: group.atmosphere } : {}) }).toString()}`
                }
              >
                {group.planned ? `Load ${firingTitle(group.planned)}` : 'Plan a firing'}
              </Button>
            )}
          </Box>
        ))}
      </Section>
    </Page>
  );
}
