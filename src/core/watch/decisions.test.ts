/**
 * What the watch says, moment by moment, of some firings that are fixed: whoever changes a threshold sees
 * here which decision it moves. How often it is right is held against worlds in watch-worlds.test.ts.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { byHand, fireFaulty, fireWatched, type Shown, type Watched } from '../../../stand-ins/watched/firing';
import { FAULTS } from '../../../stand-ins/watched/ranges';
import { ProgramClock, WAYS } from './clocks';
import { Watch, type Change } from './index';

const KEPT = 'src/core/watch/decisions.json';
const SEEDS = 7_000_001;

const words = (mark: string, { kind, at, from, to, minutes }: Change): string =>
  `${mark}${kind} ${at / 60}: ${from.toFixed(1)} → ${to.toFixed(1)} in ${minutes.toFixed(1)}`;

/** Every change and question, when it is first said, and when it is said no more. */
function decisions(
  { firer, top, said }: Watched,
  read: readonly Shown[],
  touched: readonly number[],
): string[] {
  const watch = new Watch({
    segments: firer.kind === 'controller' ? firer.segments : null,
    top,
    electric: firer.kind !== 'gas',
    coolsFrom: said,
    touched,
  });
  const found: string[] = [];
  let known: Change | null = null;
  let [again, last] = [0, ''];
  const close = (): void => {
    if (again > 0) found.push(`  ${again} times more, last ${last}`);
    again = 0;
  };
  for (const one of read) {
    if (!Number.isFinite(one.c)) continue;
    watch.read(one);
    const change = watch.change(one.t);
    const now = change ?? watch.question(one.t);
    // Said again with newer figures it is the same: how often, and the last of them.
    if (now !== known && now !== null && now.kind === known?.kind && now.at - known.at < 900) {
      again++;
      last = words('', now);
    } else if (now !== known) {
      close();
      found.push(now === null ? `quiet ${one.t / 60}` : words(change === null ? '? ' : '! ', now));
    }
    known = now;
  }
  close();
  return found;
}

/** Where each way of following a program stands, now and then. */
function standings({ firer, shown }: Watched): string[] {
  const segments = firer.kind === 'controller' ? firer.segments : [];
  const clocks = WAYS.map((way) => new ProgramClock(segments, way, shown[0]!));
  const found: string[] = [];
  for (let i = 1; i < shown.length; i++) {
    const [a, b] = [shown[i - 1]!, shown[i]!];
    for (const clock of clocks) {
      clock.follow(a, b);
      const ago = shown[Math.max(0, i - 7)]!;
      clock.judge(b, ((b.c - ago.c) / (b.t - ago.t)) * 3600, b.t - a.t);
    }
    if (i % 75 === 0)
      found.push(
        clocks
          .map((clock) =>
            [
              clock.mode[0],
              clock.setpoint.toFixed(0),
              clock.rate().toFixed(0),
              clock.followed / 60,
              clock.refuted ? 'x' : '',
              clock.letsFall(-60, b.t - 900, false) ? 'f' : '',
            ].join(' '),
          )
          .join('; '),
      );
  }
  return found;
}

/** Firings in which one thing fails, read one way: four told at length, others in a line each. */
function failing(
  fault: (typeof FAULTS)[number],
  reading: 'minutes' | 'hand',
  from: number,
  count: number,
): Record<string, string[]> {
  const found: Record<string, string[]> = {};
  let tried = 0;
  for (let seed = from; tried < count; seed++) {
    const fired = fireFaulty(seed, fault, reading);
    if (fired === null) continue;
    tried++;
    const until = fired.shows + 5400;
    const read = (reading === 'hand' ? byHand(seed, fired.shown).read : fired.shown).filter(
      ({ t }) => t < until,
    );
    // Of each fourth somebody says half an hour later that they touched the kiln.
    const touched = tried % 4 === 0 ? [fired.shows + 1800] : [];
    found[`${fault}, ${reading}, ${seed}`] = decisions(fired, read, touched);
  }
  return found;
}

const inALine = (found: Record<string, string[]>): Record<string, string[]> =>
  Object.fromEntries(Object.entries(found).map(([name, said]) => [name, [said.join('; ')]]));

function sound(seed: number): Record<string, string[]> {
  const fired = fireWatched(seed);
  // One that nobody is told the program of, and whose cooling nobody speaks of, explains itself less.
  const mute: Watched = {
    ...fired,
    firer: { kind: 'gas', seed: 1, soak: 10 } as Watched['firer'],
    said: Infinity,
  };
  const hand = byHand(seed, fired.shown).read;
  return {
    [`sound, hand, ${seed}`]: decisions(fired, hand, []),
    [`program not known, ${seed}`]: decisions(mute, fired.shown, []),
    [`program not known, hand, ${seed}`]: decisions(mute, hand, []),
  };
}

function ways(): Record<string, string[]> {
  const found: Record<string, string[]> = {};
  for (let seed = SEEDS; Object.keys(found).length < 4; seed++) {
    const fired = fireWatched(seed);
    if (fired.firer.kind === 'controller') found[`ways, ${seed}`] = standings(fired);
  }
  return found;
}

const kept = JSON.parse(readFileSync(KEPT, 'utf8')) as Record<string, string[]>;
const anew: Record<string, string[]> = {};

/** Each is the one on record; `JITEN_GOLDEN=write` records them anew. */
function onRecord(now: Record<string, string[]>): void {
  Object.assign(anew, now);
  if (process.env.JITEN_GOLDEN === 'write') return;
  for (const [name, said] of Object.entries(now)) expect({ [name]: said }).toEqual({ [name]: kept[name] });
}
afterAll(() => {
  if (process.env.JITEN_GOLDEN === 'write') writeFileSync(KEPT, `${JSON.stringify(anew, null, 1)}\n`);
});

test('where each way of following a program stands is what is on record', () => {
  onRecord(ways());
});

describe.each(['hand', 'minutes'] as const)('decisions in firings read by %s', (reading) => {
  test.each(FAULTS)('in which fails: %s', (fault) => {
    const now = failing(fault, reading, SEEDS, 4);
    onRecord(now);
    // It is no record of silence.
    expect(Object.values(now).filter((said) => said.length > 0).length).toBeGreaterThan(2);
  });

  test.each(FAULTS)('in thirty more of each in which fails: %s', (fault) => {
    onRecord(inALine(failing(fault, reading, SEEDS + 1000, 30)));
  });
});

test.each([0, 1, 2, 3, 4, 5])('what is said of sound firing %i is what is on record', (i) => {
  onRecord(sound(SEEDS + i));
});

test.each([0, 1, 2, 3])('what is said of ten more sound firings, %i', (i) => {
  for (let k = 0; k < 10; k++) onRecord(inALine(sound(SEEDS + 2000 + 10 * i + k)));
});

test('nothing is on record that nothing came to', () => {
  expect(Object.keys(anew).sort()).toEqual(Object.keys(kept).sort());
});
