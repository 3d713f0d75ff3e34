import { readPaper, remarkKind } from './index';

test('lines by the clock, since lighting and dated, with remarks', () => {
  const { lines, wrong } = readPaper(
    [
      '8:30 95 lid propped',
      '',
      '+2:30; 450',
      '2026-03-05 23:10 1180 °C',
      '14:05 damper in to 40 mm',
      '9.15, 120,5',
    ].join('\n'),
    'C',
  );
  expect(wrong).toEqual([]);
  expect(lines).toEqual([
    { line: 1, time: { kind: 'clock', minutes: 510 }, celsius: 95, remark: 'lid propped' },
    { line: 3, time: { kind: 'since', minutes: 150 }, celsius: 450, remark: '' },
    {
      line: 4,
      time: { kind: 'dated', date: '2026-03-05', minutes: 1390 },
      celsius: 1180,
      remark: '',
    },
    { line: 5, time: { kind: 'clock', minutes: 845 }, celsius: null, remark: 'damper in to 40 mm' },
    { line: 6, time: { kind: 'clock', minutes: 555 }, celsius: 120.5, remark: '' },
  ]);
});

test('a pyrometer in °F, and one line in the other scale', () => {
  const { lines } = readPaper('8:00 212\n8:30 100 C', 'F');
  expect(lines.map(({ celsius }) => celsius)).toEqual([100, 100]);
});

test.each([
  ['lid shut', /begins with no time/],
  ['25:00 100', /no time of a day/],
  ['8:75 100', /no time of a day/],
  ['8:30', /neither temperature nor remark/],
  ['8:30 9999', /no temperature of a kiln/],
])('“%s” is said to be wrong, and why', (text, why) => {
  const { lines, wrong } = readPaper(text, 'C');
  expect(lines).toEqual([]);
  expect(wrong).toHaveLength(1);
  expect(wrong[0]!.why).toMatch(why);
});

test('what a remark is about', () => {
  expect(
    [
      'lid closed',
      'damper in',
      'all switches to high',
      'flame a hand long',
      'spy hole plug in',
      'tripped',
      'tea',
    ].map(remarkKind),
  ).toEqual(['lid', 'damper', 'switch', 'flame', 'peep', 'shut-off', 'note']);
});
