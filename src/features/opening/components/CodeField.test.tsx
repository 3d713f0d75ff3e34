import { codeOf } from '@/core/codes';
import { named, person, press, screen, show } from '../../../../test-support/dom';
import type { RoomPiece } from '../room';

const { CodeField } = await import('./CodeField');

const [ONE, TWO, STRANGER] = [codeOf(7), codeOf(900), codeOf(5000)];
const LOAD = [
  { id: 'a', code: ONE, mark: null },
  { id: 'b', code: TWO, mark: 'T7' },
] as RoomPiece[];

const field = (onJoin: ((code: string) => void) | null = null) => {
  const said: string[] = [];
  show(<CodeField pieces={LOAD} onPick={(id) => said.push(id)} onJoin={onJoin} />);
  return said;
};

test('three characters offer the piece that is meant; a touch or Enter takes it in hand', async () => {
  const hand = person();
  const said = field();
  await hand.type(named('Code or mark'), ONE.slice(0, 3).toLowerCase());
  await press(hand, ONE);
  await hand.type(named('Code or mark'), 't7{Enter}');
  expect(said).toEqual(['a', 'b']);
  expect(named('Code or mark').value).toBe('');
});

test('what is on no list is said; only who keeps the records may put it in', async () => {
  const hand = person();
  const joined: string[] = [];
  field((code) => joined.push(code));
  await hand.type(named('Code or mark'), `${STRANGER}{Enter}`);
  expect(screen.getByRole('alert').textContent).toContain('on no list');
  await press(hand, `${STRANGER} was in it too`);
  expect(joined).toEqual([STRANGER]);
});

test('a student is not asked to put strangers in', async () => {
  const hand = person();
  field();
  await hand.type(named('Code or mark'), `${STRANGER}{Enter}`);
  expect(screen.getByRole('alert').textContent).toContain('on no list');
  expect(screen.queryByRole('button', { name: /was in it too/ })).toBeNull();
});
