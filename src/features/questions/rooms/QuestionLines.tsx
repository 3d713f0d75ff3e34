import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { daysLeft } from '@/core/designs';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';
import { ripeQuestions } from '@/data/questions';
import { tileStock } from '@/data/stock';
import { Line } from '@/ui/Lines';
import { caseSays } from '../../clinic/server';
import Link from '@/ui/Link';

/** So many cases are reckoned on the day sheet; of more only that they wait. */
const MOST_SAID = 3;

/** Questions whose tiles are all written up, as lines of the day sheet. */
export async function ripeLines(src: Source): Promise<ReactElement[]> {
  const ripe = await ripeQuestions(src);
  const says = new Map<string, string | null>();
  for (const { waiting } of ripe.filter((one) => one.waiting !== null).slice(0, MOST_SAID))
    says.set(waiting!.caseId, await caseSays(src, waiting!.caseId, new Date()));
  return ripe.map((question) => (
    <Line
      key={question.id}
      figure={`${question.tiles}`}
      act={
        question.waiting === null ? (
          <Button component={Link} href={`/tests/questions/${question.no}`} variant="outlined">
            Conclude
          </Button>
        ) : (
          <Button component={Link} href={`/clinic/cases/${question.waiting.caseId}`} variant="outlined">
            What did it show?
          </Button>
        )
      }
    >
      <Typography sx={{ fontWeight: 650 }}>{question.text}</Typography>
      <Typography variant="body2">
        All its tiles are written up
        {question.waiting === null ? '' : `; case ${question.waiting.caseNo} waits for them`}.
      </Typography>
      {question.waiting !== null && says.get(question.waiting.caseId) && (
        <Typography variant="body2">{says.get(question.waiting.caseId)}</Typography>
      )}
    </Line>
  ));
}

/** Blanks that last shorter than this are said to run out, days. */
const SOON = 21;

/** What is on the board of blanks, of a day: how fast they went is counted up to it. */
const keptStock = keepRead({
  most: 1,
  key: (day: string) => day,
  read: (src: Source, day: string) => tileStock(src, new Date(day)),
});

/** Blanks that are running out, as lines of the day sheet. */
export async function stockLines(src: Source, now = new Date()): Promise<ReactElement[]> {
  const short = (await keptStock(src, now.toISOString().slice(0, 10))).filter(({ number, usedLately }) => {
    const days = daysLeft(number, usedLately, 90);
    return days !== null && days < SOON;
  });
  return short.map((stock) => (
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
      <Typography variant="body2">{stock.usedLately} were used in the last 90 days.</Typography>
    </Line>
  ));
}
