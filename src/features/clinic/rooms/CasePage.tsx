import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { notFound } from 'next/navigation';
import { Suspense } from 'react';
import { z } from 'zod';
import { listCases } from '@/data/clinic';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Page } from '@/ui/Page';
import { moment } from '@/ui/time';
import { maySeeCase } from '../who-may';
import { CaseSheet } from '../components/CaseSheet';
import { caseView } from '../queries';
import { Rates } from './Rates';
import { subjectHref } from '../links';

export async function CasePage({ params }: { params: Promise<{ id: string }> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const db = database();
  const id = z.uuid().safeParse((await params).id);
  const [one] = id.success ? await listCases(db, { id: id.data }) : [];
  if (one === undefined || !maySeeCase(person, one)) notFound();
  const view = await caseView(db, one, new Date(), may(person, 'see records'));
  return (
    <Page
      title={`Case ${one.no}`}
      lead={
        <>
          {one.subject !== null && (
            <>
              <Link href={subjectHref(one)}>{one.subject.name}</Link>;{' '}
            </>
          )}
          {one.code === null && view.firing !== null && (
            <>
              <Link href={`/kilns/firings/${view.firing.id}`}>{view.firing.title}</Link>, the whole load;{' '}
            </>
          )}
          {one.code !== null && (
            <>
              <Link href={`/pieces/${one.code}`}>{one.code}</Link>
              {view.firing === null ? '' : `, out of ${view.firing.title}`};{' '}
            </>
          )}
          asked by {one.openedByName}, {moment(one.openedAt, studio.timeZone)}
          {one.closedAt === null ? '' : '; closed'}
        </>
      }
    >
      {one.code === null && one.subject === null && view.firing === null && (
        <Typography sx={{ mb: 1 }}>
          No piece stands behind this case: the records cannot answer for it, only people.
        </Typography>
      )}
      <CaseSheet
        key={`${one.id}/${one.revision}`}
        view={view}
        mayMake={may(person, 'keep records') || (one.openedBy === person.id && one.questionId === null)}
        mayMix={may(person, 'keep records')}
      />
      {view.over !== null && one.complaints[0] !== undefined && (
        <Box sx={{ mt: 5 }}>
          <Suspense fallback={<Typography>Counting what goes with it …</Typography>}>
            <Rates src={db} complaint={one.complaints[0]} {...view.over} />
          </Suspense>
        </Box>
      )}
    </Page>
  );
}
