import { checkLoad, daysUntilFull, usualLoad } from './index';
import { FIRING, glaze, item } from '../../../test-support/load';
import { overruled, type LoadFiring, type LoadItem } from './check-terms';

const found = (items: readonly LoadItem[], firing: Partial<LoadFiring> = {}) =>
  checkLoad(items, { ...FIRING, ...firing });
const ids = (items: readonly LoadItem[], firing: Partial<LoadFiring> = {}): string[] =>
  found(items, firing).map(({ id }) => id);

describe('checks of a load', () => {
  test('a plain load has nothing to say', () => {
    expect(found([item('A'), item('B')])).toEqual([]);
  });

  test('an empty load stops; what was made for another air is worth a look', () => {
    expect(found([])).toMatchObject([{ id: 'empty', level: 'stop' }]);
    const wants = item('A', { wantedAtmosphere: 'heavy reduction' });
    expect(found([wants])).toMatchObject([
      { id: 'wanted air', level: 'look', title: 'Made for heavy reduction', pieces: ['A'] },
    ]);
    expect(ids([wants], { atmosphere: 'light reduction' })).toEqual([]);
    expect(ids([wants], { atmosphere: 'unknown' })).toEqual([]);
    expect(ids([item('B', { wantedAtmosphere: 'neutral' })])).toEqual([]);
  });

  test('chrome near tin white, on the same shelf only', () => {
    const white = item('W', { coatings: [glaze('Gull', ['tin white'])] });
    const chrome = item('C', { coatings: [glaze('Rosehip', ['chrome'])] });
    expect(found([white, chrome])[0]).toMatchObject({ id: 'chrome', pieces: ['W', 'C'] });
    expect(ids([white, { ...chrome, shelf: 2 }])).toEqual([]);
    const apart = { ...chrome, spot: { shelf: 1, xMm: 180, yMm: 180 } };
    expect(ids([{ ...white, spot: { shelf: 1, xMm: -180, yMm: -180 } }, apart])).toEqual([]);
    // A glaze that is both is no danger to itself.
    expect(ids([item('B', { coatings: [glaze('Pink', ['tin white', 'chrome'])] })])).toEqual([]);
  });

  test('a body or coating fired past its range stops the load; below it is worth a look', () => {
    const peat = item('P', { body: { name: 'Peat', range: { low: '4', high: '6' }, traits: [] } });
    const over = found([peat], { targetCone: '10' });
    expect(over.map(({ level }) => level)).toEqual(['stop', 'stop']);
    expect(over[0]!.title).toContain('Peat is for cone 4–6');
    expect(found([peat], { targetCone: '3' }).every(({ level }) => level === 'look')).toBe(true);
    expect(ids([peat], { targetCone: '06', kind: 'bisque' })).toEqual([]);
    expect(ids([peat], { targetCone: null })).toEqual([]);
  });

  test('what is meant for another atmosphere', () => {
    const celadon = item('A', { coatings: [glaze('Tarn', ['reduction only'])] });
    expect(ids([celadon])).toEqual(['air:Tarn']);
    expect(ids([celadon], { atmosphere: 'heavy reduction' })).toEqual([]);
    expect(ids([celadon], { atmosphere: 'unknown' })).toEqual([]);
  });

  test('fluid stacks, by name or by record, want a catch; unknown clays a waster', () => {
    const fluid = item('F', { coatings: [glaze('Slack Tide', ['fluid'])] });
    expect(found([fluid])[0]).toMatchObject({ id: 'fluid', level: 'stop' });
    expect(ids([item('R', { ranMm: 6 })])).toEqual(['fluid']);
    expect(ids([{ ...fluid, setting: 'waster' }])).toEqual([]);
    const quay = item('Q', { body: { name: 'Quay', range: null, traits: ['unproven'] } });
    expect(ids([quay])).toEqual(['unproven']);
    expect(ids([{ ...quay, setting: 'ring' }])).toEqual([]);
  });

  test('raw ware in a glaze firing, but not in a bisque or a once-firing', () => {
    const raw = item('R', { bisqued: false });
    expect(found([raw])[0]).toMatchObject({ id: 'raw', level: 'stop' });
    expect(ids([raw], { kind: 'bisque' })).toEqual([]);
    expect(ids([raw], { kind: 'once-fired' })).toEqual([]);
  });

  test('touching, over the edge, at the thermocouple, glazed feet', () => {
    const a = item('A', { spot: { shelf: 1, xMm: 0, yMm: 0 } });
    const b = item('B', { spot: { shelf: 1, xMm: 70, yMm: 0 } });
    const c = item('C', { spot: { shelf: 1, xMm: 210, yMm: 0 } });
    expect(found([a, b])[0]).toMatchObject({ id: 'touching', pieces: ['A', 'B'] });
    expect(ids([a, c])).toEqual(['edge']);
    expect(ids([a], { thermocouple: { xMm: 50, yMm: 0, shelf: null } })).toEqual(['thermocouple']);
    expect(ids([a], { thermocouple: { xMm: 50, yMm: 0, shelf: 2 } })).toEqual([]);
    expect(ids([item('G', { glazedFoot: true })])).toEqual(['foot']);
  });

  test('a piece where a post has to stand, only when there is a shelf above', () => {
    const corner = item('P', { spot: { shelf: 1, xMm: -185, yMm: -185 } });
    expect(ids([corner])).toEqual([]);
    const above = item('Q', { shelf: 2, spot: { shelf: 2, xMm: 0, yMm: 0 } });
    expect(ids([corner, above])).toEqual(['posts']);
  });

  test('treatments that each have a shelf to themselves', () => {
    const tile = (code: string, treatment: string, shelf: number): LoadItem =>
      item(code, { question: 'Thinner?', treatment, shelf });
    const apart = [tile('A', 'thin', 1), tile('B', 'thin', 1), tile('C', 'thick', 2), tile('D', 'thick', 2)];
    expect(ids(apart)).toEqual(['shelf:Thinner?']);
    expect(ids([...apart.slice(0, 3), tile('D', 'thick', 1)])).toEqual([]);
  });

  test('open flags, missing cones, a loose reduction load', () => {
    expect(found([item('A', { flags: ['foot not wiped'] })])[0]!.reason).toContain('foot not wiped');
    expect(ids([item('A')], { witnesses: 0 })).toEqual(['cones']);
    const gas = { fuelled: true, atmosphere: 'heavy reduction' as const, fullness: 0.1 };
    expect(ids([item('A')], gas)).toEqual(['loose']);
    expect(ids([item('A')], { ...gas, fullness: 0.7 })).toEqual([]);
  });

  test('what was overruled stays so until another piece falls under it', () => {
    const [finding] = found([item('A', { bisqued: false })]);
    const because = [{ finding: 'raw', pieces: ['A'], reason: 'bisqued elsewhere' }];
    expect(overruled(finding!, because)?.reason).toBe('bisqued elsewhere');
    const [two] = found([item('A', { bisqued: false }), item('B', { bisqued: false })]);
    expect(overruled(two!, because)).toBeNull();
  });
});

test('when a firing will be full', () => {
  expect(daysUntilFull(30, 30, 4, 28)).toBe(0);
  expect(daysUntilFull(10, 30, 14, 28)).toBe(40);
  expect(daysUntilFull(10, 30, 0, 28)).toBeNull();
  expect(usualLoad([])).toBeNull();
  expect(usualLoad([18, 40, 22])).toBe(22);
});

test('a load that is inside stops another, with the way out, and no reason lets it stay', () => {
  const [finding] = found([item('A')], { inside: { title: 'Gable 13', status: 'cooling' } });
  expect(finding).toMatchObject({ id: 'occupied', level: 'stop', firm: true });
  expect(finding!.reason).toMatch(/^Gable 13 is still cooling in this kiln. Open it first/);
  const closed = found([item('A')], { inside: { title: 'Gable 13', status: 'loaded' } })[0]!;
  expect(closed.reason).toContain('stands closed');
  expect(ids([item('A')])).not.toContain('occupied');
});
