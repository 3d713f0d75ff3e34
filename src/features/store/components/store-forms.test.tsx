import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';
import type { Bucket } from '@/data/buckets';
import type { Coating } from '@/data/coatings';

const { MaterialForm } = await import('./MaterialForm');
const { BodyForm } = await import('./forms');
const { BucketLog } = await import('./BucketLog');
const { VersionList } = await import('./VersionList');

const IMPERIAL = { temperature: 'F', length: 'in', mass: 'oz' } as const;
const ok = () => ({ ok: true, data: { id: 'x', no: 2 } });
beforeEach(() => localStorage.clear());

test('a material’s oxides are summed as they are typed; what was left empty is not in its analysis', async () => {
  const sent = server(ok);
  const hand = person();
  show(<MaterialForm material={null} />);
  await hand.type(named('Name'), 'Estuary clay');
  await hand.type(named('SiO₂ %'), '90');
  await hand.type(named('Al₂O₃ %'), '30');
  expect(screen.getByText(/^Together 120 %\./).textContent).toContain('comes to about 100');
  await press(hand, 'Add the material');
  expect(await screen.findByText(/more than 103 %/)).toBeTruthy();
  expect(sent).toEqual([]);
  await hand.clear(named('SiO₂ %'));
  await hand.type(named('SiO₂ %'), '60,5');
  await press(hand, 'Add the material');
  await screen.findByText('The material is on the shelf');
  const { fields } = sent[0]!.body.input as { fields: { analysis: { oxides: object } } };
  expect(JSON.parse(JSON.stringify(fields.analysis.oxides))).toMatchObject({
    SiO2: 60.5,
    Al2O3: 30,
  });
  expect(router.push).toHaveBeenCalledWith('/store/materials');
});

test('an analysis that is not known is sent as none, and its fields go', async () => {
  const sent = server(ok);
  const hand = person();
  show(<MaterialForm material={null} />);
  await hand.type(named('Name'), 'Dug sand');
  await hand.click(screen.getByRole('switch'));
  expect(screen.queryByLabelText('SiO₂ %')).toBeNull();
  await press(hand, 'Add the material');
  await screen.findByText('The material is on the shelf');
  expect(sent[0]!.body.input).toMatchObject({ id: null, fields: { analysis: null } });
});

test('in a studio of ounces the shelf is typed in ounces and kept in grams', async () => {
  const sent = server(ok);
  const hand = person();
  show(<MaterialForm material={null} />, { units: IMPERIAL });
  await hand.type(named('Name'), 'Silica');
  await hand.click(screen.getByRole('switch'));
  await hand.type(named('On the shelf, oz'), '16');
  await press(hand, 'Add the material');
  await screen.findByText('The material is on the shelf');
  const { fields } = sent[0]!.body.input as { fields: { stockG: number } };
  expect(fields.stockG).toBeCloseTo(453.59237, 6);
});

test('a body’s range is checked across its two fields, beside the one that is wrong', async () => {
  const sent = server(ok);
  const hand = person();
  show(<BodyForm body={null} />);
  await hand.type(named('Name'), 'Heron');
  await hand.type(named('From cone'), '7');
  await hand.type(named('to cone'), '5');
  await press(hand, 'Add the body');
  expect(await screen.findByText('This is cooler than the lower end of the range.')).toBeTruthy();
  expect(named('to cone').getAttribute('aria-invalid')).toBe('true');
  expect(named('From cone').getAttribute('aria-invalid')).toBe('false');
  await hand.clear(named('to cone'));
  await hand.type(named('to cone'), '99');
  await press(hand, 'Add the body');
  expect(await screen.findByText(/There is no cone “99”/)).toBeTruthy();
  expect(sent).toEqual([]);
});

const id = '0192c7cd-5baa-71a4-a619-90db87e84770';
const bucket: Bucket = {
  id,
  revision: 1,
  name: 'Gull',
  versionId: id,
  versionNo: 1,
  coatingName: 'Gull',
  coatingSlug: 'gull',
  cautions: '',
  weighed: null,
  mixedBy: 'Iben',
  mixedAt: new Date(0),
  emptiedAt: null,
  dryG: 5000,
  shape: 'round',
  widthMm: 300,
  depthMm: 350,
  litres: 10,
  advice: { dips: 1, seconds: 3, dryingSign: '', restirMinutes: null, sg: 1.45 },
};
const gull: Coating = {
  id,
  slug: 'gull',
  name: 'Gull',
  kind: 'glaze',
  coneLow: '5',
  coneHigh: '7',
  colour: '#eeeeee',
  atmosphereNotes: '',
  whatItDoes: '',
  cautions: '',
  traits: [],
  revision: 1,
  archived: false,
  mergedInto: null,
  trial: false,
  versions: [],
};
const log = () =>
  show(<BucketLog bucket={bucket} entries={[]} density={2.6} additionsIn={0} timeZone="UTC" />);

test('a measurement says at once what is wrong and what to do, is kept, and can be taken back', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  log();
  await hand.type(named('SG'), '0.8');
  expect(screen.getByText(/Lighter than water/)).toBeTruthy();
  await hand.clear(named('SG'));
  await hand.type(named('SG'), '1,55');
  // 10 l at 1.55 hold 5.5 kg more than water does: to 1.45 they want 10 × 0.10 ÷ 0.45 l.
  expect(screen.getByText('Water: 2.22 l brings it to 1.45.')).toBeTruthy();
  await press(hand, 'Keep it');
  await screen.findByText('Measured');
  const kept = sent[0]!.body.input as { entryId: string };
  expect(kept).toMatchObject({ kind: 'measured', sg: 1.55, litres: 10, bucketId: bucket.id });
  expect([named('SG').value, named('Volume now, l').value]).toEqual(['', '10']);
  await press(hand, 'Undo');
  expect(sent[1]).toMatchObject({
    path: '/api/act/store.drop-bucket-entry',
    body: { input: { entryId: kept.entryId } },
  });
});

test('nothing measured is no measurement; stirring is one touch', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  log();
  await press(hand, 'Keep it');
  expect(await screen.findByText('A measurement has an SG or seconds.')).toBeTruthy();
  expect(sent).toEqual([]);
  await press(hand, 'Stirred');
  expect(sent[0]!.body.input).toMatchObject({ kind: 'stirred', sg: null, litres: null });
});

test('a version says what changed before it is made', async () => {
  const sent = server(ok);
  const hand = person();
  show(<VersionList coating={gull} timeZone="UTC" edit />);
  await press(hand, 'Make next version');
  expect(await screen.findByText('Say what changed.')).toBeTruthy();
  await hand.type(named('What changed'), 'New feldspar');
  await press(hand, 'Make next version');
  await screen.findByText('Version 2 is made; new tiles use it');
  expect(sent).toHaveLength(1);
  expect(named('What changed').value).toBe('');
});
