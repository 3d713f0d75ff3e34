/** What the demo studio made: tiles by campaign, ware by habit, and the stories told by both. */
import type { Random } from './random';
import { alone, tile, type CoatSpec, type LotSpec, type PieceSpec } from './plan-terms';
import { chunked, ware } from './plan-ware';

const TWO = [
  { from: 0, to: 2 / 3 },
  { from: 1 / 3, to: 1 },
] as const;

const over = (base: string, top: string, rest: Partial<CoatSpec>[] = []): CoatSpec[] => [
  { slug: base, ...TWO[0], seconds: 3, ...rest[0] },
  { slug: top, ...TWO[1], seconds: 3, dried: true, ...rest[1] },
];

/**
 * A board: every base under every over, both orders, each by itself; `again` makes some of it twice or
 * thrice.
 */
export function board(body: string, slugs: readonly string[], again: number, random: Random): LotSpec {
  const pieces: PieceSpec[] = slugs.map((slug) => tile(body, alone(slug)));
  for (const base of slugs) {
    for (const top of slugs) {
      if (base === top) continue;
      pieces.push(tile(body, over(base, top)));
      while (random.chance(again)) pieces.push(tile(body, over(base, top)));
    }
  }
  return { kind: 'matrix', name: `Board on ${body}`, pieces };
}

/** Everything for Marta at cone 6, in the order it was made. */
export function coneSix(random: Random): LotSpec[] {
  const lots: LotSpec[] = [
    board(
      'saltbox',
      ['yard-clear', 'tarn', 'pitch', 'gull', 'ember', 'slack-tide', 'snowmelt', 'rosehip'],
      0.42,
      random,
    ),
    board('peat', ['tarn', 'pitch', 'gull', 'slack-tide', 'snowmelt', 'ember'], 0.45, random),
    board('drift', ['yard-clear', 'tarn', 'pitch', 'slack-tide', 'gull', 'ember'], 0.35, random),
    board('eider', ['yard-clear', 'tarn', 'gull', 'rosehip', 'slack-tide'], 0.3, random),
  ];
  lots.push({
    kind: 'alike',
    name: 'Foxglove ladder on Eider',
    pieces: [1, 2, 3, 4].flatMap((version) =>
      [0, 1, 2].map(() =>
        tile('eider', [{ slug: 'foxglove', version }], {
          faces: [{ kind: 'bare' }],
          mark: `F${version}`,
        }),
      ),
    ),
  });
  lots.push({
    kind: 'alike',
    name: 'Tarn over Gull, short and long',
    pieces: [3, 3, 3, 9, 9].map((seconds) =>
      tile('saltbox', over('gull', 'tarn', [{ seconds: 3 }, { seconds }]), {
        faces: [{ kind: 'bare' }],
      }),
    ),
  });
  lots.push({
    kind: 'alike',
    name: 'Ember coats ladder',
    pieces: ['saltbox', 'peat'].flatMap((body) =>
      [0, 1].map(() =>
        tile(
          body,
          [1, 0.75, 0.5, 0.25].map((to) => ({ slug: 'ember', from: 0, to, seconds: 2 })),
          { faces: [{ kind: 'bare' }], form: 'slab' },
        ),
      ),
    ),
  });
  lots.push({
    kind: 'alike',
    name: 'Washes in texture',
    pieces: ['hull-wash', 'rust-wash'].flatMap((wash) =>
      ['yard-clear', 'tarn', 'gull'].map((glaze) =>
        tile(
          'saltbox',
          [
            { slug: wash, method: 'wiped-back', relief: 'hollows' },
            { slug: glaze, seconds: 3 },
          ],
          { faces: [{ kind: 'textured' }], form: 'slab' },
        ),
      ),
    ),
  });
  lots.push({
    kind: 'alike',
    name: 'Chalk Slip on dry clay',
    pieces: (['leather-hard', 'leather-hard', 'bone-dry', 'bone-dry', 'bone-dry'] as const).map((stage, i) =>
      tile(
        'peat',
        [
          { slug: 'chalk-slip', method: 'brush', coats: 2, stage },
          { slug: 'yard-clear', seconds: 3 },
        ],
        {
          faces: [{ kind: 'bare' }],
          mark: `CS${i + 1}`,
          ...(stage === 'bone-dry' ? { flag: 'Slip went on too dry' } : {}),
        },
      ),
    ),
  });
  lots.push({
    kind: 'alike',
    name: 'Barnacle, over and under',
    pieces: ['pitch', 'gull', 'slack-tide'].flatMap((slug) => [
      tile('saltbox', over(slug, 'barnacle')),
      tile('saltbox', over('barnacle', slug)),
    ]),
  });
  lots.push({
    kind: 'alike',
    name: 'Gull beside Rosehip',
    pieces: [true, true, false, false].map((besideRosehip) =>
      tile('saltbox', [{ slug: 'gull', seconds: 3 }], { faces: [{ kind: 'bare' }], besideRosehip }),
    ),
  });
  const stretched: CoatSpec[] = [
    { slug: 'tarn', seconds: 4 },
    { slug: 'slack-tide', from: 0.79, to: 1, method: 'brush', coats: 2, dried: true },
  ];
  lots.push({
    kind: 'alike',
    name: 'Beaker and the vases after it',
    pieces: [
      {
        body: 'saltbox',
        form: 'beaker',
        kind: 'ware',
        heightMm: 120,
        faces: [{ kind: 'bare' }],
        coats: stretched,
      },
      ...[0, 1, 2].map((): PieceSpec => ({
        body: 'saltbox',
        form: 'vase',
        kind: 'ware',
        heightMm: 300,
        faces: [{ kind: 'bare' }],
        coats: stretched,
      })),
    ],
  });
  for (let set = 0; set < 40; set++)
    lots.push(
      ware(
        ['saltbox', 'drift', 'peat', 'eider'],
        ['tarn', 'pitch', 'gull', 'slack-tide', 'snowmelt', 'yard-clear'],
        random,
      ),
    );
  // Stories come among the boards, early enough to be fired; ware fills in between and after.
  const mixed = chunked(lots.slice(0, 4));
  const among = (some: readonly LotSpec[], first: number): void =>
    random.shuffle(some).forEach((lot, i) => mixed.splice(Math.min(mixed.length, first + i * 2), 0, lot));
  among(
    lots.slice(4).filter((lot) => lot.pieces[0]?.owner !== true),
    1,
  );
  among(
    lots.slice(4).filter((lot) => lot.pieces[0]?.owner === true),
    2,
  );
  return mixed;
}

/** Everything for Gable at cone 10 in reduction. */
export function coneTen(random: Random): LotSpec[] {
  const slugs = ['tarn', 'pitch', 'ember', 'ash-lane', 'cinder', 'hull-wash'];
  const lots = [board('loft', slugs, 0.3, random), board('gantry', slugs, 0.3, random)];
  const extra = Array.from({ length: 11 }, () => ware(['loft', 'gantry'], slugs, random));
  return [...chunked(lots), ...extra];
}
