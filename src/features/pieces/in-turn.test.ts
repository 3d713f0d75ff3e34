import { inTurn } from './in-turn';

const at = (time: string) => new Date(`2026-01-09T${time}Z`);
const look = (name: string, time: string, zone: string | null, seenBy = 'iben', place = 'kiln') => ({
  name,
  seenAt: at(time),
  seenBy,
  place,
  zone,
});
const FULL = '0-1000|all';
const told = (looks: ReturnType<typeof look>[]) =>
  inTurn(looks).map((one) => `${one.look.name}${one.goesOn ? ' +' : ''}`);

test('what one person said within a minute: all of the piece, then side by side from the rim down', () => {
  expect(
    told([
      look('2 low', '10:30:01', `2|0-333|${FULL}`),
      look('1 low', '10:30:02', `1|0-333|${FULL}`),
      look('whole', '10:30:59', null),
      look('1 high', '10:30:40', `1|667-1000|${FULL}`),
    ]),
  ).toEqual(['whole', '1 high +', '1 low +', '2 low +']);
});

test('another minute, another person and another place are said; so is all of the piece a second time', () => {
  expect(
    told([
      look('later', '10:31:00', `1|0-333|${FULL}`),
      look('first', '10:30:00', null),
      look('noor', '10:30:00', `1|0-333|${FULL}`, 'noor'),
      look('desk', '10:31:30', `1|0-200|${FULL}`, 'iben', 'desk'),
      look('again', '10:31:40', null),
    ]),
  ).toEqual(['first', 'noor', 'again', 'later +', 'desk']);
  expect(told([look('one', '10:30:00', null), look('two', '10:30:10', null)])).toEqual(['one', 'two']);
});

test('what is given is left as it is', () => {
  const looks = [look('b', '10:31:00', null), look('a', '10:30:00', null)];
  inTurn(looks);
  expect(looks.map(({ name }) => name)).toEqual(['b', 'a']);
});
