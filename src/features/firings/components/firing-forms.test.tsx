import type { Kiln } from '@/data/kilns';
import { UNMEASURED } from '@/core/load';
import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';

const { PlanForm } = await import('./FiringForm');
const { Progress } = await import('./Progress');
const { NextTime } = await import('./NextTime');

const id = '0192c7cd-5baa-71a4-a619-90db87e84770';
const kiln = (shelves: number): Kiln => ({
  id,
  slug: 'marta',
  name: 'Marta',
  energy: 'electric',
  control: 'controller',
  volumeL: 200,
  shelves,
  notes: '',
  revision: 1,
  archived: false,
  mergedInto: null,
  nobodyKnows: false,
  posts: null,
  ...UNMEASURED,
});
const start = {
  kilnId: id,
  kind: 'glaze',
  targetCone: '6',
  atmosphere: 'oxidation',
  plannedFor: '2026-11-25',
  notes: '',
} as const;
const conesOf = (input: unknown) =>
  (input as { cones: { cone: string; place: string }[] }).cones.map(({ cone, place }) => `${cone} ${place}`);
beforeEach(() => localStorage.clear());

test('a planned firing comes with its usual cones, on top and below where there are shelves for it', async () => {
  const sent = server(() => ({ ok: true, data: { id: 'f', no: 1, control: null } }));
  const hand = person();
  show(<PlanForm usual={{}} kilns={[kiln(5)]} start={start} />);
  await hand.clear(named('Target cone'));
  await hand.type(named('Target cone'), '5½');
  await press(hand, 'Plan this firing');
  // One below, the one aimed at and one above, in each place.
  expect(new Set(conesOf(sent[0]!.body.input))).toEqual(
    new Set(['top shelf', 'bottom shelf'].flatMap((place) => [`5 ${place}`, `5.5 ${place}`, `6 ${place}`])),
  );
  expect(router.push).toHaveBeenCalledWith('/kilns/firings/f');
});

test('one shelf has one pack; a bisque has none; a cone there is not is said beside its field', async () => {
  const sent = server(() => ({ ok: true, data: { id: 'f', no: 1, control: null } }));
  const hand = person();
  const one = show(<PlanForm usual={{}} kilns={[kiln(1)]} start={start} />);
  await press(hand, 'Plan this firing');
  expect(conesOf(sent[0]!.body.input).every((cone) => cone.endsWith(' shelf'))).toBe(true);
  one.unmount();
  show(<PlanForm usual={{}} kilns={[kiln(1)]} start={start} />);
  await press(hand, 'Bisque');
  await press(hand, 'Plan this firing');
  expect(conesOf(sent[1]!.body.input)).toEqual([]);
  await hand.clear(named('Target cone'));
  await hand.type(named('Target cone'), '66');
  await press(hand, 'Plan this firing');
  expect(await screen.findByText(/There is no cone “66”/)).toBeTruthy();
  expect(sent).toHaveLength(2);
});

test('a control tile that went in by itself is said, and one touch takes it out again', async () => {
  const sent = server(() => ({
    ok: true,
    data: { id: 'f', no: 1, control: { code: 'K3RV1', placementId: 'p' } },
  }));
  const hand = person();
  show(<PlanForm usual={{}} kilns={[kiln(5)]} start={start} />);
  await press(hand, 'Plan this firing');
  await screen.findByText('K3RV1, the control, is in it');
  await press(hand, 'Undo');
  expect(sent.at(-1)!.body.input).toEqual({ firingId: 'f', placementIds: ['p'] });
});

test('the next step is one touch; a step out of turn asks why', async () => {
  const sent = server(({ body }) =>
    (body.input as { reason?: string }).reason === ''
      ? {
          ok: false,
          problem: { code: 'invalid', message: 'Say why.', fields: { reason: 'Say why.' } },
        }
      : { ok: true, data: null },
  );
  const hand = person();
  show(<Progress firingId={id} status="firing" crackAt="100 °C" mayMove />);
  await press(hand, 'Firing is done, cooling');
  await screen.findByText('The fire is out, the kiln cools');
  await press(hand, 'Another step …');
  await press(hand, 'Change');
  expect(await screen.findAllByText('Say why.')).toHaveLength(2);
  await hand.type(named('Why'), 'Lit by mistake');
  await press(hand, 'Change');
  await screen.findByText('It is planned again: the load can be changed');
  expect(sent.map(({ body }) => body.input)).toEqual([
    // With its moment: without a network it is sent later than it was.
    { firingId: id, from: 'firing', to: 'cooling', at: expect.stringMatching(/^\d{4}-.*Z$/) },
    { firingId: id, from: 'firing', to: 'planned', reason: '' },
    { firingId: id, from: 'firing', to: 'planned', reason: 'Lit by mistake' },
  ]);
});

test('what to do otherwise is kept with the meter as it was read', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<NextTime firingId={id} nextTime="" energyUsed={null} unit="kWh" />);
  await hand.type(named('Next time'), 'Slower to 600.');
  await hand.type(named('Meter, kWh'), 'thirty');
  await press(hand, 'Keep for next time');
  expect(await screen.findByText('“thirty” is no number')).toBeTruthy();
  expect(sent).toEqual([]);
  await hand.clear(named('Meter, kWh'));
  await hand.type(named('Meter, kWh'), '31,5');
  await press(hand, 'Keep for next time');
  await screen.findByText('Kept for next time');
  expect(sent[0]!.body.input).toEqual({
    firingId: id,
    nextTime: 'Slower to 600.',
    energyUsed: 31.5,
  });
});
