import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { readSchedule } from '@/core/heatwork';
import { count, formatDuration, formatTemperature } from '@/core/units';
import { listSchedules } from '@/data/schedules';
import { unitsOf } from '@/data/studio';
import { HoldTool } from '../components/HoldTool';
import { scheduleKilns } from '../server';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { ordinalWords } from '@/core/firing';

export async function SchedulesPage() {
  const { person, studio } = await enter(permit('see records'));
  const db = database();
  const [schedules, kilns] = await Promise.all([listSchedules(db), scheduleKilns(db)]);
  const units = unitsOf(studio);
  const keeps = may(person, 'keep records');
  const used = schedules.filter(({ archived }) => !archived);
  const away = schedules.filter(({ archived }) => archived);
  return (
    <Page
      title="Schedules"
      lead="What a program comes to on each kiln, by its heat work and what its cones have taught."
      acts={
        keeps ? (
          <Button component={Link} href="/kilns/schedules/new" variant="contained">
            Write a schedule
          </Button>
        ) : undefined
      }
    >
      {used.length === 0 && (
        <Nothing>
          No schedule yet: segments of a rate, a temperature and a hold. Kilns with a mechanical shut-off need
          none.
        </Nothing>
      )}
      {used.map((schedule) => {
        const peak = Math.max(...schedule.segments.map(({ target }) => target));
        return (
          <Box
            key={schedule.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '1.2fr 1fr 1.4fr' },
              gap: { xs: 0.25, sm: 2 },
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 1,
            }}
          >
            <Typography sx={{ fontWeight: 700 }}>
              <Link href={`/kilns/schedules/${schedule.id}`}>{schedule.name}</Link>
            </Typography>
            <Typography>
              {count(schedule.segments.length, 'segment')}, top {formatTemperature(peak, units)},{' '}
              {formatDuration(readSchedule(schedule.segments).hours * 60)}
            </Typography>
            <Typography>
              {kilns
                .map(
                  (kiln) =>
                    `${kiln.name}: ${ordinalWords(readSchedule(schedule.segments, { offset: kiln.offset ?? 0, pace: { climb: kiln.climb, drop: 200 } }).ordinal)}`,
                )
                .join('; ')}
            </Typography>
          </Box>
        );
      })}
      <Box sx={{ height: 24 }} />
      <Section title="How long must I hold?">
        <HoldTool kilns={kilns} />
      </Section>
      {away.length > 0 && (
        <Section title="Put away">
          {away.map((schedule) => (
            <Typography key={schedule.id}>
              <Link href={`/kilns/schedules/${schedule.id}`}>{schedule.name}</Link>
            </Typography>
          ))}
        </Section>
      )}
    </Page>
  );
}
