import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { enter } from '@/platform/access';
import { Nothing, Page, Section } from '@/ui/Page';
import { moment } from '@/ui/time';
import { permit } from '../../people';
import { BackupRoom } from '../components/BackupRoom';
import { lastFaults, readHouse } from '../server';

/** Backups, and what went wrong in the last days. */
export async function BackupsPage() {
  const { studio } = await enter(permit('run the studio'));
  const [state, faults] = [readHouse(), await lastFaults(new Date())];
  return (
    <Page
      title="Backups"
      lead="7 nights, 4 weeks and 12 months are kept. A backup holds everything, passwords and pictures too: keep it as you keep the key."
    >
      {state === null ? (
        <Nothing>
          Nobody keeps this studio’s house: it was not begun with ./start, which makes the backups.
        </Nothing>
      ) : (
        <BackupRoom first={state} studio={studio.name} timeZone={studio.timeZone} />
      )}
      <Section title="What went wrong in the last seven days">
        {faults.length === 0 ? (
          <Nothing>Nothing that was written down.</Nothing>
        ) : (
          <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {faults.map((one, i) => (
              <Box component="li" key={i} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.5 }}>
                <Typography variant="body2">
                  {moment(one.at, studio.timeZone)}
                  {one.where === '' ? '' : `, ${one.where}`}
                  {one.no === null ? '' : `, fault ${one.no}`}
                </Typography>
                <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
                  {one.said}
                </Typography>
              </Box>
            ))}
          </Box>
        )}
      </Section>
    </Page>
  );
}
