/** What was seen after a firing: who and when once, then part by part, by the sides' names. */
import { NOTHING } from '@/core/looks';
import { SI } from '@/core/units';
import type { RecordedObservation } from '@/data/observations';
import { screen, show } from '../../../../test-support/dom';

const { FiringLooks } = await import('./FiringLooks');

const look = (part: Partial<RecordedObservation>): RecordedObservation => ({
  ...NOTHING,
  id: JSON.stringify(part),
  pieceId: 'p',
  firingId: 'f',
  zone: null,
  seenAt: new Date('2026-01-09T10:30:00Z'),
  place: 'kiln',
  verdict: null,
  note: '',
  seenBy: 'iben',
  seenByName: 'Iben',
  arrivedAt: new Date('2026-01-09T10:30:00Z'),
  supersedes: null,
  superseded: false,
  doubtedAs: null,
  ...part,
});
const INSIDE = '2|0-1000|0-1000|all';
const shown = (looks: RecordedObservation[]) =>
  show(
    <FiringLooks
      looks={looks}
      before={[]}
      whereOf={(zone) => (zone === INSIDE ? 'inside' : zone)}
      opened={new Date('2026-01-09T09:00:00Z')}
      timeZone="UTC"
      units={SI}
    />,
  );

test('one person’s look is headed once; what people agree on of a part says which', () => {
  shown([
    look({ zone: INSIDE, surface: 'matt', colour: 'blue' }),
    look({ surface: 'gloss', colour: 'black' }),
    look({
      zone: INSIDE,
      surface: 'matt',
      seenBy: 'noor',
      seenByName: 'Noor',
      seenAt: new Date('2026-01-09T10:40:00Z'),
    }),
  ]);
  const heads = screen.getAllByText(/, at the kiln|^inside$/).map(({ textContent }) => textContent);
  expect(heads).toEqual([
    '9 Jan, 10:30, Iben, at the kiln',
    'inside',
    '9 Jan, 10:40, Noor, at the kiln: inside',
  ]);
  expect(screen.getByText('inside: Iben and Noor agree: matt.')).toBeTruthy();
});

test('what was put right says so, whoever is named above it', () => {
  const first = look({ surface: 'gloss', superseded: true, zone: INSIDE });
  shown([look({}), first, look({ surface: 'matt', zone: INSIDE, supersedes: first.id })]);
  expect(screen.getByText('inside (put right by Iben)')).toBeTruthy();
  expect(screen.getByText('inside; puts right what Iben wrote 9 Jan, 10:30')).toBeTruthy();
});
