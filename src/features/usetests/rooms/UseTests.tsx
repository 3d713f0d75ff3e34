import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { failures, latestOf, ONLY_BAD, resultWords, testKind } from '@/core/usetests';
import type { Source } from '@/data/database';
import type { Photo } from '@/data/photos';
import { testsOnPieces } from '@/data/use-tests';
import { Caution, Cautions } from '@/ui/Caution';
import { Fold } from '@/ui/Fold';
import { Section } from '@/ui/Page';
import { Picture } from '@/ui/Picture';
import { calendarDay, today } from '@/ui/time';
import { Strike } from '../components/Strike';
import { UseTestForm } from '../components/UseTestForm';

/** What tests found on a piece, stern things first; the form for the next. */
export async function UseTests({
  src,
  pieceId,
  photos,
  timeZone,
  writes,
}: {
  src: Source;
  pieceId: string;
  photos: readonly Photo[];
  timeZone: string;
  writes: boolean;
}) {
  const tests = await testsOnPieces(src, [pieceId]);
  if (tests.length === 0 && !writes) return null;
  const newest = new Set(latestOf(tests).map(({ id }) => id));
  return (
    <Section title="Tests of body and use">
      <Cautions>{failures(tests).map(({ words }) => words)}</Cautions>
      {tests.length > 0 && <Caution brief>{ONLY_BAD}</Caution>}
      {tests.map((test) => {
        const taken = photos.filter(({ createdAt }) => today(timeZone, createdAt) === test.doneOn);
        return (
          <Box
            key={test.id}
            sx={{
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 0.75,
              display: 'flex',
              gap: 1,
            }}
          >
            <Box sx={{ flex: 1 }}>
              <Typography sx={{ fontWeight: newest.has(test.id) ? 650 : 400 }}>
                {testKind(test.kind)?.name ?? test.kind}: {resultWords(test)}
              </Typography>
              {test.note !== '' && <Typography>{test.note}</Typography>}
              <Typography variant="body2" color="text.secondary">
                {calendarDay(test.doneOn)}, {test.by}
                {test.dueOn === null ? '' : `; due again ${calendarDay(test.dueOn)}`}
              </Typography>
              {writes && <Strike id={test.id} />}
            </Box>
            {taken[0] !== undefined && (
              <Box sx={{ width: 84, flex: 'none' }}>
                <Picture sha={taken[0].sha} alt="Picture of that day" />
              </Box>
            )}
          </Box>
        );
      })}
      {writes && (
        <Fold
          id="use-test"
          title="A test was done"
          hint="ice, boiling water, lemon, dishwasher, cutlery, absorption, a laboratory"
        >
          <UseTestForm pieceId={pieceId} today={today(timeZone)} />
        </Fold>
      )}
    </Section>
  );
}
