import type { ReactNode } from 'react';
import { may } from '@/features/people';
import { Shell } from '@/features/shell';
import { Inside } from '@/features/shell/rooms/Inside';
import { requirePerson } from '@/platform/session';

/** Each page is made anew. */
const madeNow = (): number => Date.now();

export const dynamic = 'force-dynamic';

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const person = await requirePerson();
  return (
    <Inside>
      <Shell records={may(person, 'see records')} login={person.login} madeAt={madeNow()}>
        {children}
      </Shell>
    </Inside>
  );
}
