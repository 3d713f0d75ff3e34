/**
 * What is said at the last of a few readings taken by hand, at either side of each threshold. The figures of
 * the thresholds are common practice, no source; how often they are right is held against worlds elsewhere.
 */
import { Watch, type WatchOptions } from './index';

type Point = readonly [minute: number, celsius: number];

/** What the watch says after the last reading: an alarm “!”, a question “?”, or nothing. */
function said(options: Partial<WatchOptions>, points: readonly Point[]): string {
  const watch = new Watch({ segments: null, top: null, electric: true, ...options });
  for (const [minute, c] of points) watch.read({ t: minute * 60, c });
  const now = points.at(-1)![0] * 60;
  const [change, question] = [watch.change(now), watch.question(now)];
  const words = ({ kind, from, to, minutes }: NonNullable<typeof change>): string =>
    `${kind} ${from.toFixed(0)} → ${to.toFixed(0)} in ${minutes}`;
  if (change !== null) return change.at === now ? `! ${words(change)}` : 'an earlier alarm';
  if (question !== null) return question.at === now ? `? ${words(question)}` : 'an earlier question';
  return 'nothing';
}

const climb = (from: number, rate: number, every: number, count: number): Point[] =>
  Array.from({ length: count }, (_, i) => [i * every, from + (rate * i * every) / 60] as const);

const gas = { electric: false };
const to1000 = { segments: [{ rate: 150, target: 1000, holdMinutes: 0 }] };
const to250 = { segments: [{ rate: 150, target: 250, holdMinutes: 0 }] };
const slowly = { segments: [{ rate: 60, target: 900, holdMinutes: 0 }] };
const held = { segments: [{ rate: 150, target: 600, holdMinutes: 600 }] };

/** To the top, and held lower down. */
const lower = {
  segments: [
    { rate: 150, target: 1000, holdMinutes: 10 },
    { rate: null, target: 850, holdMinutes: 20 },
  ],
};

/** It was behind, and caught up: no clock that waits explains that. */
const hundred = { segments: [{ rate: 100, target: 900, holdMinutes: 0 }] };
const caughtUp: Point[] = [
  [0, 20],
  [45, 30],
  [90, 40],
  [135, 145],
  [180, 250],
  [225, 355],
  [270, 460],
  [300, 520],
];
/** At a corner it is to go more slowly, or stand. */
const slower = {
  segments: [
    { rate: 150, target: 320, holdMinutes: 0 },
    { rate: 50, target: 900, holdMinutes: 0 },
  ],
};
const stands = { segments: [{ rate: 150, target: 320, holdMinutes: 300 }] };

type Case = readonly [what: string, options: Partial<WatchOptions>, points: readonly Point[], says: string];

// prettier-ignore: a table, one case a line
const AT_THE_TOP: Case[] = [
  [
    'it climbs on after its program has ended',
    to1000,
    [...climb(20, 150, 30, 14), [420, 1000], [450, 1000], [480, 1004]],
    '! over-run 1000 → 1004 in 30',
  ],
  ['it only stays up', to1000, [...climb(20, 150, 30, 14), [420, 1000], [450, 1000], [480, 1000]], 'nothing'],
  [
    'its cooling has begun, as somebody said',
    { ...to1000, coolsFrom: 420 * 60 },
    [...climb(20, 150, 30, 14), [420, 1000], [450, 1000], [480, 1004]],
    'nothing',
  ],
  [
    'so cool that nobody need run',
    to250,
    [...climb(20, 150, 30, 4), [120, 250], [150, 250], [180, 254]],
    'nothing',
  ],
  [
    'far above all that its program asks for',
    to1000,
    [...climb(20, 150, 30, 14), [420, 1000], [450, 1019]],
    '! over-run 999 → 1019 in 30',
  ],
  [
    'it jumps up from behind its program',
    slowly,
    [...climb(20, 60, 30, 8), [240, 262], [270, 281], [300, 300], [330, 352]],
    '! over-run 319 → 352 in 30',
  ],
  [
    'it catches up by a little',
    slowly,
    [...climb(20, 60, 30, 8), [240, 262], [270, 281], [300, 300], [330, 334]],
    'nothing',
  ],
];

// prettier-ignore: a table, one case a line
const FALLEN: Case[] = [
  [
    'more at once than a fire that goes out takes',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [30, 1000],
      [60, 1000],
      [90, 594],
    ],
    '! fell 1000 → 594 in 30',
  ],
  [
    'just as much as that',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [30, 1000],
      [60, 1000],
      [90, 595],
    ],
    'nothing',
  ],
  [
    'as much in four times the time',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [120, 1000],
      [240, 1000],
      [360, 400],
    ],
    'nothing',
  ],
  // (1000 − 20) (1 − e^−0.7) = 493 within an hour.
  [
    'shut off and small, it loses just over half its heat in an hour',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 1000],
      [120, 1000],
      [180, 508],
    ],
    'nothing',
  ],
  [
    'more than that',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 1000],
      [120, 1000],
      [180, 506],
    ],
    '! fell 1000 → 506 in 60',
  ],
  [
    'as much while nothing says that it is off',
    {},
    [
      [0, 400],
      [60, 700],
      [120, 1000],
      [180, 515],
    ],
    '! fell 1000 → 515 in 60',
  ],
  // (650 − 20) (1 − e^−0.7) + 20 = 337: its chamber has come down to its brick.
  [
    'already cooling for two hours, more than half its heat',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 1000],
      [120, 800],
      [180, 650],
      [240, 312],
    ],
    '! fell 650 → 312 in 60',
  ],
  [
    'just less than that',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 1000],
      [120, 800],
      [180, 650],
      [240, 314],
    ],
    'nothing',
  ],
  [
    'cooling for an hour, it may lose more',
    { coolsFrom: 0 },
    [
      [0, 600],
      [60, 700],
      [120, 800],
      [180, 650],
      [240, 312],
    ],
    'nothing',
  ],
  [
    'from what it held, by 15',
    held,
    [...climb(20, 150, 10, 24), [240, 600], [250, 600], [260, 600], [270, 585]],
    '! fell 600 → 585 in 10',
  ],
  [
    'from what it held, by 13',
    held,
    [...climb(20, 150, 10, 24), [240, 600], [250, 600], [260, 600], [270, 587]],
    'nothing',
  ],
  [
    'by 9 under a program nobody told',
    {},
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 501],
    ],
    '! fell 510 → 501 in 30',
  ],
  [
    'by 8, which wavers',
    {},
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 502],
    ],
    '? power 510 → 502 in 30',
  ],
  [
    'by 61 with a flame',
    gas,
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 449],
    ],
    '! fell 510 → 449 in 30',
  ],
  [
    'by 60 with a flame that climbed slowly',
    gas,
    [
      [0, 490],
      [30, 500],
      [60, 510],
      [90, 450],
    ],
    'nothing',
  ],
  [
    'somebody touched it in between',
    { ...gas, touched: [80 * 60] },
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 449],
    ],
    'nothing',
  ],
  [
    'somebody touched it before the reading before',
    { ...gas, touched: [50 * 60] },
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 449],
    ],
    '! fell 510 → 449 in 30',
  ],
  [
    'it had hardly climbed',
    {},
    [
      [0, 500],
      [30, 505],
      [60, 510],
      [90, 480],
    ],
    'nothing',
  ],
  [
    'near its top, where somebody may have shut it off',
    { ...gas, top: 540 },
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 449],
    ],
    'nothing',
  ],
];

// prettier-ignore: a table, one case a line
const OPENED: Case[] = [
  [
    'much faster than it just cooled',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 900],
      [120, 810],
      [180, 730],
      [240, 660],
      [300, 430],
    ],
    '! open 660 → 430 in 60',
  ],
  [
    'a little faster',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 900],
      [120, 810],
      [180, 730],
      [240, 660],
      [300, 460],
    ],
    'nothing',
  ],
  [
    'cool enough for a lid to be cracked',
    { coolsFrom: 0 },
    [
      [0, 700],
      [60, 600],
      [120, 510],
      [180, 430],
      [240, 360],
      [300, 130],
    ],
    'nothing',
  ],
  [
    'it had hardly begun to cool',
    { coolsFrom: 0 },
    [
      [0, 1000],
      [60, 990],
      [120, 980],
      [180, 970],
      [240, 960],
      [300, 730],
    ],
    'nothing',
  ],
  [
    'from where its program had held it a little before',
    lower,
    [...climb(20, 130, 30, 15), [445, 985], [465, 960], [485, 870], [505, 845], [525, 800], [545, 690]],
    'nothing',
  ],
  [
    'from well below where it was held',
    lower,
    [...climb(20, 150, 30, 14), [435, 900], [460, 810], [490, 760], [520, 715], [550, 520]],
    '! open 715 → 520 in 30',
  ],
  [
    'the fire went out within the hour',
    { coolsFrom: 240 * 60 },
    [
      [0, 1000],
      [60, 900],
      [120, 810],
      [180, 730],
      [240, 660],
      [300, 430],
    ],
    'nothing',
  ],
];

// prettier-ignore: a table, one case a line
const WEAKER: Case[] = [
  [
    'it hardly moves after it moved, under its program',
    to1000,
    [...climb(20, 150, 30, 6), [180, 400]],
    '! power 395 → 400 in 30',
  ],
  ['it keeps up', to1000, [...climb(20, 150, 30, 8)], 'nothing'],
  [
    'less than a third, nobody told its program',
    {},
    [...climb(20, 150, 60, 4), [240, 510]],
    '! power 470 → 510 in 60',
  ],
  [
    'the same while it only begins to warm',
    {},
    [...climb(20, 150, 30, 4), [120, 265]],
    '? power 245 → 265 in 30',
  ],
  [
    'a flame that comes down while it was to climb',
    gas,
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 490],
    ],
    '! power 510 → 490 in 30',
  ],
  [
    'a flame that only stands',
    gas,
    [
      [0, 400],
      [30, 500],
      [60, 510],
      [90, 495],
    ],
    '? power 510 → 495 in 30',
  ],
  [
    'a flame that climbed slowly',
    gas,
    [
      [0, 470],
      [30, 500],
      [60, 510],
      [90, 490],
    ],
    '? power 510 → 490 in 30',
  ],
];

// prettier-ignore: a table, one case a line
const ASKED: Case[] = [
  [
    'all at once 23 behind a program that it kept up with',
    hundred,
    [...caughtUp, [330, 570], [360, 597]],
    '? power 570 → 597 in 30',
  ],
  ['22 behind', hundred, [...caughtUp, [330, 570], [360, 598.1]], 'nothing'],
  ['14 behind, and 23 more', hundred, [...caughtUp, [330, 556], [360, 583]], '? power 556 → 583 in 30'],
  ['14 behind, and 22 more', hundred, [...caughtUp, [330, 556], [360, 584.1]], 'nothing'],
  ['15 behind, and 23 more: it did not keep up', hundred, [...caughtUp, [330, 555], [360, 582]], 'nothing'],
  ['4 ahead, and 22 behind', hundred, [...caughtUp, [330, 574], [360, 598.1]], 'nothing'],
  [
    'it goes more slowly as it is asked to',
    slower,
    [...climb(20, 150, 30, 5), [150, 345], [180, 370]],
    'nothing',
  ],
  ['it goes more slowly where a corner is passed', slower, [...climb(20, 150, 30, 5), [150, 335]], 'nothing'],
  [
    'it goes more slowly than that',
    slower,
    [...climb(20, 150, 30, 5), [150, 345], [180, 370], [210, 395], [240, 420], [290, 427]],
    '! power 420 → 427 in 50',
  ],
  ['it stands where it is to', stands, [...climb(20, 150, 30, 5), [150, 320], [180, 320]], 'nothing'],
  [
    'less than 45 parts of 100',
    {},
    [
      [0, 100],
      [60, 200],
      [120, 244],
    ],
    '? power 200 → 244 in 60',
  ],
  [
    'just 45 parts',
    {},
    [
      [0, 100],
      [60, 200],
      [120, 245],
    ],
    'nothing',
  ],
  [
    'it climbed a little, and stands',
    {},
    [
      [0, 100],
      [60, 126],
      [120, 127],
    ],
    '? power 126 → 127 in 60',
  ],
  [
    'it hardly climbed',
    {},
    [
      [0, 100],
      [60, 125],
      [120, 125],
    ],
    'nothing',
  ],
  [
    'too little is missing to be sure of a dial',
    {},
    [
      [0, 100],
      [60, 130],
      [120, 143],
    ],
    'nothing',
  ],
  [
    'enough is missing',
    {},
    [
      [0, 100],
      [60, 133],
      [120, 147.5],
    ],
    '? power 133 → 148 in 60',
  ],
  [
    'over two readings, where one says too little',
    {},
    [
      [0, 100],
      [60, 200],
      [120, 250],
      [180, 300],
    ],
    '? power 250 → 300 in 60',
  ],
  [
    'over two readings, more than half',
    {},
    [
      [0, 100],
      [60, 200],
      [120, 256],
      [180, 312],
    ],
    'nothing',
  ],
  [
    'over two readings, the second climbs again',
    {},
    [
      [0, 100],
      [60, 200],
      [120, 246],
      [180, 305],
    ],
    'nothing',
  ],
  [
    'a flame wavers by 60',
    gas,
    [
      [0, 100],
      [60, 200],
      [120, 241],
    ],
    'nothing',
  ],
  [
    'a flame, and more is missing',
    gas,
    [
      [0, 100],
      [60, 200],
      [120, 239],
    ],
    '? power 200 → 239 in 60',
  ],
  [
    'near its top',
    { top: 249 },
    [
      [0, 100],
      [60, 200],
      [120, 210],
    ],
    'nothing',
  ],
  [
    'not so near its top',
    { top: 250 },
    [
      [0, 100],
      [60, 200],
      [120, 210],
    ],
    '? power 200 → 210 in 60',
  ],
  [
    'somebody touched it',
    { touched: [90 * 60] },
    [
      [0, 100],
      [60, 200],
      [120, 210],
    ],
    'nothing',
  ],
  [
    'it cools, as somebody said',
    { coolsFrom: 60 * 60 },
    [
      [0, 100],
      [60, 200],
      [120, 210],
    ],
    'nothing',
  ],
  [
    'two readings only',
    {},
    [
      [0, 100],
      [60, 100],
    ],
    'nothing',
  ],
  [
    'it was hot and is cold: its firing is over',
    { top: 1000 },
    [
      [0, 900],
      [60, 100],
      [120, 200],
      [180, 210],
    ],
    'nothing',
  ],
];

describe.each([
  ['at the top', AT_THE_TOP],
  ['fallen', FALLEN],
  ['opened', OPENED],
  ['weaker', WEAKER],
  ['asked about', ASKED],
])('%s', (_, cases) => {
  test.each(cases)('%s', (_what, options, points, says) => {
    expect(said(options, points)).toBe(says);
  });
});

test('an alarm stays for an hour, and no longer than until somebody touches the kiln', () => {
  const points: Point[] = [
    [0, 400],
    [30, 500],
    [60, 510],
    [90, 449],
  ];
  const after = (touched: number[]): Watch => {
    const watch = new Watch({ segments: null, top: null, electric: false, touched });
    for (const [minute, c] of points) watch.read({ t: minute * 60, c });
    return watch;
  };
  expect(after([]).change(90 * 60 + 3600)?.kind).toBe('fell');
  expect(after([]).change(90 * 60 + 3601)).toBeNull();
  expect(after([100 * 60]).change(99 * 60)?.kind).toBe('fell');
  expect(after([100 * 60]).change(100 * 60)).toBeNull();
  // What is alarmed about is not asked about as well.
  expect(after([]).question(90 * 60)).toBeNull();
});
