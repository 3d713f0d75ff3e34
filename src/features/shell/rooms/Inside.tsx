import { redirect } from 'next/navigation';
import type { ReactNode } from 'react';
import { unitsOf } from '@/data/studio';
import { currentStudio } from '@/platform/access';
import { DevicePerson } from '@/platform/device/person';
import { SenderHost } from '@/platform/sender/host';
import { requirePerson } from '@/platform/session';
import { UnitsProvider } from '@/ui/units';

/** What every page of a person who is signed in stands in: whose device it is, and the units. */
export async function Inside({ children }: { children: ReactNode }) {
  const [person, studio] = await Promise.all([requirePerson(), currentStudio()]);
  if (studio === null) redirect('/first-run');
  return (
    <DevicePerson id={person.id}>
      <SenderHost>
        <UnitsProvider units={unitsOf(studio)}>{children}</UnitsProvider>
      </SenderHost>
    </DevicePerson>
  );
}
