import type { Role } from '@/core/studio';
import type { Person } from '@/data/people';

/** Everything a person may be allowed to do, in one list. */
export const DEEDS = {
  'run the studio': ['technician'],
  'keep records': ['technician', 'teacher'],
  'see records': ['technician', 'teacher'],
  'see the chart': ['technician', 'teacher', 'student'],
  'write of own pieces': ['technician', 'teacher', 'student'],
} as const satisfies Record<string, readonly Role[]>;

export type Deed = keyof typeof DEEDS;

/** May this person do that? The one place where roles are asked. */
export function may(person: Pick<Person, 'role'>, deed: Deed): boolean {
  return (DEEDS[deed] as readonly Role[]).includes(person.role);
}

/** Ready to be an operation's `permit`. */
export const permit =
  (deed: Deed) =>
  (person: Person): boolean =>
    may(person, deed);

/** May this person see or write of a piece that belongs to `ownerId`? */
export function mayTouchPiece(person: Person, ownerId: string | null): boolean {
  return may(person, 'keep records') || (ownerId !== null && ownerId === person.id);
}
