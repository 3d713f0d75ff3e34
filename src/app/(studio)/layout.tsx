import type { ReactNode } from 'react';
import { may } from '@/features/people';
import { Shell } from '@/features/shell';
import { requirePerson } from '@/platform/session';

export const dynamic = 'force-dynamic';

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const person = await requirePerson();
  return (
    <Shell records={may(person, 'see records')} login={person.login}>
      {children}
    </Shell>
  );
}
