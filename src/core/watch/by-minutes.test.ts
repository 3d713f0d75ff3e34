/**
 * What is said of a kiln that is read each minute, at either side of each threshold: when first, and with
 * which figures. The thresholds are common practice, no source; how often they are right is held against
 * worlds elsewhere.
 */
import { Watch, type WatchOptions } from './index';

/** So many minutes at so many °C an hour. */
type Leg = readonly [minutes: number, rate: number];
type Said = { readonly jitter?: number; readonly every?: number; readonly from?: number };

/** The kinds of alarm in turn, each with the minute at which it was first said and its figures. */
function alarms(
  options: Partial<WatchOptions>,
  legs: readonly Leg[],
  { jitter = 0, every = 1, from = 20 }: Said,
): string[] {
  const watch = new Watch({ segments: null, top: null, electric: true, ...options });
  const found: string[] = [];
  let [minute, c, n, last] = [0, from, 0, ''];
  watch.read({ t: 0, c });
  for (const [minutes, rate] of legs)
    for (let i = 0; i < minutes; i += every) {
      minute += every;
      c += (rate * every) / 60;
      n++;
      watch.read({ t: minute * 60, c: c + (n % 2 === 0 ? -jitter : jitter) });
      const change = watch.change(minute * 60);
      if (change !== null && change.kind !== last)
        found.push(`${change.kind} at ${minute}: ${change.from.toFixed(0)} → ${change.to.toFixed(0)}`);
      if (change === null && last !== '') found.push(`quiet at ${minute}`);
      last = change?.kind ?? '';
    }
  return found;
}

const climbing = { segments: [{ rate: 120, target: 1220, holdMinutes: 30 }] };
const held = { segments: [{ rate: 120, target: 500, holdMinutes: 120 }] };
const short = { segments: [{ rate: 120, target: 500, holdMinutes: 10 }] };
const led = {
  segments: [
    { rate: 120, target: 500, holdMinutes: 10 },
    { rate: 60, target: 440, holdMinutes: 60 },
  ],
};
const cooled = { segments: [{ rate: 120, target: 800, holdMinutes: 10 }], coolsFrom: 400 * 60 };
const near = { segments: [{ rate: 120, target: 500, holdMinutes: 60 }] };
/** To the top, and held lower down. */
const lower = {
  segments: [
    { rate: 120, target: 800, holdMinutes: 10 },
    { rate: null, target: 750, holdMinutes: 20 },
  ],
};
const out = { coolsFrom: 0 };
const gas = { electric: false };

type Case = readonly [
  what: string,
  options: Partial<WatchOptions>,
  legs: readonly Leg[],
  says: string[],
  how?: Said,
];

// prettier-ignore: a table, one case a line
const WEAKER: Case[] = [
  ['it goes as it is asked to', climbing, [[500, 120]], []],
  [
    'nothing heats it any more',
    climbing,
    [
      [240, 120],
      [60, 0],
    ],
    ['power at 244: 500 → 500'],
  ],
  [
    'a fifth is left',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 245: 502 → 502'],
  ],
  [
    'a little less than half is left',
    climbing,
    [
      [240, 120],
      [60, 57.6],
    ],
    ['power at 247: 507 → 507'],
  ],
  [
    'half is left',
    climbing,
    [
      [240, 120],
      [60, 60],
    ],
    [],
  ],
  [
    'a fifth is left, nobody told its program',
    {},
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 245: 502 → 502'],
  ],
  [
    'a fifth is left, read every three minutes',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 249: 504 → 504'],
    { every: 3 },
  ],
  [
    'a fifth is left, read every two minutes',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 246: 502 → 502'],
    { every: 2 },
  ],
  [
    'a fifth is left, read every five minutes',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 250: 504 → 504'],
    { every: 5 },
  ],
  [
    'a fifth is left, read every six minutes',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 252: 505 → 505'],
    { every: 6 },
  ],
  [
    'it goes as it is asked to, read every six minutes',
    climbing,
    [[498, 120]],
    [],
    { every: 6, jitter: 1.5 },
  ],
  [
    'it tires within an hour',
    climbing,
    [
      [240, 120],
      [10, 100],
      [10, 80],
      [10, 60],
      [10, 40],
      [40, 20],
    ],
    ['power at 276: 544 → 544'],
  ],
  [
    'it goes slower by degrees, and no less than a half',
    climbing,
    [
      [240, 120],
      [10, 110],
      [10, 100],
      [10, 90],
      [10, 80],
      [40, 70],
    ],
    [],
  ],
  [
    'it only begins to warm',
    climbing,
    [
      [60, 120],
      [14, 20],
    ],
    [],
  ],
  [
    'it has just warmed',
    climbing,
    [
      [60, 120],
      [40, 20],
    ],
    ['power at 76: 145 → 145'],
  ],
  [
    'cool, and turned up step by step',
    {},
    [
      [80, 60],
      [40, 5],
    ],
    [],
  ],
  [
    'the same when it is warm',
    {},
    [
      [200, 60],
      [40, 5],
    ],
    ['power at 208: 221 → 221'],
  ],
  [
    'a touch explains half an hour',
    { ...climbing, touched: [245 * 60] },
    [
      [240, 120],
      [60, 20],
    ],
    ['power at 277: 512 → 512'],
  ],
  [
    'a touch afterwards ends it',
    { ...climbing, touched: [300 * 60] },
    [
      [240, 120],
      [70, 20],
    ],
    ['power at 245: 502 → 502', 'quiet at 300'],
  ],
  ['a jumping probe alone', climbing, [[500, 120]], [], { jitter: 3 }],
  [
    'through a probe that jumps by 1',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 250: 505 → 503'],
    { jitter: 1 },
  ],
  [
    'through a probe that jumps by 3',
    climbing,
    [
      [240, 120],
      [60, 24],
    ],
    ['power at 256: 509 → 503'],
    { jitter: 3 },
  ],
  [
    'a flame that stands',
    gas,
    [
      [240, 120],
      [60, 20],
    ],
    [],
  ],
  [
    'a flame that comes down while it only begins to warm',
    gas,
    [
      [55, 120],
      [19, -80],
    ],
    ['fell at 70: 130 → 110'],
  ],
  [
    'a flame that comes down, through a probe that jumps by 4',
    gas,
    [
      [240, 120],
      [30, -100],
    ],
    ['power at 248: 502 → 483', 'fell at 252: 502 → 476'],
    { jitter: 4 },
  ],
  [
    'a flame that comes down slowly',
    gas,
    [
      [240, 120],
      [60, -20],
    ],
    [],
  ],
  [
    'a flame that comes down',
    gas,
    [
      [240, 120],
      [60, -60],
    ],
    ['power at 251: 500 → 489'],
  ],
];

// prettier-ignore: a table, one case a line
const FALLEN: Case[] = [
  [
    'it comes down as fast as brick does',
    climbing,
    [
      [240, 120],
      [60, -600],
    ],
    ['fell at 242: 500 → 480'],
  ],
  [
    'it comes down from what it held',
    held,
    [
      [240, 120],
      [30, 0],
      [60, -40],
    ],
    ['fell at 285: 500 → 490'],
  ],
  [
    'it was a little beyond its hold and settles on it',
    held,
    [
      [244, 120],
      [9, -60],
      [60, 0],
    ],
    [],
  ],
  [
    'it was a little beyond its hold and does not stop there',
    held,
    [
      [244, 120],
      [40, -60],
    ],
    ['fell at 259: 508 → 493'],
  ],
  [
    'a flame comes down, read every five minutes',
    gas,
    [
      [240, 120],
      [60, -60],
    ],
    ['power at 260: 495 → 480'],
    { every: 5 },
  ],
  [
    'a flame comes down slowly, read every five minutes',
    gas,
    [
      [240, 120],
      [60, -10],
    ],
    [],
    { every: 5 },
  ],
  [
    'a hold that is over lets it fall',
    { segments: [{ rate: 120, target: 500, holdMinutes: 60 }] },
    [
      [240, 120],
      [60, 0],
      [120, -90],
    ],
    [],
  ],
  [
    'it came near, which in some ways was there and is over',
    near,
    [
      [238, 120],
      [142, 0],
      [60, -90],
    ],
    [],
  ],
  [
    'the flame is out',
    gas,
    [
      [240, 120],
      [60, -120],
    ],
    ['power at 248: 500 → 484', 'fell at 251: 500 → 478'],
  ],
  [
    'as fast as brick does, read every five minutes',
    climbing,
    [
      [240, 120],
      [60, -600],
    ],
    ['fell at 245: 500 → 450'],
    { every: 5 },
  ],
  [
    'a thermocouple comes out of a cooling kiln',
    out,
    [
      [10, 0],
      [120, -60],
      [11, -1400],
    ],
    ['open at 132: 893 → 833', 'fell at 141: 884 → 623'],
    { from: 1000 },
  ],
];

// prettier-ignore: a table, one case a line
const TOO_HOT: Case[] = [
  [
    'a tenth faster',
    climbing,
    [
      [240, 120],
      [60, 132],
    ],
    [],
  ],
  [
    'a fifth faster',
    climbing,
    [
      [240, 120],
      [60, 144],
    ],
    ['over-run at 280: 580 → 596'],
  ],
  [
    'twice as fast',
    climbing,
    [
      [240, 120],
      [60, 240],
    ],
    ['over-run at 246: 512 → 524'],
  ],
  [
    'its controller leads all the way by 13',
    climbing,
    [
      [10, 200],
      [400, 120],
    ],
    [],
  ],
  [
    'it leads, and goes further ahead',
    climbing,
    [
      [10, 200],
      [300, 120],
      [60, 150],
    ],
    ['over-run at 331: 682 → 706'],
  ],
  [
    'it falls more slowly than it is led down',
    led,
    [
      [240, 120],
      [10, 0],
      [30, -60],
      [100, -25],
    ],
    [],
  ],
  [
    'it hardly falls where it is led down',
    led,
    [
      [240, 120],
      [10, 0],
      [30, -60],
      [100, -15],
    ],
    ['over-run at 303: 447 → 464'],
  ],
  [
    'it climbs from what it should hold',
    held,
    [
      [240, 120],
      [30, 0],
      [60, 40],
    ],
    ['over-run at 289: 500 → 513'],
  ],
  [
    'its program has ended, and it stays',
    short,
    [
      [240, 120],
      [10, 0],
      [90, 0],
    ],
    ['over-run at 264: 500 → 500'],
  ],
  [
    'its program has ended, and it hardly cools',
    short,
    [
      [240, 120],
      [10, 0],
      [90, -15],
    ],
    ['over-run at 264: 500 → 497'],
  ],
  [
    'its program has ended, and it cools',
    short,
    [
      [240, 120],
      [10, 0],
      [90, -25],
    ],
    [],
  ],
  [
    'it has cooled for two hours, and climbs again',
    short,
    [
      [240, 120],
      [10, 0],
      [120, -60],
      [60, 150],
    ],
    ['over-run at 379: 380 → 403'],
  ],
  [
    'it has cooled for two hours, and creeps up',
    short,
    [
      [240, 120],
      [10, 0],
      [120, -60],
      [60, 20],
    ],
    [],
  ],
  [
    'it is cool, and climbs until it is warm',
    short,
    [
      [240, 120],
      [10, 0],
      [200, -60],
      [60, 150],
    ],
    ['over-run at 459: 300 → 323'],
  ],
  [
    'it has cooled for an hour, and stays',
    short,
    [
      [240, 120],
      [10, 0],
      [62, -25],
      [60, 0],
    ],
    [],
  ],
  [
    'its program has ended cool, and it stays',
    { segments: [{ rate: 120, target: 250, holdMinutes: 10 }] },
    [
      [115, 120],
      [10, 0],
      [90, 0],
    ],
    [],
  ],
  [
    'twice as fast, read every five minutes',
    climbing,
    [
      [240, 120],
      [60, 240],
    ],
    ['over-run at 250: 520 → 540'],
    { every: 5 },
  ],
  [
    'it cooled and climbs again',
    short,
    [
      [240, 120],
      [10, 0],
      [30, -60],
      [60, 60],
    ],
    ['over-run at 283: 500 → 473'],
  ],
];

// prettier-ignore: a table, one case a line
const OPENED: Case[] = [
  [
    'three times as fast as it cooled',
    cooled,
    [
      [390, 120],
      [10, 0],
      [120, -90],
      [30, -300],
    ],
    ['open at 524: 637 → 600'],
  ],
  [
    'three times as fast, read every five minutes',
    cooled,
    [
      [390, 120],
      [10, 0],
      [120, -90],
      [30, -300],
    ],
    ['open at 530: 628 → 570'],
    { every: 5 },
  ],
  [
    'a little more than twice',
    cooled,
    [
      [390, 120],
      [10, 0],
      [120, -90],
      [30, -240],
    ],
    ['open at 525: 635 → 600'],
  ],
  [
    'about twice',
    cooled,
    [
      [390, 120],
      [10, 0],
      [120, -90],
      [30, -200],
    ],
    [],
  ],
  [
    'its program has ended in every way',
    lower,
    [
      [390, 120],
      [10, 0],
      [10, -300],
      [20, 0],
      [54, -90],
      [8, -300],
    ],
    ['open at 488: 686 → 649'],
  ],
  [
    'in some ways it may have been held until then',
    lower,
    [
      [388, 120],
      [12, 0],
      [10, -300],
      [20, 0],
      [54, -90],
      [8, -300],
    ],
    [],
  ],
  [
    'well below where its program held it',
    lower,
    [
      [390, 120],
      [10, 0],
      [10, -300],
      [20, 0],
      [120, -90],
      [30, -300],
    ],
    ['open at 554: 587 → 550'],
  ],
  [
    'cool enough for a lid to be cracked',
    { ...short, coolsFrom: 260 * 60 },
    [
      [240, 120],
      [10, 0],
      [140, -90],
      [30, -300],
    ],
    [],
  ],
];

describe.each([
  ['weaker', WEAKER],
  ['fallen', FALLEN],
  ['too hot', TOO_HOT],
  ['opened', OPENED],
])('%s', (_, cases) => {
  for (const [what, options, legs, says, how = {}] of cases)
    test(what, () => {
      expect(alarms(options, legs, how)).toEqual(says);
    });
});

test('what has been said to be graver is not taken back to less a minute later', () => {
  const falling: Leg[] = [
    [240, 120],
    [60, -30],
  ];
  for (const jitter of [0, 0.3, 0.6])
    expect(alarms(climbing, falling, { jitter }).map((one) => one.split(' ')[0])).toEqual(
      jitter === 0 ? ['power'] : ['power', 'fell'],
    );
});
