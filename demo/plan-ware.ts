/** What the demo’s people made besides the board: small firings and ware. */
import type { Random } from './random';
import { type CoatSpec, type PieceSpec, type LotSpec, tile, alone } from './plan-terms';

/** Small firings in Pip: a few cone 6 tests, earthenware, and the dug clay. */
export function small(random: Random): { six: LotSpec[]; earthenware: LotSpec[] } {
  return {
    six: [
      {
        kind: 'alike',
        name: 'Underglazes under clear and white',
        pieces: ['damson', 'moss'].flatMap((under) =>
          ['yard-clear', 'gull'].map((top) =>
            tile(
              'saltbox',
              [
                { slug: under, method: 'brush', coats: 2, from: 0.3, to: 1 },
                { slug: top, seconds: 3, dried: true },
              ],
              { faces: [{ kind: 'bare' }], form: 'slab' },
            ),
          ),
        ),
      },
      {
        kind: 'alike',
        name: 'Quay, does it stand the heat',
        pieces: [0, 1, 2].map((i) => ({
          ...tile('quay', i === 0 ? [] : [{ slug: i === 1 ? 'pitch' : 'yard-clear', seconds: 3 }]),
          faces: [{ kind: 'bare' }],
          form: 'test cup',
          heightMm: 55,
          flag: 'Unknown clay: on a waster',
        })),
      },
      {
        kind: 'alike',
        name: 'Tarn in Pip',
        pieces: [0, 1, 2, 3].map(() => tile('saltbox', alone('tarn'))),
      },
    ],
    earthenware: [0, 1, 2].map((): LotSpec => ({
      kind: 'alike',
      name: 'Furrow with slip',
      pieces: Array.from({ length: 6 }, () => ({
        ...tile(
          'furrow',
          random.chance(0.6)
            ? [{ slug: 'chalk-slip', method: 'dip', stage: 'leather-hard', from: 0.4, to: 1 }]
            : [],
        ),
        faces: [{ kind: 'bare' }],
        form: 'bowl',
        kind: 'ware',
        heightMm: 70,
        owner: true,
      })),
    })),
  };
}

/** A big board is not made in a day: parts of it, each its own lot. */
export function chunked(lots: readonly LotSpec[]): LotSpec[] {
  return lots.flatMap((lot) => {
    const parts: LotSpec[] = [];
    for (let i = 0; i < lot.pieces.length; i += 16)
      parts.push({
        ...lot,
        name: `${lot.name}, part ${i / 16 + 1}`,
        pieces: lot.pieces.slice(i, i + 16),
      });
    return parts;
  });
}

export function ware(bodies: readonly string[], slugs: readonly string[], random: Random): LotSpec {
  const [form, heightMm] = random.pick([
    ['mug', 105],
    ['bowl', 75],
    ['beaker', 120],
    ['plate', 120],
    ['jar with lid', 160],
  ] as const);
  const base = random.pick(slugs);
  const top = random.pick(slugs.filter((slug) => slug !== base));
  const coats: CoatSpec[] = random.chance(0.6)
    ? [
        { slug: base, from: 0.06, to: 1, seconds: 3 },
        { slug: top, from: 0.7, to: 1, seconds: 2, dried: true },
      ]
    : [{ slug: base, from: 0.06, to: 1, seconds: 3 }];
  const body = random.pick(bodies);
  const count = random.integer(4, 8);
  return {
    kind: 'alike',
    name: `${count} × ${form}`,
    pieces: Array.from({ length: count }, (): PieceSpec => ({
      body,
      form,
      kind: 'ware',
      heightMm,
      faces: [{ kind: 'bare' }],
      coats,
      owner: true,
      ...(random.chance(0.08)
        ? { flag: random.pick(['Foot not wiped', 'Gave when lifted', 'Dipped twice by mistake']) }
        : {}),
      ...(random.chance(0.06) ? { done: coats.map((coat) => ({ ...coat, coats: 2 })) } : {}),
    })),
  };
}
