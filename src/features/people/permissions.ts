import type { Role } from '@/core/studio';
import type { Person } from '@/data/people';

/** Everything a person may be allowed to do, in one list. */
export const DEEDS = {
  'run the studio': ['technician'],
  'keep records': ['technician', 'teacher'],
  'see records': ['technician', 'teacher'],
  'see the chart': ['technician', 'teacher', 'student'],
  'read of coatings': ['technician', 'teacher', 'student'],
  'write of own pieces': ['technician', 'teacher', 'student'],
} as const satisfies Record<string, readonly Role[]>;

export type Deed = keyof typeof DEEDS;
/** A permit knows what it permits, so that who may not is told who may. */
export type Permit = ((person: Person) => boolean) & { deed: Deed };

/** May this person do that? The one place where roles are asked. */
export function may(person: Pick<Person, 'role'>, deed: Deed): boolean {
  return (DEEDS[deed] as readonly Role[]).includes(person.role);
}

/** Ready to be an operation's `permit`. */
export const permit = (deed: Deed): Permit =>
  Object.assign((person: Person): boolean => may(person, deed), { deed });

/** Who may do that, in words: "technicians and teachers". */
export const whoMay = (deed: Deed): string => {
  const roles = DEEDS[deed].map((role) => `${role}s`);
  return roles.length < 2 ? roles.join() : `${roles.slice(0, -1).join(', ')} and ${roles.at(-1)}`;
};

/**
 * May this person look at a piece? The studio's own (its study tiles) may be looked at by everybody in
 * it; what belongs to somebody, by that person, by those who keep records, and where the owner shows it.
 */
export const maySeePiece = (person: Person, piece: { ownerId: string | null; shown: boolean }): boolean =>
  piece.ownerId === null || piece.shown || mayTouchPiece(person, piece.ownerId);

/** May this person write of a piece that belongs to `ownerId`? */
export function mayTouchPiece(person: Person, ownerId: string | null): boolean {
  return may(person, 'keep records') || (ownerId !== null && ownerId === person.id);
}
