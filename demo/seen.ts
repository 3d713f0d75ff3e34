/** What the demo’s people saw, and the pictures they took. */
import { coneOrdinal } from '../src/core/cones';
import type { Verdict } from '../src/core/signs';
import { stackKey, zoneKey, zonesOf, type Zone } from '../src/core/zones';
import type { Observation } from '../src/data/observations';
import type { Band } from './paint';
import { Random } from './random';
import { COATINGS } from './studio';
import { fateOf, type Fate } from './truth';
import {
  DAY,
  type DemoFiring,
  type DemoHistory,
  slugify,
  hex,
  BODY_COLOUR,
  BODY_DARK,
} from './history-terms';

export function seeAndPaint(
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
    const ground = slip ? hex(COATINGS.find((coating) => slugify(coating.name) === slip.slug)!.colour) : body;
    const dark = slip ? slip.slug === 'soot-slip' : BODY_DARK.get(piece.spec.body)!;
    const fate = fateOf(
      zone.stack,
      ground,
      {
        body: piece.spec.body,
        dark,
        heat: firing.reached - coneOrdinal(firing.target),
        reduction:
          firing.atmosphere === 'heavy reduction' ? 1 : firing.atmosphere === 'light reduction' ? 0.3 : 0,
        underReduced: under,
        seconds: slow,
        slipOnDry: piece.done.some((layer) => layer.coat.kind === 'slip' && layer.stage === 'bone-dry'),
        besideRosehip: piece.spec.besideRosehip ?? false,
        versionOf: (slug) => piece.done.find((layer) => layer.coat.slug === slug)?.coat.version ?? 1,
      },
      random,
    );
    return { zone, face, ground, fate };
  });
  const main = fates.find(({ zone }) => zone.stack.length > 1) ?? fates[0]!;
  const seenAt = new Date(firing.at.getTime() + (firing.writtenUp ? 2 : 1.4) * DAY);
  const worst = Math.max(
    0,
    ...fates.flatMap(({ fate }) => fate.signs.filter((sign) => !sign.wanted).map((sign) => sign.severity)),
  );
  const observe = (zone: string | null, fate: Fate, rest: Partial<Observation>): void => {
    history.observations.push({
      id: random.id(seenAt),
      pieceId: piece.id,
      firingId: firing.id,
      zone,
      seenAt,
      place: 'kiln',
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
        met: zone.stack.length > 1 ? meeting(zone, fate, random) : null,
      });
    }
  }
  history.scenes.push({
    pieceId: piece.id,
    firingId: firing.id,
    framing: { faces: piece.faces.map(({ no }) => no), zones },
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

const MEETINGS = ['blend', 'dominate', 'separate'] as const;

/** Two coats meet alike wherever they meet; one piece in twelve is taken for something else. */
function meeting(zone: Zone, fate: Fate, random: Random): (typeof MEETINGS)[number] {
  if (fate.movementMm > 5) return 'blend';
  const letters = [...stackKey(zone.stack)].reduce((sum, letter) => sum + letter.charCodeAt(0), 0);
  return random.chance(1 / 12) ? random.pick(MEETINGS) : MEETINGS[letters % 3]!;
}
