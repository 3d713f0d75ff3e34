/** The demo studio's two years: which firing held what, and what came out of it. */
import { coneOrdinal } from '../src/core/cones';
import type { Atmosphere } from '../src/core/signs';
import { coneSix, coneTen } from './plan';
import { Random } from './random';
import { seeAndPaint } from './seen';
import { DAY, type DemoPiece, type DemoFiring, type DemoHistory, layerOf } from './history-terms';
import { small } from './plan-ware';
import { conePacks } from './cones';
import { queue } from './queue';

/** Builds everything up to `now`; the same for the same day. */
export function demoHistory(now: Date): DemoHistory {
  const random = new Random(20_261);
  const history: DemoHistory = { lots: [], pieces: [], firings: [], observations: [], scenes: [] };
  const start = new Date(now.getTime() - 730 * DAY);
  const six = queue(history, coneSix(random), '6', 'oxidation', start, random);
  const ten = queue(history, coneTen(random), '10', 'heavy reduction', start, random);
  const pip = small(random);
  const pipSix = queue(history, pip.six, '6', 'oxidation', start, random);
  const earthen = queue(history, pip.earthenware, '04', 'oxidation', start, random);

  const day = (n: number): Date => new Date(start.getTime() + n * DAY);
  const marta = 26;
  const perFiring = Math.floor((six.length - 34) / marta);
  const perGable = Math.floor((ten.length - 12) / 13);
  for (let n = 0; n < marta; n++) {
    const last = n === marta - 1;
    const opened = n === marta - 2;
    const load = six.splice(0, perFiring);
    const over = n === 9;
    add(history, random, {
      kiln: 'marta',
      kind: 'glaze',
      target: '6',
      atmosphere: 'oxidation',
      at: last
        ? new Date(now.getTime() - 6 * 3_600_000)
        : opened
          ? new Date(now.getTime() - 3 * DAY)
          : day(8 + n * 28.4),
      status: last ? 'firing' : 'opened',
      reached: over ? 6.9 : 6.05 + random.between(-0.12, 0.3),
      writtenUp: !opened,
      load,
      notes: over
        ? 'Held too long at the end: everything ran.'
        : n === 0
          ? 'First firing after the holidays.'
          : '',
    });
  }
  add(history, random, {
    kiln: 'marta',
    kind: 'glaze',
    target: '6',
    atmosphere: 'oxidation',
    at: new Date(now.getTime() + 4 * DAY),
    status: 'planned',
    reached: 0,
    writtenUp: false,
    load: six.splice(-22, 22),
    notes: '',
  });
  for (let n = 0; n < 13; n++) {
    const last = n === 12;
    const under = n === 6;
    add(history, random, {
      kiln: 'gable',
      kind: 'glaze',
      target: '10',
      atmosphere: under ? 'light reduction' : 'heavy reduction',
      at: last ? new Date(now.getTime() - 30 * 3_600_000) : day(20 + n * 55),
      status: last ? 'cooling' : 'opened',
      reached: 10.05 + random.between(-0.25, 0.3),
      writtenUp: true,
      load: ten.splice(0, perGable),
      notes: under ? 'Damper slipped; hardly any reduction between 1000 and 1150 °C.' : '',
      under,
    });
  }
  for (const [i, at] of [
    [0, 140],
    [1, 395],
  ] as const)
    add(history, random, {
      kiln: 'pip',
      kind: 'glaze',
      target: '6',
      atmosphere: 'oxidation',
      at: day(at),
      status: 'opened',
      reached: 5.85 + i * 0.1,
      writtenUp: true,
      load: pipSix.splice(0, 6),
      notes: '',
    });
  for (const at of [90, 300, 560])
    add(history, random, {
      kiln: 'pip',
      kind: 'glaze',
      target: '04',
      atmosphere: 'oxidation',
      at: day(at),
      status: 'opened',
      reached: coneOrdinal('04') + random.between(-0.1, 0.2),
      writtenUp: true,
      load: earthen.splice(0, 6),
      notes: '',
    });
  refires(history, random, now);
  bisques(history, random, now, start);
  history.firings.sort((a, b) => a.at.getTime() - b.at.getTime());
  return history;
}

export type NewFiring = {
  kiln: string;
  kind: DemoFiring['kind'];
  target: string;
  atmosphere: Atmosphere;
  at: Date;
  status: DemoFiring['status'];
  reached: number;
  writtenUp: boolean;
  load: DemoPiece[];
  notes: string;
  under?: boolean;
  generation?: number;
};

function add(history: DemoHistory, random: Random, plan: NewFiring): DemoFiring {
  const shelves = plan.kiln === 'pip' ? 3 : plan.kiln === 'marta' ? 5 : 6;
  const firing: DemoFiring = {
    id: random.id(plan.at),
    kiln: plan.kiln,
    kind: plan.kind,
    target: plan.target,
    atmosphere: plan.atmosphere,
    at: plan.at,
    status: plan.status,
    reached: plan.reached,
    writtenUp: plan.writtenUp,
    notes: plan.notes,
    pieces: plan.load.map((piece, i) => ({
      piece,
      shelf: 1 + (i % shelves),
      generation: plan.generation ?? 1,
      setting: piece.spec.body === 'quay' ? 'waster' : random.chance(0.2) ? 'waster' : 'shelf',
    })),
    cones: conePacks(plan, random),
  };
  for (const piece of plan.load) {
    if (piece.id === '') {
      piece.madeAt = new Date(plan.at.getTime() - random.integer(42, 52) * DAY);
      piece.id = random.id(piece.madeAt);
      history.lots[piece.lot]!.at = piece.madeAt;
    }
    piece.waitingFor = plan.status === 'opened' ? null : piece.waitingFor;
  }
  history.firings.push(firing);
  if (plan.status === 'opened' && plan.kind !== 'bisque') {
    const written = plan.writtenUp ? firing.pieces.length : Math.floor(firing.pieces.length * 0.45);
    firing.pieces
      .slice(0, written)
      .forEach((placed) => seeAndPaint(history, firing, placed, random, plan.under === true));
  }
  return firing;
}

/** A few pieces got another coat and another firing. */
function refires(history: DemoHistory, random: Random, now: Date): void {
  const wanted = new Set(
    history.observations
      .filter((one) => one.verdict === 'refire' && now.getTime() - one.seenAt.getTime() > 120 * DAY)
      .map((one) => one.pieceId),
  );
  const load = history.pieces.filter((piece) => wanted.has(piece.id) && piece.cone === '6').slice(0, 9);
  for (const piece of load)
    piece.done = [...piece.done, layerOf({ slug: 'yard-clear', from: 0.1, to: 1, method: 'spray' }, 2)];
  if (load.length > 0)
    add(history, random, {
      kiln: 'marta',
      kind: 'refire',
      target: '6',
      atmosphere: 'oxidation',
      at: new Date(now.getTime() - 40 * DAY),
      status: 'opened',
      reached: 6,
      writtenUp: true,
      load,
      notes: 'Sprayed warm, with a little gum.',
      generation: 2,
    });
  for (const piece of history.pieces)
    if (wanted.has(piece.id) && !load.includes(piece)) piece.waitingFor = 'refire';
}

/** Every piece was bisqued in Pip or Marta before it was glazed; the last made wait for it still. */
function bisques(history: DemoHistory, random: Random, now: Date, start: Date): void {
  for (const piece of history.pieces) {
    if (piece.id !== '') continue;
    piece.madeAt = new Date(now.getTime() - random.integer(4, 12) * DAY);
    piece.id = random.id(piece.madeAt);
    history.lots[piece.lot]!.at = piece.madeAt;
  }
  const fired = history.pieces.filter((piece) => piece.waitingFor !== 'bisque');
  for (let n = 0; n < 20; n++) {
    const at = new Date(start.getTime() + (n * 40 - 60) * DAY);
    const until = new Date(at.getTime() + 40 * DAY);
    const load = fired.filter((piece) => piece.madeAt >= at && piece.madeAt < until).slice(0, 60);
    if (load.length === 0) continue;
    history.firings.push({
      id: random.id(until),
      kiln: n % 3 === 0 ? 'marta' : 'pip',
      kind: 'bisque',
      target: '06',
      atmosphere: 'oxidation',
      at: new Date(Math.min(until.getTime(), now.getTime() - 5 * DAY)),
      status: 'opened',
      reached: coneOrdinal('06'),
      writtenUp: true,
      notes: '',
      pieces: load.map((piece, i) => ({
        piece,
        shelf: 1 + (i % 3),
        generation: 0,
        setting: 'unknown',
      })),
      cones: [],
    });
  }
  const waiting = history.pieces.filter(
    (piece) =>
      piece.waitingFor === 'glaze' &&
      !history.firings.some(
        (firing) => firing.kind !== 'bisque' && firing.pieces.some((one) => one.piece === piece),
      ),
  );
  const raw = new Set(waiting.slice(-14));
  for (const piece of raw) piece.waitingFor = 'bisque';
  for (const firing of history.firings)
    if (firing.kind === 'bisque') firing.pieces = firing.pieces.filter(({ piece }) => !raw.has(piece));
  history.firings.push({
    id: random.id(now),
    kiln: 'pip',
    kind: 'bisque',
    target: '06',
    atmosphere: 'oxidation',
    at: new Date(now.getTime() + 2 * DAY),
    status: 'planned',
    reached: 0,
    writtenUp: false,
    notes: 'Dry them through first: two are heavy in the foot.',
    pieces: waiting
      .slice(-14, -9)
      .map((piece) => ({ piece, shelf: 1, generation: 0, setting: 'unknown' as const })),
    cones: [],
  });
}
