import fc from 'fast-check';
import { FIRING_KINDS, STATUSES } from '../firing';
import { VERDICTS, type Verdict } from '../signs';
import {
  decisionOf,
  journeyOf,
  refireOf,
  timesFired,
  waitsFor,
  wantedNext,
  type Life,
  type Passage,
} from './journey';
import { journeyWords, refireWords } from './words';

const passage = (kind: Passage['kind'], order: number, rest: Partial<Passage> = {}): Passage => ({
  kind,
  order,
  status: 'opened',
  verdict: null,
  ...rest,
});
const life = (...passages: Passage[]): Life => ({ madeFor: 'bisque', passages });

test('raw work waits for what it was made for', () => {
  expect(waitsFor(life())).toBe('bisque');
  expect(waitsFor({ madeFor: 'glaze', passages: [] })).toBe('glaze');
  expect(waitsFor({ madeFor: null, passages: [] })).toBeNull();
});

test('a bisque that is written up waits for glaze all the same', () => {
  expect(waitsFor(life(passage('bisque', 1)))).toBe('glaze');
  expect(waitsFor(life(passage('bisque', 1, { verdict: 'keep' })))).toBe('glaze');
  expect(waitsFor(life(passage('bisque', 1, { verdict: 'study' })))).toBe('glaze');
});

test('a bisque given up waits for nothing, one that must go again for bisque', () => {
  expect(waitsFor(life(passage('bisque', 1, { verdict: 'discard' })))).toBeNull();
  expect(waitsFor(life(passage('bisque', 1, { verdict: 'refire' })))).toBe('bisque');
});

test('the last firing decides, whatever is corrected about an older one', () => {
  const first = passage('glaze', 1, { verdict: 'refire' });
  expect(waitsFor(life(first))).toBe('refire');
  expect(waitsFor(life(first, passage('refire', 2, { verdict: 'keep' })))).toBeNull();
  // Not in the order in which they were put in: by when they were opened.
  expect(waitsFor(life(passage('refire', 2, { verdict: 'keep' }), first))).toBeNull();
  expect(waitsFor(life(first, passage('refire', 2)))).toBeNull();
});

test('a firing that is not opened, or was stepped back, has not happened', () => {
  for (const status of STATUSES.filter((one) => one !== 'opened'))
    expect(waitsFor(life(passage('bisque', 1), passage('glaze', 2, { status })))).toBe('glaze');
});

test('waiting does not depend on the order of what is known', () => {
  const any = fc.record({
    kind: fc.constantFrom(...FIRING_KINDS),
    status: fc.constantFrom(...STATUSES),
    verdict: fc.option(fc.constantFrom(...VERDICTS)),
  });
  fc.assert(
    fc.property(fc.array(any, { maxLength: 6 }), fc.infiniteStream(fc.nat()), (list, keys) => {
      const passages = list.map((one, order) => ({ ...one, order }));
      const shuffled = passages
        .map((one) => ({ one, key: keys.next().value as number }))
        .sort((a, b) => a.key - b.key)
        .map(({ one }) => one);
      const [a, b] = [passages, shuffled].map((all) => ({
        madeFor: 'glaze' as const,
        passages: all,
      }));
      expect(waitsFor(a!)).toBe(waitsFor(b!));
      expect(timesFired(a!)).toBe(timesFired(b!));
    }),
  );
});

test('times count firings that were opened, and no bisque', () => {
  expect(
    timesFired(life(passage('bisque', 1), passage('glaze', 2), passage('refire', 3, { status: 'firing' }))),
  ).toBe(1);
});

test('where a piece is, in words', () => {
  const at = { binned: false, waitsFor: null, wantedCone: '5.5', firing: null, timesFired: 0 };
  const words = (rest: object): string => journeyWords(journeyOf({ ...at, ...rest }));
  expect(words({ binned: true, firing: 'Pip 3', waitsFor: 'glaze' })).toBe('in the bin');
  expect(words({ firing: 'Pip 3', waitsFor: 'glaze' })).toBe('in Pip 3');
  expect(words({ waitsFor: 'glaze', timesFired: 1 })).toBe('waits for glaze, cone 5½');
  expect(words({ waitsFor: 'glaze', wantedCone: null })).toBe('waits for glaze');
  expect(words({ waitsFor: 'bisque' })).toBe('waits for bisque');
  expect(words({ waitsFor: 'refire', timesFired: 1 })).toBe('waits for a refire, cone 5½');
  expect(words({ timesFired: 1 })).toBe('fired');
  expect(words({ timesFired: 3 })).toBe('fired 3 times');
  expect(words({})).toBe('made');
});

const REFIRE = { why: 'crazing', todo: 'another coat', cone: '5.5', atmosphere: null };

test('what a refire is for stands with the look that decided it, and goes with it', () => {
  const look = (seenAt: string, verdict: Verdict | null, refire: typeof REFIRE | null = null) => ({
    zone: null,
    seenAt,
    verdict,
    refire,
  });
  const first = look('2026-01-01', 'refire', REFIRE);
  expect(decisionOf([first])).toEqual({ verdict: 'refire', refire: REFIRE });
  expect(decisionOf([first, look('2026-01-02', null)]).refire).toEqual(REFIRE);
  expect(decisionOf([first, look('2026-01-02', 'keep')])).toEqual({
    verdict: 'keep',
    refire: null,
  });
  // A later wish without a reason is a wish of its own.
  expect(decisionOf([first, look('2026-01-02', 'refire')]).refire).toBeNull();
  expect(decisionOf([{ ...first, zone: '1|0-1000|0-1000|all' }])).toEqual({
    verdict: null,
    refire: null,
  });
});

test('it waits for the refire’s own cone, and for what it was made for where that says nothing', () => {
  const fired = life(passage('glaze', 1, { verdict: 'refire', refire: REFIRE }));
  expect(refireOf(fired)).toEqual(REFIRE);
  const wish = { cone: '6', atmosphere: 'oxidation' };
  expect(wantedNext({ ...wish, waitsFor: 'refire', refire: REFIRE })).toEqual({
    cone: '5.5',
    atmosphere: 'oxidation',
  });
  expect(wantedNext({ ...wish, waitsFor: 'refire', refire: null })).toEqual(wish);
  expect(wantedNext({ ...wish, waitsFor: 'glaze', refire: REFIRE })).toEqual(wish);
  // Once it has been through it, the intention is over.
  const again = passage('refire', 2, { verdict: 'keep' });
  expect(refireOf({ ...fired, passages: [...fired.passages, again] })).toBeNull();
});

test('what a refire is for, in words', () => {
  expect(refireWords(REFIRE)).toBe('Refire at cone 5½: another coat, because of crazing');
  expect(refireWords({ why: '', todo: '', cone: null, atmosphere: 'oxidation' })).toBe('Refire in oxidation');
  const waiting = { binned: false, firing: null, timesFired: 1, waitsFor: 'refire' as const };
  expect(journeyWords(journeyOf({ ...waiting, wantedCone: '5.5', refireTodo: 'another coat' }))).toBe(
    'waits for a refire, cone 5½, another coat',
  );
});
