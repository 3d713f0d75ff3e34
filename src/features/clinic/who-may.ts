import type { ClinicCase } from '@/data/clinic';
import type { Person } from '@/data/people';
import { may } from '../people';

/** Who keeps records sees every case; others those they opened and those of their own pieces. */
export const maySeeCase = (person: Person, one: ClinicCase): boolean =>
  may(person, 'see records') ||
  one.openedBy === person.id ||
  (one.ownerId !== null && one.ownerId === person.id);
