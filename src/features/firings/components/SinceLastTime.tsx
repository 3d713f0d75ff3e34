import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Firing } from '@/data/firings';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';
import { calendarDay } from '@/ui/time';
import type { KilnKnown } from '../../kilns/server';
import { firingTitle, reachedWords } from '@/core/firing';
import type { Kiln } from '@/data/kilns';

/** Standing longer than this, brick takes up water from the air. Common practice, no source. */
const IDLE_WEEKS = 6;

/** What we said we would do, and what has changed in the kiln since. Nothing when there is nothing to say. */
export function SinceLastTime({
  before,
  known,
  kiln,
}: {
  before: Firing | null;
  known: KilnKnown;
  kiln: Pick<Kiln, 'name'>;
}) {
  const last = known.lessons.at(-1);
  const changed = known.since !== null && (last === undefined || known.offset === null) ? known.since : null;
  const weeks = known.idleWeeks;
  const idle = weeks !== null && weeks >= IDLE_WEEKS;
  const chrome = known.upkeep.find(({ kind }) => kind === 'chrome') ?? null;
  if (before === null && changed === null && !idle && chrome === null) return null;
  return (
    <Section title="Since last time">
      {before && (
        <Box sx={{ mb: 1 }}>
          <Typography>
            <Link href={`/kilns/firings/${before.id}`}>{firingTitle(before)}</Link>,{' '}
            {calendarDay(before.plannedFor)}, reached {reachedWords(before)}.
          </Typography>
          {before.nextTime !== '' && (
            <Typography
              sx={{
                fontSize: '1.2rem',
                borderLeft: '4px solid',
                borderColor: 'text.primary',
                pl: 1.5,
                my: 0.5,
                whiteSpace: 'pre-line',
              }}
            >
              {before.nextTime}
            </Typography>
          )}
          {before.notes !== '' && <Typography color="text.secondary">Noted then: {before.notes}</Typography>}
        </Box>
      )}
      {idle && (
        <Typography>
          {kiln.name} has stood idle for {weeks} weeks: its brick has taken up water. Fire it slowly, and do
          not trust the first firing with what matters.
        </Typography>
      )}
      {chrome && (
        <Typography>
          Chrome in the bricks since {calendarDay(chrome.doneOn)}
          {chrome.note ? ` (${chrome.note})` : ''}: tin whites may blush anywhere in it.
        </Typography>
      )}
      {changed && (
        <Typography>
          {kiln.name} has had new {changed.kind}, {calendarDay(changed.doneOn)}: what was learned before does
          not count. Set a pack of cones on two shelves.
        </Typography>
      )}
    </Section>
  );
}
