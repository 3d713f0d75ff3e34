import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { testKind } from '@/core/usetests';
import type { Source } from '@/data/database';
import { dueUseTests } from '@/data/use-tests';
import { count } from '@/core/units';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';
import { calendarDay } from '@/ui/time';

/** Tests of body and use that are due again, as one line of the day sheet for each kind. */
export async function dueLines(src: Source, today: string): Promise<ReactElement[]> {
  const due = await dueUseTests(src, today);
  return [...new Set(due.map(({ kind }) => kind))].map((kind) => {
    const own = due.filter((one) => one.kind === kind);
    return (
      <Line
        key={kind}
        figure={own.length}
        act={
          <Button component={Link} href={`/pieces/${own[0]!.code}#use-tests`} variant="outlined">
            {own[0]!.code}
          </Button>
        }
      >
        <Typography sx={{ fontWeight: 650 }}>{testKind(kind)?.name ?? kind} is due again</Typography>
        <Typography variant="body2">
          {count(own.length, 'piece')}: {own.map(({ code }) => code).join(', ')}; since{' '}
          {calendarDay(own[0]!.dueOn)}
        </Typography>
      </Line>
    );
  });
}
