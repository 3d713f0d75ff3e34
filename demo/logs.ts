/** The demo kilns' logs: what was shown, what the cones felt, who wrote what beside it. */
import { coneOrdinal } from '../src/core/cones';
import type { LogKind, UpkeepKind } from '../src/core/firing';
import { predictedOrdinal, profileOf, type Reading, type Segment } from '../src/core/heatwork';
import type { Atmosphere } from '../src/core/signs';
import { ELECTRIC, fire, type Kiln } from '../stand-ins/kiln';
import { gaussian } from '../stand-ins/noise';
import type { DemoFiring } from './history-terms';

const DAY = 86_400_000;

/** What each kiln's thermocouple reads low by, °C. Pip's is the story; Marta's changed with its elements. */
export const READS_LOW = { marta: 4, pip: 15, gable: -6 } as const;
const MARTA_BEFORE = 11;
/** Days before today. */
const MARTA_ELEMENTS = 300;

/**
 * The kiln that Marta's climbing firing runs on, and its program: the stand-in controller goes on with it.
 */
export const MARTA: Kiln = { ...ELECTRIC, readsLow: READS_LOW.marta };
export const MARTA_SEED = 20_261;
export const MARTA_EVERY = 60;
export const CONE_SIX: Segment[] = [
  { rate: 90, target: 120, holdMinutes: 20 },
  { rate: 165, target: 1090, holdMinutes: 0 },
  { rate: 62, target: 1206, holdMinutes: 12 },
];
export const SCHEDULES: readonly { name: string; notes: string; segments: Segment[] }[] = [
  { name: 'Cone 6, steady', notes: 'For glazed work that was dry on loading.', segments: CONE_SIX },
  {
    name: 'Cone 6, drop and hold',
    notes: 'For Snowmelt and whatever pinholes.',
    segments: [
      ...CONE_SIX.slice(0, 2),
      { rate: 62, target: 1200, holdMinutes: 8 },
      { rate: null, target: 1150, holdMinutes: 30 },
    ],
  },
  {
    name: 'Bisque 06',
    notes: 'Slow through the water and through quartz.',
    segments: [
      { rate: 60, target: 120, holdMinutes: 60 },
      { rate: 110, target: 620, holdMinutes: 0 },
      { rate: 130, target: 990, holdMinutes: 10 },
    ],
  },
];

export type DemoLog = {
  readings: { at: Date; celsius: number }[];
  source: 'hand' | 'device';
  entries: { at: Date; kind: LogKind; atmosphere: Atmosphere | null; text: string }[];
  readEveryS: number;
  schedule: { name: string; segments: Segment[] } | null;
  nextTime: string;
  energyUsed: number | null;
};

/** A climb by its corners to a peak that brings the cones to where they were read. */
function climb(firing: DemoFiring, reached: number): Reading[] {
  const gas = firing.kiln === 'gable';
  const first = coneOrdinal(firing.target) < 0 ? 850 : 1080;
  const at = (peak: number): Reading[] =>
    profileOf(
      [
        { rate: gas ? 110 : 140, target: 300, holdMinutes: 0 },
        { rate: gas ? 130 : 160, target: first, holdMinutes: 0 },
        { rate: gas ? 55 : 64, target: peak, holdMinutes: gas ? 25 : 12 },
      ],
      18,
    );
  // The first half hour of cooling works on the cones too.
  const slow = { marta: 270, pip: 430, gable: 170 }[firing.kiln] ?? 250;
  const whole = (peak: number): Reading[] => {
    const log = at(peak);
    return [...log, { t: log.at(-1)!.t + 1800, c: peak - slow / 2 }];
  };
  let [low, high] = [first + 20, 1340];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (predictedOrdinal(whole(middle)) < reached) low = middle;
    else high = middle;
  }
  return at((low + high) / 2);
}

/** The log of a firing that is over or cooling: its climb, then a cooling that slows as brick does. */
function past(firing: DemoFiring, now: Date, seed: number): Reading[] {
  const noise = gaussian(seed);
  const corners = climb(firing, firing.reached + 0.02 * noise());
  const top = corners.at(-1)!;
  const slow = firing.kiln === 'gable' ? 0.062 : firing.kiln === 'pip' ? 0.16 : 0.1;
  const end = Math.min(
    firing.status === 'opened' ? 33.5 * 3600 : Infinity,
    (now.getTime() - firing.at.getTime()) / 1000,
  );
  const log: Reading[] = [];
  const [m, k] = [0.33, slow * (1 + 0.06 * noise())];
  for (let t = 0; t <= end; t += 300) {
    if (t <= top.t) {
      const i = corners.findIndex((one) => one.t >= t);
      const [a, b] = [corners[Math.max(0, i - 1)]!, corners[i]!];
      log.push({ t, c: a.c + ((b.c - a.c) * (t - a.t)) / (b.t - a.t || 1) });
    } else {
      const from = (top.c - 18) / 100;
      const hours = (t - top.t) / 3600;
      log.push({ t, c: 18 + 100 * (from ** -m + m * k * hours) ** (-1 / m) });
    }
  }
  return log;
}

function lowOf(firing: DemoFiring, now: Date): number {
  if (firing.kiln === 'marta')
    return now.getTime() - firing.at.getTime() > MARTA_ELEMENTS * DAY ? MARTA_BEFORE : READS_LOW.marta;
  return firing.kiln === 'pip' ? READS_LOW.pip : READS_LOW.gable;
}

/** The log of one firing; null for those nobody logged. */
export function demoLog(firing: DemoFiring, index: number, now: Date): DemoLog | null {
  if (firing.status === 'planned') return null;
  // Bisques are fired by the clock, and not all of them are written down.
  if (firing.kind === 'bisque' && index % 3 !== 0) return null;
  const at = (t: number): Date => new Date(firing.at.getTime() + t * 1000);
  if (firing.status === 'firing') {
    const { shown } = fire(MARTA, CONE_SIX, gaussian(MARTA_SEED), {
      every: MARTA_EVERY,
      until: (now.getTime() - firing.at.getTime()) / 1000 - MARTA_EVERY,
    });
    return {
      readings: shown.map(({ t, c }) => ({ at: at(t), celsius: Math.round(c * 10) / 10 })),
      source: 'device',
      entries: [
        { at: at(1800), kind: 'weather', atmosphere: null, text: 'still, 6 °C' },
        { at: at(9000), kind: 'bungs', atmosphere: null, text: 'top bung in' },
      ],
      readEveryS: 60,
      schedule: { name: SCHEDULES[0]!.name, segments: CONE_SIX },
      nextTime: '',
      energyUsed: null,
    };
  }
  const low = lowOf(firing, now);
  const noise = gaussian(4000 + index);
  const truth = past(firing, now, 9000 + index);
  const hand = firing.kiln !== 'marta';
  const every = firing.kiln === 'pip' ? 3600 : firing.kiln === 'gable' ? 1800 : 300;
  const peak = truth.reduce((best, one) => (one.c > best.c ? one : best));
  const done = truth.findLast(({ c }) => c > peak.c - 1)!;
  // Near the end somebody stands there: the last hour is read every ten minutes.
  const close = (t: number): boolean => t > peak.t - 3600 && t < done.t + 1900 && t % 600 === 0;
  const readings = truth
    .filter(({ t }) => t % every === 0 || (hand && (close(t) || t === peak.t || t === done.t)))
    // By hand a cooling is read while somebody is there: now and then.
    .filter(({ t }) => !hand || t < done.t + 1900 || t % (every * 3) === 0)
    .map(({ t, c }) => ({
      at: at(t),
      celsius: Math.max(15, Math.round((c - low * Math.min(1, c / 400) + 0.8 * noise()) * 10) / 10),
    }));
  const under = firing.notes.startsWith('Damper');
  const when = (celsius: number): Date => at((truth.find(({ c }) => c >= celsius) ?? truth.at(-1)!).t);
  const entries: DemoLog['entries'] =
    firing.kiln === 'gable'
      ? [
          {
            at: at(600),
            kind: 'weather',
            atmosphere: null,
            text: under ? 'gale from the sea, gusty' : 'light wind, 9 °C',
          },
          { at: at(900), kind: 'atmosphere', atmosphere: 'oxidation', text: 'damper open' },
          { at: when(900), kind: 'damper', atmosphere: null, text: 'in to 60 mm' },
          {
            at: when(1000),
            kind: 'atmosphere',
            atmosphere: under ? 'light reduction' : 'heavy reduction',
            text: under ? 'no flame at the spy hole' : 'flame a hand long at the spy hole',
          },
          {
            at: when(1150),
            kind: 'atmosphere',
            atmosphere: under ? 'neutral' : 'moderate reduction',
            text: 'flame short',
          },
          { at: at(peak.t), kind: 'gas', atmosphere: null, text: 'off, damper shut' },
        ]
      : firing.kiln === 'pip'
        ? [
            { at: at(300), kind: 'lid', atmosphere: null, text: 'propped a hand’s width' },
            { at: when(300), kind: 'lid', atmosphere: null, text: 'closed' },
            { at: at(peak.t), kind: 'shut-off', atmosphere: null, text: 'tripped' },
          ]
        : [];
  return {
    readings,
    source: hand ? 'hand' : 'device',
    entries,
    readEveryS: every,
    schedule:
      firing.kiln === 'marta'
        ? firing.kind === 'bisque'
          ? { name: SCHEDULES[2]!.name, segments: SCHEDULES[2]!.segments }
          : { name: SCHEDULES[0]!.name, segments: CONE_SIX }
        : null,
    nextTime: under
      ? 'Tie the damper. Watch the flame from 1000 °C on, not the clock.'
      : firing.status === 'opened' && index % 7 === 3
        ? 'Bottom shelf a touch cool: put the matts on top.'
        : '',
    energyUsed: firing.kiln === 'marta' ? Math.round(62 + 4 * noise()) : null,
  };
}

export const UPKEEP: readonly {
  kiln: string;
  kind: UpkeepKind;
  daysAgo: number;
  note: string;
}[] = [
  {
    kiln: 'marta',
    kind: 'elements',
    daysAgo: MARTA_ELEMENTS,
    note: 'All six; the old ones sagged.',
  },
  { kiln: 'marta', kind: 'chrome', daysAgo: 120, note: 'Rosehip spat on the left wall.' },
  { kiln: 'marta', kind: 'ground', daysAgo: 12, note: 'All of them, washed anew.' },
  { kiln: 'pip', kind: 'ground', daysAgo: 30, note: '' },
  { kiln: 'gable', kind: 'ground', daysAgo: 40, note: '' },
  { kiln: 'pip', kind: 'idle', daysAgo: 210, note: 'Six weeks over the summer.' },
  { kiln: 'gable', kind: 'repair', daysAgo: 400, note: 'New door seal, by the fitter.' },
];
