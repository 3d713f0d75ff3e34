import Typography from '@mui/material/Typography';
import { notFound } from 'next/navigation';
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

export async function CasePage({ params }: { params: Promise<{ id: string }> }) {
  const { person, studio } = await enter(permit('see the chart'));
  const db = database();
  const id = z.uuid().safeParse((await params).id);
  const [one] = id.success ? await listCases(db, { id: id.data }) : [];
  if (one === undefined || !maySeeCase(person, one)) notFound();
  const view = await caseView(db, one);
  return (
    <Page
      title={`Case ${one.no}`}
      lead={
        <>
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
      {one.code === null && (
        <Typography sx={{ mb: 1 }}>
          No piece stands behind this case: the records cannot answer for it, only people.
        </Typography>
      )}
      <CaseSheet
        key={`${one.id}/${one.revision}`}
        view={view}
        mayMake={may(person, 'keep records')}
      />
    </Page>
  );
}
