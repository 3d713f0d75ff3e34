import { complaintOf } from './complaints';
import { drillOf, type DrillPicture } from './drill';
import { causeOf } from './knowledge';

const chance = (seed: number) => () => (seed = (seed * 48271) % 2147483647) / 2147483647;
const pictures = (...signs: string[]): DrillPicture[] =>
  signs.map((sign, i) => ({ sha: `${sign}${i}`, code: `P${i}`, sign }));
const CASES = [{ sha: 'c', code: 'CASE1', complaint: 'pit', causes: ['thick'] }];

test('ten pictures, each with four choices of which one is right, its look-alikes among them', () => {
  const all = pictures(
    ...Array.from({ length: 30 }, (_, i) => ['pit', 'crazing', 'crawling', 'running'][i % 4]!),
  );
  const drill = drillOf(all, CASES, chance(5));
  expect(drill).toHaveLength(10);
  expect(drill.map(({ kind }) => kind)).toEqual([...Array(9).fill('what'), 'why']);
  for (const { kind, choices, right, reason } of drill) {
    expect(new Set(choices.map(({ id }) => id)).size).toBe(4);
    expect(choices.filter(({ id }) => right.includes(id))).toHaveLength(1);
    expect(reason.length).toBeGreaterThan(20);
    if (kind === 'why') continue;
    const own = complaintOf(right[0]!)!;
    const groups = choices.map(({ id }) => complaintOf(id)!.group);
    expect(groups.filter((group) => group === own.group).length).toBeGreaterThan(1);
    // What is on record as the same sign would be right too.
    expect(choices.filter(({ id }) => complaintOf(id)!.sign === own.sign)).toHaveLength(1);
  }
});

test('signs take turns: forty crazed tiles do not crowd out the one that ran', () => {
  const drill = drillOf([...pictures(...Array(40).fill('crazing')), ...pictures('running')], [], chance(3));
  expect(
    drill
      .slice(0, 2)
      .flatMap(({ right }) => right)
      .sort(),
  ).toEqual(['crazing', 'running']);
});

test('a sign that stands for several complaints is not asked; a cause that is not known neither', () => {
  expect(drillOf(pictures('off-colour', 'lifting'), [], chance(1))).toEqual([]);
  expect(drillOf([], [{ ...CASES[0]!, causes: ['nobody knows'] }], chance(1))).toEqual([]);
  expect(drillOf([], [], chance(1))).toEqual([]);
});

test('of a confirmed case every cause that it was counts as right', () => {
  const [one] = drillOf([], [{ ...CASES[0]!, causes: ['thick', 'silicon-carbide'] }], chance(2));
  expect(one!.right).toEqual(['thick', 'silicon-carbide']);
  for (const { id } of one!.choices) expect(causeOf(id)!.shares.pit).toBeGreaterThan(0);
});

test('the same chance makes the same drill', () => {
  const all = pictures('pit', 'crazing', 'crawling', 'running', 'pinhole', 'blister');
  expect(drillOf(all, CASES, chance(9))).toEqual(drillOf(all, CASES, chance(9)));
});
