import { NOTHING_SEEN } from './contracts';
import { blank, type RoomLook, type RoomPiece } from './room';
import { faultsHere } from './useWhy';

const look = (...signs: [string, boolean][]): RoomLook => ({
  id: 'o',
  by: { id: 'p', name: 'P' },
  at: '2026-05-03T10:00:00Z',
  place: 'kiln',
  seen: { ...NOTHING_SEEN, signs: signs.map(([sign, wanted]) => ({ sign, severity: 1, wanted })) },
});
const piece = (looks: RoomPiece['looks']): RoomPiece => ({ looks }) as RoomPiece;

test('faults of every zone and of what is just being said, each once; effects that were wanted are none', () => {
  const own = piece({
    '': [look(['pit', false])],
    '1|0-500|0-1000|all': [look(['breaking', true], ['crazing', false])],
  });
  const said = { ...blank('tile'), signs: look(['pit', false], ['running', false]).seen.signs };
  expect(faultsHere(own, said)).toEqual(['pit', 'crazing', 'running']);
  expect(faultsHere(own, null)).toEqual(['pit', 'crazing']);
  expect(faultsHere(piece({}), null)).toEqual([]);
});
