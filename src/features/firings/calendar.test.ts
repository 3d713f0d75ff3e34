/** The calendar as another program reads it (ical.js, RFC 5545). */
import ICAL from 'ical.js';
import { asICalendar, type Coming } from './calendar';

const coming = (plannedFor: string | null, bringBy: string | null): Coming => ({
  firing: {
    id: '0193f7a0-0000-7000-8000-000000000001',
    kilnName: 'Marta',
    no: 4,
    kind: 'glaze',
    targetCone: '6',
    atmosphere: 'oxidation',
    notice: 'Dry work only; feet wiped, please.',
    plannedFor,
    bringBy,
  } as Coming['firing'],
  pieces: 1,
  usual: null,
  duty: 'Ada Thorne',
});
const events = (all: readonly Coming[]) =>
  new ICAL.Component(ICAL.parse(asICalendar('Kiln Lane, upstairs', all)))
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));

test('a firing is a whole day, to the next, over the end of a month and a year', () => {
  const [fire, bring] = events([coming('2026-11-30', '2026-12-31')]);
  expect(fire!.summary).toBe('Fire Marta 4');
  expect([fire!.startDate.isDate, fire!.startDate.toString(), fire!.endDate.toString()]).toEqual([
    true,
    '2026-11-30',
    '2026-12-01',
  ]);
  expect(fire!.duration.toSeconds()).toBe(86_400);
  expect(bring!.endDate.toString()).toBe('2027-01-01');
  expect(fire!.description).toContain('Dry work only; feet wiped, please.');
  expect(fire!.description).toContain('1 piece so far');
  expect(fire!.uid).not.toBe(bring!.uid);
});

test('what has no date is not in it; an empty calendar can be read', () => {
  expect(events([coming(null, null)])).toEqual([]);
  expect(asICalendar('Kiln Lane', [coming('2026-03-28', null)])).not.toMatch(/DURATION/);
});
