import type { ToHand } from '@/data/handing';
import { byOwner, tellWords } from './words';

const piece = (code: string, owner: string, collected = false): ToHand => ({
  pieceId: code,
  code,
  ownerId: owner,
  owner,
  collectedAt: collected ? new Date(0) : null,
});
const PIECES = [piece('A7CFK', 'Kit'), piece('FNY3R', 'Kit', true), piece('K3RVT', 'Noor')];

test('each owner once, with all that is theirs, in the order in which they come', () => {
  expect(byOwner(PIECES).map(({ name, pieces }) => [name, pieces.length])).toEqual([
    ['Kit', 2],
    ['Noor', 1],
  ]);
  expect(byOwner([])).toEqual([]);
});

test('a line for each owner who has something left to collect, with the place where one is said', () => {
  expect(tellWords(byOwner(PIECES), 'Marta 33', 'the low rack')).toBe(
    'Kit: A7CFK came out of Marta 33; collect from the low rack.\nNoor: K3RVT came out of Marta 33; collect from the low rack.',
  );
  expect(tellWords(byOwner(PIECES.slice(2)), 'Marta 33', '')).toBe(
    'Noor: K3RVT came out of Marta 33 and can be collected.',
  );
  expect(tellWords(byOwner([piece('A7CFK', 'Kit', true)]), 'Marta 33', '')).toBe('');
});
