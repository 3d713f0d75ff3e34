import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { daysLeft } from '@/core/designs';
import type { Source } from '@/data/database';
import { ripeQuestions } from '@/data/questions';
import { tileStock } from '@/data/stock';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** Questions whose tiles are all written up, as lines of the day sheet. */
export async function ripeLines(src: Source): Promise<ReactElement[]> {
  return (await ripeQuestions(src)).map((question) => (
    <Line
      key={question.id}
      figure={`${question.tiles}`}
      act={
        question.waiting === null ? (
          <Button component={Link} href={`/tests/questions/${question.no}`} variant="outlined">
            Conclude
          </Button>
        ) : (
          <Button
            component={Link}
            href={`/clinic/cases/${question.waiting.caseId}`}
            variant="outlined"
          >
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
    </Line>
  ));
}

/** Blanks that last shorter than this are said to run out, days. */
const SOON = 21;

/** Blanks that are running out, as lines of the day sheet. */
export async function stockLines(src: Source, now = new Date()): Promise<ReactElement[]> {
  const short = (await tileStock(src, now)).filter(({ number, usedLately }) => {
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
