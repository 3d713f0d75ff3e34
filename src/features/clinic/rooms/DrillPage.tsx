import Button from '@mui/material/Button';
import { randomInt } from 'node:crypto';
import { drillOf } from '@/core/diagnosis';
import { drillCases, drillPictures } from '@/data/drill';
import { keepRead } from '@/data/kept';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page } from '@/ui/Page';
import { Drill } from '../components/Drill';

const keptPictures = keepRead({ most: 1, key: () => '', read: drillPictures });
const keptCases = keepRead({ most: 1, key: () => '', read: drillCases });

/** Fewer pictures than this are known by heart. */
const LEAST = 4;

export async function DrillPage({ searchParams }: { searchParams: Promise<{ class?: string }> }) {
  await enter(permit('see the chart'));
  const db = database();
  const [pictures, cases] = await Promise.all([keptPictures(db), keptCases(db)]);
  const inClass = (await searchParams).class !== undefined;
  const questions = drillOf(pictures, cases, () => randomInt(1_000_000) / 1_000_000);
  return (
    <Page
      title={inClass ? 'The drill, for a class' : 'The drill'}
      lead={
        inClass
          ? 'One picture for the whole room: count hands, then show what it is.'
          : 'Ten pictures of this studio’s own pieces: what is it? Answers stay on this device.'
      }
      acts={
        <Button component={Link} href={inClass ? '/clinic/drill' : '/clinic/drill?class'} variant="outlined">
          {inClass ? 'Alone' : 'With a class'}
        </Button>
      }
    >
      {questions.length < LEAST ? (
        <Nothing
          act={
            <Button component={Link} href="/clinic/knows" variant="outlined">
              What the clinic knows
            </Button>
          }
        >
          The drill is made of this studio’s own pictures: pieces on which one fault or effect was written up.
          There are not enough of them yet.
        </Nothing>
      ) : (
        <Drill key={questions.map(({ sha }) => sha).join()} questions={questions} inClass={inClass} />
      )}
    </Page>
  );
}
