import type { Person } from '@/data/people';
import { may, maySeePiece, mayTouchPiece, permit, whoMay } from './permissions';

const person = (role: Person['role'], id = 'p') => ({ id, role }) as Person;

test('who may is said in words', () => {
  expect(whoMay('run the studio')).toBe('technicians');
  expect(whoMay('keep records')).toBe('technicians and teachers');
  expect(whoMay('see the chart')).toBe('technicians, teachers and students');
  expect(permit('keep records').deed).toBe('keep records');
});

test('coatings are read by all, and written of by those who keep records', () => {
  for (const role of ['technician', 'teacher', 'student'] as const)
    expect(may(person(role), 'read of coatings')).toBe(true);
  expect(may(person('student'), 'keep records')).toBe(false);
});

test.each([
  ['a study tile of the studio', null, false, true],
  ['ware of somebody else', 'other', false, false],
  ['ware of somebody else who shows it', 'other', true, true],
  ['own ware', 'p', false, true],
])('a student looks at %s: %s, shown %s: %s', (_, ownerId, shown, seen) => {
  const student = person('student');
  expect(maySeePiece(student, { ownerId, shown })).toBe(seen);
  expect(maySeePiece(person('teacher'), { ownerId, shown })).toBe(true);
  // To look is not to write.
  expect(mayTouchPiece(student, ownerId)).toBe(ownerId === 'p');
});
