/** Pictures given to pieces by the order of taking; checked against a reading one by one. */
import fc from 'fast-check';
import { inOrder, orderOfTaking, type Known } from './in-order';

const is = (pieceId: string): Known => ({ pieceId });
const short = (pictures: Known[], pieces: string[], each = 1) =>
  inOrder(pictures, pieces, each).map(({ pieceId, key }) => `${pieceId ?? '–'} ${key}`);

test('as many as there are pieces: each has its own, and nothing is called sure', () => {
  expect(short([null, null, null], ['a', 'b', 'c'])).toEqual(['a likely', 'b likely', 'c likely']);
  expect(short([null, null, null, null], ['a', 'b'], 2)).toEqual([
    'a likely',
    'a likely',
    'b likely',
    'b likely',
  ]);
});

test('one that is known parts the order: a picture too many before it is not carried on behind it', () => {
  expect(short([null, null, is('b'), null], ['a', 'b', 'c'])).toEqual([
    'a lost',
    '– lost',
    'b sure',
    'c likely',
  ]);
  // Once the one too many is said to be none of them, all is plain.
  expect(short([null, 'none', is('b'), null], ['a', 'b', 'c'])).toEqual([
    'a likely',
    '– lost',
    'b sure',
    'c likely',
  ]);
  expect(short([is('b'), null], ['a', 'b', 'c', 'd'])).toEqual(['b sure', 'c lost']);
});

test('two of a piece on both sides of what is known are not given twice', () => {
  expect(short([null, is('a'), null, is('b')], ['a', 'b'], 2)).toEqual([
    'a likely',
    'a sure',
    'b likely',
    'b sure',
  ]);
});

test('what runs against the order gives nothing between it; a piece of another firing parts nothing', () => {
  expect(short([is('c'), null, is('a')], ['a', 'b', 'c'])).toEqual(['c sure', '– lost', 'a sure']);
  expect(inOrder([is('c'), null, is('a')], ['a', 'b', 'c'], 1)[1]!.why).toMatch(/against the order/);
  expect(short([is('x'), null], ['a'])).toEqual(['x sure', 'a likely']);
  expect(short([null], [])).toEqual(['– lost']);
});

test('no piece has more pictures than were said, none known is changed, and order is kept', () => {
  const pieces = ['a', 'b', 'c', 'd', 'e'];
  const known = fc.array(
    fc.oneof(fc.constant<Known>(null), fc.constant<Known>('none'), fc.constantFrom(...pieces).map(is)),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(known, fc.integer({ min: 1, max: 3 }), (pictures, each) => {
      const out = inOrder(pictures, pieces, each);
      const given = out.flatMap(({ pieceId }, i) =>
        pictures[i] === null && pieceId !== null ? [pieceId] : [],
      );
      for (const id of pieces) {
        const said = pictures.filter((one) => one !== null && one !== 'none' && one.pieceId === id).length;
        expect(given.filter((one) => one === id).length).toBeLessThanOrEqual(Math.max(0, each - said));
      }
      pictures.forEach((one, i) => {
        if (one !== null && one !== 'none')
          expect(out[i]).toMatchObject({ pieceId: one.pieceId, key: 'sure' });
      });
      // Between two that are known nothing goes backwards.
      let last = -1;
      out.forEach(({ pieceId }, i) => {
        if (pictures[i] !== null) last = -1;
        else if (pieceId !== null) {
          expect(pieces.indexOf(pieceId)).toBeGreaterThanOrEqual(last);
          last = pieces.indexOf(pieceId);
        }
      });
    }),
  );
});

test('by the camera’s clock where every picture has it, else as a camera counts', () => {
  const of = (...list: [string, number | null][]) => orderOfTaking(list.map(([name, at]) => ({ name, at })));
  expect(of(['a', 30], ['b', 10], ['c', 20])).toEqual([1, 2, 0]);
  expect(of(['IMG_10.jpg', 1], ['IMG_9.jpg', null])).toEqual([1, 0]);
  expect(of(['IMG_10.jpg', 5], ['IMG_9.jpg', 5])).toEqual([1, 0]);
});
