import { codeOf } from '@/core/codes';
import { findHere } from './find';
import type { RoomPiece } from './room';

const piece = (code: string, mark: string | null = null): RoomPiece => ({ code, mark }) as RoomPiece;
const CODES = Array.from({ length: 400 }, (_, i) => codeOf(i + 1));

test('a code, a mark, or three characters that only one piece of the load begins with', () => {
  const [first, second] = [CODES[0]!, CODES.find((code) => code.slice(0, 3) !== CODES[0]!.slice(0, 3))!];
  const load = [piece(first), piece(second, 'T7')];
  expect(findHere(load, first.toLowerCase())).toEqual({ piece: load[0] });
  expect(findHere(load, first.slice(0, 3).toLowerCase())).toEqual({ piece: load[0] });
  expect(findHere(load, ' t7 ')).toEqual({ piece: load[1] });
  // Two characters are a slip of the finger.
  expect(findHere(load, second.slice(0, 2))).toMatchObject({ code: null });
});

test('where several begin so, or none, it says what is wrong; a whole code may join', () => {
  const twins = CODES.filter((code) => code.slice(0, 3) === CODES[0]!.slice(0, 3)).slice(0, 2);
  const begun = twins.length === 2 ? twins : [CODES[0]!, CODES[0]!];
  expect(
    findHere(
      begun.map((code) => piece(code)),
      CODES[0]!.slice(0, 3),
    ),
  ).toMatchObject({ wrong: expect.stringContaining('one more character'), code: null });
  const stranger = CODES[20]!;
  expect(findHere([piece(CODES[0]!)], stranger)).toEqual({
    wrong: `${stranger} is on no list of this firing.`,
    code: stranger,
  });
  expect(findHere([], 'ZZZ')).toMatchObject({ code: null });
});
