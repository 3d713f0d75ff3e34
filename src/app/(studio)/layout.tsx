import type { ReactNode } from 'react';
import { may } from '@/features/people';
import { Shell } from '@/features/shell';
import { Inside } from '@/features/shell/rooms/Inside';
import { requirePerson } from '@/platform/session';

export const dynamic = 'force-dynamic';

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const person = await requirePerson();
  return (
    <Inside>
      <Shell records={may(person, 'see records')} login={person.login}>
        {children}
      </Shell>
    </Inside>
  );
}
