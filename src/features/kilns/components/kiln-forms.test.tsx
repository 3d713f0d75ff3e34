import { jest } from '@jest/globals';
import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';

// The curve is drawn on a canvas, which there is none of here.
jest.unstable_mockModule('../../drawings', () => ({
  Curve: ({ label }: { label: string }) => <div role="img" aria-label={label} />,
}));
const { ScheduleForm } = await import('./ScheduleForm');
const { UpkeepBook } = await import('./UpkeepBook');
const { HoldTool } = await import('./HoldTool');

const F = { temperature: 'F', length: 'mm', mass: 'g' } as const;
const marta = {
  id: 'k1',
  name: 'Marta',
  offset: 0,
  next: null,
  firings: 3,
  climb: 250,
  powerKw: 10,
};
const start = {
  name: '',
  notes: '',
  segments: [{ rate: 100, target: 1200, holdMinutes: 10 }],
};
const schedule = (units?: typeof F) =>
  show(<ScheduleForm start={start} kilns={[marta]} />, units ? { units } : {});
beforeEach(() => localStorage.clear());

test('in a studio of °F a schedule is typed in °F and kept in °C', async () => {
  const sent = server(() => ({ ok: true, data: { id: 's' } }));
  const hand = person();
  schedule(F);
  expect([named('Climb, °F/h').value, named('to, °F').value]).toEqual(['180', '2192']);
  await hand.type(named('Name'), 'Slow');
  await hand.clear(named('to, °F'));
  await hand.type(named('to, °F'), '2232');
  await press(hand, 'Save schedule');
  await screen.findByText('Schedule saved');
  const { fields } = sent[0]!.body.input as { fields: typeof start };
  expect(fields.segments).toEqual([{ rate: 100, target: expect.closeTo(1222.22, 2), holdMinutes: 10 }]);
  expect(router.push).toHaveBeenCalledWith('/kilns/schedules');
});

test('what it comes to is said as it is written, and a hold can be taken over', async () => {
  const hand = person();
  schedule();
  expect(screen.getByRole('img', { name: 'The schedule as a curve, 1 segment' })).toBeTruthy();
  await press(hand, /^Marta: hold/);
  const held = Number(named('hold, min').value);
  expect(held).toBeGreaterThan(10);
  expect(held).toBeLessThan(120);
});

test('a segment without its number keeps the schedule from being saved, and says where', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  schedule();
  await hand.type(named('Name'), 'Two');
  await press(hand, 'Add a segment');
  expect(screen.getByText(/appear as soon as every segment has its numbers/)).toBeTruthy();
  await press(hand, 'Save schedule');
  expect(await screen.findByText('Give a temperature.')).toBeTruthy();
  expect(sent).toEqual([]);
  await press(hand, 'Take segment 2 out');
  await press(hand, 'Save schedule');
  expect(sent).toHaveLength(1);
});

test('upkeep is written down with a day, warns where it can hurt, and is taken back', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  const kilnId = '0192c7cd-5baa-71a4-a619-90db87e84770';
  show(<UpkeepBook kilnId={kilnId} upkeep={[]} today="2026-11-25" edit />);
  expect(screen.getByText(/Isolate the kiln and lock it off/)).toBeTruthy();
  await hand.type(named('Note'), 'all six');
  await press(hand, 'Write down');
  await screen.findByText('Written down');
  expect(sent[0]!.body.input).toMatchObject({
    kilnId,
    kind: 'elements',
    doneOn: '2026-11-25',
    note: 'all six',
  });
  await press(hand, 'Undo');
  expect(sent[1]).toMatchObject({
    path: '/api/act/kilns.drop-upkeep',
    body: { input: { id: (sent[0]!.body.input as { id: string }).id, dropped: true } },
  });
});

test('how long to hold: asked in either scale it is the same, and nonsense is asked about', async () => {
  const hand = person();
  const one = show(<HoldTool kilns={[marta]} />);
  const said = screen.getByRole('status').textContent;
  expect(said).toMatch(/^Hold \d+/);
  await hand.clear(named('Hold at, °C'));
  await hand.type(named('Hold at, °C'), '2192');
  expect(screen.getByRole('status').textContent).toContain('Is it °F?');
  await hand.clear(named('Hold at, °C'));
  expect(screen.getByRole('status').textContent).toBe('Give a temperature and a rate.');
  one.unmount();
  show(<HoldTool kilns={[marta]} />, { units: F });
  expect(named('Hold at, °F').value).toBe('2192');
  expect(screen.getByRole('status').textContent?.split(';')[0]).toBe(said?.split(';')[0]);
});
