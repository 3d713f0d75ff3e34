import { notFound } from 'next/navigation';
import { listSchedules } from '@/data/schedules';
import { ScheduleForm } from '../components/ScheduleForm';
import { scheduleKilns } from '../server';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';

/** A usual first draft, to be changed: slow through the water, on, slow at the end. */
const DRAFT = {
  name: '',
  notes: '',
  segments: [
    { rate: 80, target: 120, holdMinutes: 20 },
    { rate: 150, target: 1100, holdMinutes: 0 },
    { rate: 60, target: 1200, holdMinutes: 10 },
  ],
};

export async function SchedulePage({ params }: { params: Promise<{ id: string }> }) {
  await enter(permit('keep records'));
  const { id } = await params;
  const db = database();
  const schedule = (await listSchedules(db)).find((one) => one.id === id) ?? null;
  if (schedule === null && id !== 'new') notFound();
  return (
    <Page title={schedule?.name ?? 'A new schedule'} wide>
      <ScheduleForm
        start={schedule ?? DRAFT}
        existing={schedule ?? undefined}
        kilns={await scheduleKilns(db)}
      />
    </Page>
  );
}
