/** The demo studio's two years: which firing held what, and what came out of it. */
import { CONES, coneOrdinal, previousWholeCone, usualPack } from '../src/core/cones';
import type { Atmosphere, Verdict } from '../src/core/signs';
import { EVERYWHERE, zoneKey, zonesOf, type Coat, type Face, type Layer } from '../src/core/zones';
import type { Observation } from '../src/data/observations';
import type { Band, Scene } from './paint';
import { coneSix, coneTen, small, type CoatSpec, type LotSpec, type PieceSpec } from './plan';
import { Random } from './random';
import { BODIES, COATINGS } from './studio';
import { fateOf, type Fate, type Rgb } from './truth';

const DAY = 86_400_000;

export type DemoPiece = {
  id: string;
  spec: PieceSpec;
  lot: number;
  madeAt: Date;
  owner: number | null;
  meant: Layer[];
  done: Layer[];
  faces: Face[];
  waitingFor: 'bisque' | 'glaze' | 'refire' | null;
  cone: string;
  atmosphere: Atmosphere;
};
export type DemoFiring = {
  id: string;
  kiln: string;
  kind: 'bisque' | 'glaze' | 'refire';
  target: string;
  atmosphere: Atmosphere;
  at: Date;
  status: 'planned' | 'firing' | 'cooling' | 'opened';
  reached: number;
  writtenUp: boolean;
  notes: string;
  pieces: {
    piece: DemoPiece;
    shelf: number;
    generation: number;
    setting: 'shelf' | 'waster' | 'unknown';
  }[];
  cones: { cone: string; role: 'guide' | 'target' | 'guard'; place: string; bend: number | null }[];
};
export type DemoHistory = {
  lots: { spec: LotSpec; at: Date }[];
  pieces: DemoPiece[];
  firings: DemoFiring[];
  observations: Observation[];
  scenes: { pieceId: string; firingId: string; scene: Scene }[];
};

const slugify = (name: string): string => name.toLowerCase().replace(/ /g, '-');
const KIND = new Map(COATINGS.map((coating) => [slugify(coating.name), coating.kind]));
const hex = (colour: string): Rgb =>
  [1, 3, 5].map((i) => parseInt(colour.slice(i, i + 2), 16)) as unknown as Rgb;
const BODY_COLOUR = new Map(BODIES.map((body) => [slugify(body.name), hex(body.colour)]));
const BODY_DARK = new Map(BODIES.map((body) => [slugify(body.name), body.ground === 'dark']));

export const coatOf = (spec: Pick<CoatSpec, 'slug' | 'version'>): Coat => ({
  slug: spec.slug,
  version: spec.version ?? 1,
  kind: KIND.get(spec.slug) ?? 'glaze',
});

const layerOf = (spec: CoatSpec, generation = 1): Layer => ({
  coat: coatOf(spec),
  method: spec.method ?? 'dip',
  coats: spec.coats ?? 1,
  weight: spec.weight ?? 'normal',
  thicknessMm: null,
  seconds: spec.seconds ?? null,
  stage: spec.stage ?? (generation > 1 ? 'glaze-fired' : 'bisque'),
  driedBefore: spec.dried ?? null,
  generation,
  region: {
    ...EVERYWHERE,
    stretch: { from: spec.from ?? 0, to: spec.to ?? 1 },
    relief: spec.relief ?? 'all',
  },
});

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

/** Makes a queue's pieces; they wait for their firing until one takes them. */
function queue(
  history: DemoHistory,
  lots: readonly LotSpec[],
  cone: string,
  atmosphere: Atmosphere,
  start: Date,
  random: Random,
): DemoPiece[] {
  return lots.flatMap((spec) => {
    const lot = history.lots.push({ spec, at: start }) - 1;
    const owner = spec.pieces[0]?.owner ? random.integer(2, 13) : null;
    return spec.pieces.map((piece): DemoPiece => {
      const made: DemoPiece = {
        id: '',
        spec: piece,
        lot,
        madeAt: start,
        owner,
        meant: piece.coats.map((coat) => layerOf(coat)),
        done: (piece.done ?? piece.coats).map((coat) => layerOf(coat)),
        faces: piece.faces.map((face, i) => ({
          no: i + 1,
          kind: face.kind,
          slip: face.slip ? coatOf({ slug: face.slip }) : null,
        })),
        waitingFor: 'glaze',
        cone,
        atmosphere,
      };
      history.pieces.push(made);
      return made;
    });
  });
}

type NewFiring = {
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

function conePacks(plan: NewFiring, random: Random): DemoFiring['cones'] {
  if (plan.kind === 'bisque') return [];
  return (plan.kiln === 'pip' ? ['shelf'] : ['top shelf', 'bottom shelf']).flatMap((place, i) => {
    const here = plan.reached - i * random.between(0.05, 0.2);
    return usualPack(plan.target).map(({ cone, role }) => ({
      cone,
      role,
      place,
      bend: plan.status === 'opened' ? bendAt(cone, here) : null,
    }));
  });
}

/** How far a cone has come down when the place reached this point of the line. */
function bendAt(cone: string, reached: number): number {
  const [top, foot] = [coneOrdinal(cone), coneOrdinal(previousWholeCone(cone) ?? CONES[0]!)];
  if (reached >= top) return 90;
  return reached <= foot ? 0 : Math.round(((reached - foot) / (top - foot)) * 18) * 5;
}

function seeAndPaint(
  history: DemoHistory,
  firing: DemoFiring,
  placed: DemoFiring['pieces'][number],
  random: Random,
  under: boolean,
): void {
  const { piece, generation } = placed;
  const body = BODY_COLOUR.get(piece.spec.body)!;
  const zones = zonesOf(piece.faces, piece.done, generation);
  const slow = Math.max(0, ...piece.done.map((layer) => layer.seconds ?? 0));
  const fates = zones.map((zone) => {
    const face = piece.faces.find((one) => one.no === zone.face)!;
    const slip = zone.ground.at(-1);
    const ground = slip
      ? hex(COATINGS.find((coating) => slugify(coating.name) === slip.slug)!.colour)
      : body;
    const dark = slip ? slip.slug === 'soot-slip' : BODY_DARK.get(piece.spec.body)!;
    const fate = fateOf(
      zone.stack,
      ground,
      {
        body: piece.spec.body,
        dark,
        heat: firing.reached - coneOrdinal(firing.target),
        reduction:
          firing.atmosphere === 'heavy reduction'
            ? 1
            : firing.atmosphere === 'light reduction'
              ? 0.3
              : 0,
        underReduced: under,
        seconds: slow,
        slipOnDry: piece.done.some(
          (layer) => layer.coat.kind === 'slip' && layer.stage === 'bone-dry',
        ),
        besideRosehip: piece.spec.besideRosehip ?? false,
        versionOf: (slug) =>
          piece.done.find((layer) => layer.coat.slug === slug)?.coat.version ?? 1,
      },
      random,
    );
    return { zone, face, ground, fate };
  });
  const main = fates.find(({ zone }) => zone.stack.length > 1) ?? fates[0]!;
  const seenAt = new Date(firing.at.getTime() + (firing.writtenUp ? 2 : 1.4) * DAY);
  const worst = Math.max(
    0,
    ...fates.flatMap(({ fate }) =>
      fate.signs.filter((sign) => !sign.wanted).map((sign) => sign.severity),
    ),
  );
  const observe = (zone: string | null, fate: Fate, rest: Partial<Observation>): void => {
    history.observations.push({
      id: random.id(seenAt),
      pieceId: piece.id,
      firingId: firing.id,
      zone,
      seenAt,
      surface: fate.surface,
      opacity: fate.opacity > 0.85 ? 'opaque' : fate.opacity > 0.45 ? 'translucent' : 'transparent',
      colour: fate.words,
      movementMm: fate.movementMm,
      met: null,
      rating: null,
      verdict: null,
      note: '',
      signs: fate.signs,
      ...rest,
    });
  };
  observe(
    null,
    { ...main.fate, signs: [], movementMm: 0 },
    {
      movementMm: null,
      rating: worst >= 3 ? 1 : worst === 2 ? random.integer(1, 3) : random.integer(3, 5),
      verdict: verdictOf(piece.spec.kind, worst, random),
      colour: main.fate.words,
      note: random.chance(0.12)
        ? random.pick([
            'Better in the hand than in the picture.',
            'Try it thinner.',
            'Pools nicely in the texture.',
            'Ask for more of these.',
            'The rim is the best of it.',
          ])
        : '',
    },
  );
  for (const { zone, fate } of fates) {
    if (
      fate.signs.length > 0 ||
      fate.movementMm > 1 ||
      fate.surface !== main.fate.surface ||
      zone.stack.length > 1
    ) {
      observe(zoneKey(zone), fate, {
        met:
          zone.stack.length > 1
            ? fate.movementMm > 5
              ? 'blend'
              : random.pick(['blend', 'dominate', 'separate'])
            : null,
      });
    }
  }
  history.scenes.push({
    pieceId: piece.id,
    firingId: firing.id,
    scene: {
      seed: 1000 + history.scenes.length * 7,
      speckle: piece.spec.body === 'drift' ? 1 : piece.spec.body === 'gantry' ? 0.5 : 0.06,
      body,
      heightMm: piece.spec.heightMm,
      faces: piece.faces.map((face) => {
        const own = fates.filter((one) => one.face === face);
        return {
          ground: own[0]!.ground,
          textured: face.kind === 'textured',
          bands: own.map(({ zone, fate }): Band => ({
            from: zone.stretch.from,
            to: zone.stretch.to,
            relief: zone.relief,
            bare: zone.stack.length === 0,
            ...fate,
          })),
        };
      }),
    },
  });
}

function verdictOf(kind: 'tile' | 'ware', worst: number, random: Random): Verdict {
  if (kind === 'tile') return 'study';
  if (worst >= 3) return 'discard';
  return worst === 2
    ? random.pick(['second', 'refire', 'study'])
    : random.pick(['keep', 'sell', 'keep', 'give']);
}

/** A few pieces got another coat and another firing. */
function refires(history: DemoHistory, random: Random, now: Date): void {
  const wanted = new Set(
    history.observations
      .filter((one) => one.verdict === 'refire' && now.getTime() - one.seenAt.getTime() > 120 * DAY)
      .map((one) => one.pieceId),
  );
  const load = history.pieces
    .filter((piece) => wanted.has(piece.id) && piece.cone === '6')
    .slice(0, 9);
  for (const piece of load)
    piece.done = [
      ...piece.done,
      layerOf({ slug: 'yard-clear', from: 0.1, to: 1, method: 'spray' }, 2),
    ];
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
  for (const piece of waiting.slice(-14)) piece.waitingFor = 'bisque';
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
