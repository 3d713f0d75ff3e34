import Button from '@mui/material/Button';
import type { ReactElement, ReactNode } from 'react';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Lines } from '@/ui/Lines';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { calendarDay, today } from '@/ui/time';
import { isBeginning } from '@/data/studio';
import { permit } from '../../people';
import { ToBegin } from '../components/ToBegin';
import { daySheet } from '../sheet';

/** A part of the day sheet: its lines, or what to say and do when there are none; nothing without that. */
function Part({ title, lines, none }: { title: string; lines: readonly ReactElement[]; none?: ReactNode }) {
  if (lines.length === 0 && none === undefined) return null;
  return <Section title={title}>{lines.length === 0 ? none : <Lines>{lines}</Lines>}</Section>;
}

/** The day sheet: each feature gives its lines, here they are put in the order of a day. */
export async function BenchPage() {
  const { person, studio } = await enter(permit('see records'));
  const sheet = await daySheet(database(), studio, person);
  return (
    <Page
      title="Bench"
      lead={`${studio.name}, ${calendarDay(today(studio.timeZone))}`}
      acts={
        <>
          <Button component={Link} href="/tests/make" variant="contained">
            Make tiles
          </Button>
          <Button component={Link} href="/tests/fired" variant="outlined">
            I hold a fired tile
          </Button>
          <Button component={Link} href="/tests/unregistered" variant="outlined">
            Things nobody registered
          </Button>
          <Button component={Link} href="/kilns/plan" variant="outlined">
            Plan a firing
          </Button>
        </>
      }
    >
      {isBeginning(sheet.has) && <ToBegin {...sheet.has} />}
      <Part title="In the kilns" lines={sheet.hot} none={<Nothing>No kiln is hot.</Nothing>} />
      <Part
        title="To be written up"
        lines={sheet.opened}
        none={<Nothing>Every opening is written up.</Nothing>}
      />
      <Part
        title="Waiting to be fired"
        lines={sheet.waiting}
        none={
          <Nothing
            act={
              <Button component={Link} href="/tests/make" variant="outlined">
                Make tiles
              </Button>
            }
          >
            Nothing waits.
          </Nothing>
        }
      />
      <Part title="Planned" lines={sheet.planned} />
      <Part title="Tests and store" lines={sheet.store} />
      <Part title="Flags on pieces to come" lines={sheet.flags} />
      <Part title="The studio itself" lines={sheet.house} />
    </Page>
  );
}
