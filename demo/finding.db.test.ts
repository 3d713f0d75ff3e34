/**
 * What people type, on the demo: of sixty lines at least fifty come first as expected; the misses are listed.
 */
import type { Database } from '../src/data/database';
import { listPeople } from '../src/data/people';
import { search } from '../src/features/shell/server';
import { emptyDatabase } from '../test-support/database';
import { AFTER, BEFORE, SINCE, type AskedOf } from './asked';
import { loadDemo } from './load';

let db: Database;
beforeAll(async () => {
  db = await emptyDatabase();
  await loadDemo(db, 'unused', { now: new Date('2026-11-01T10:00:00Z'), pictures: false });
}, 120_000);
afterAll(() => db.destroy());

const answer = async (q: string, by: string) =>
  search(
    db,
    (await listPeople(db)).find(({ login }) => login === by)!,
    q,
  );

async function misses(all: readonly AskedOf[]): Promise<string[]> {
  const wrong: string[] = [];
  for (const { q, by, first } of all) {
    const [hit] = (await answer(q, by)).found;
    const said = hit === undefined ? 'nothing' : `${hit.kind} ${hit.title} ${hit.detail}`;
    if (!first.test(said)) wrong.push(q);
  }
  return wrong;
}

test('of what was written before there was this search, all but two come first', async () => {
  expect(BEFORE).toHaveLength(30);
  // The demo has no pinholes; a question that names iron and Yard Clear comes after the cells that show it.
  expect(await misses(BEFORE)).toEqual(['pinholes', 'iron yard clear']);
});

test('of what was written after, unseen, all but two', async () => {
  expect(AFTER).toHaveLength(30);
  // Nothing on Drift is matt, and nothing in the demo has dunted: neither can come first.
  expect(await misses(AFTER)).toEqual(['matte on drift', 'dunting']);
});

test('bodies by their ground, and shades of a colour', async () => {
  expect(await misses(SINCE)).toEqual([]);
});

test('what nobody has seen is said, what is left out to find anything too, and each thing understood is a chip', async () => {
  expect(await answer('dunting', 'iben')).toMatchObject({
    found: [],
    hint: 'Nothing on record shows dunting.',
  });
  const near = await answer('matte on drift', 'iben');
  expect(near.hint).toBe('Nothing shows all of it. Without “matt”:');
  expect(near.found[0]!.detail).toMatch(/^Drift/);
  expect((await answer('blue cone 6 no runs', 'iben')).chips).toEqual([
    { name: 'blue', rest: 'cone 6 no runs' },
    { name: 'cone 6', rest: 'blue no runs' },
    { name: 'no running', rest: 'blue cone 6' },
  ]);
});

test('a student finds cells, coatings and own pieces, and nobody’s records, questions or people', async () => {
  const kinds = async (q: string) => new Set((await answer(q, 'noor')).found.map(({ kind }) => kind));
  expect([...(await kinds('crazing'))]).toEqual(['cell']);
  for (const q of ['marta 12', 'damper slipped', 'tomasz', 'plan a firing', 'silica kaolin'])
    expect([q, [...(await kinds(q))]]).toEqual([q, []]);
  const own = (await answer('foot not wiped', 'noor')).found;
  const all = (await answer('foot not wiped', 'iben')).found;
  expect(all.length).toBeGreaterThan(own.length);
});
