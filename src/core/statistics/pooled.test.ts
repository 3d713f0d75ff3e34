import fc from 'fast-check';
import { falseDiscovery, mantelHaenszel, type Table } from './index';

// P. J. Bickel, E. A. Hammel, J. W. O’Connell, Science 187 (1975) 398: admitted and not, men and women, six
// departments.
const BERKELEY: Table[] = [
  [
    [512, 313],
    [89, 19],
  ],
  [
    [353, 207],
    [17, 8],
  ],
  [
    [120, 205],
    [202, 391],
  ],
  [
    [138, 279],
    [131, 244],
  ],
  [
    [53, 138],
    [94, 299],
  ],
  [
    [22, 351],
    [24, 317],
  ],
];

describe('strata taken together', () => {
  test('the p of several strata is that of a reference package', () => {
    // mantelhaen.test of R 4.2 on the same tables.
    expect(mantelHaenszel(BERKELEY).p).toBeCloseTo(0.2322635, 6);
    const small: Table[] = [
      [
        [8, 42],
        [3, 47],
      ],
      [
        [11, 9],
        [2, 18],
      ],
      [
        [0, 12],
        [1, 11],
      ],
    ];
    expect(mantelHaenszel(small).p).toBeCloseTo(0.007128811, 8);
  });

  test('a ratio of one stratum is that of a textbook', () => {
    // From memory: A. Agresti, An Introduction to Categorical Data Analysis, ch. 2: aspirin, 1.82, 1.43 to
    // 2.30.
    const { ratio, interval } = mantelHaenszel([
      [
        [189, 10845],
        [104, 10933],
      ],
    ]);
    expect(ratio).toBeCloseTo(1.818, 3);
    expect(interval!.low).toBeCloseTo(1.43, 2);
    expect(interval!.high).toBeCloseTo(2.31, 2);
  });

  test('what a stratum brings with it is not taken for the side’s', () => {
    // Each stratum alike on both sides, the sides filled otherwise: together it looks like three to one.
    const pooled = mantelHaenszel([
      [
        [90, 10],
        [9, 1],
      ],
      [
        [1, 9],
        [10, 90],
      ],
    ]);
    expect(pooled.ratio).toBeCloseTo(1, 10);
    expect(pooled.p).toBeGreaterThan(0.9);
  });

  test('with nothing to compare it says nothing', () => {
    expect(mantelHaenszel([])).toEqual({ ratio: null, interval: null, p: 1 });
    expect(
      mantelHaenszel([
        [
          [3, 4],
          [0, 0],
        ],
      ]),
    ).toEqual({ ratio: null, interval: null, p: 1 });
    const never = mantelHaenszel([
      [
        [0, 20],
        [12, 3],
      ],
    ]);
    expect(never.ratio).toBeNull();
    expect(never.p).toBeLessThan(0.001);
    expect(() =>
      mantelHaenszel([
        [
          [0.5, 1],
          [1, 1],
        ],
      ]),
    ).toThrow(RangeError);
  });

  test('the interval holds a known ratio in about 95 of 100, in strata of other rates and sizes', () => {
    let seed = 11;
    const chance = (): number => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const drawn = (n: number, p: number): number =>
      Array.from({ length: n }, chance).filter((one) => one < p).length;
    const [strata, rounds, truth] = [
      [
        [30, 20, 0.2],
        [15, 40, 0.1],
        [50, 50, 0.3],
      ],
      800,
      1.6,
    ] as const;
    let held = 0;
    for (let i = 0; i < rounds; i++) {
      const { interval } = mantelHaenszel(
        strata.map(([n1, n0, p]): Table => {
          const [a, c] = [drawn(n1, p * truth), drawn(n0, p)];
          return [
            [a, n1 - a],
            [c, n0 - c],
          ];
        }),
      );
      if (interval !== null && interval.low <= truth && truth <= interval.high) held++;
    }
    expect(held / rounds).toBeGreaterThan(0.93);
    expect(held / rounds).toBeLessThan(0.975);
  });

  test('turned round, the ratio is its inverse', () => {
    const n = fc.integer({ min: 1, max: 40 });
    fc.assert(
      fc.property(fc.array(fc.tuple(n, n, n, n), { minLength: 1, maxLength: 4 }), (all) => {
        const ratioOf = (turned: boolean) =>
          mantelHaenszel(
            all.map(([a, b, c, d]): Table =>
              turned
                ? [
                    [c, d],
                    [a, b],
                  ]
                : [
                    [a, b],
                    [c, d],
                  ],
            ),
          ).ratio!;
        expect(ratioOf(true) * ratioOf(false)).toBeCloseTo(1, 8);
      }),
    );
  });
});

describe('many looked at together', () => {
  // Benjamini and Hochberg 1995, table of fifteen comparisons: at 5 % the first four are believed.
  const PUBLISHED = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528,
    0.759, 1,
  ];

  test('a published example', () => {
    const shares = falseDiscovery(PUBLISHED);
    expect(shares.filter((one) => one < 0.05)).toHaveLength(4);
    // p.adjust of R 4.2.
    expect(shares[3]).toBeCloseTo(0.035625, 9);
    expect(shares[5]).toBeCloseTo(0.0638571429, 9);
    expect(shares[6]).toBeCloseTo(0.0638571429, 9);
    expect(shares[14]).toBe(1);
  });

  test('the order given is kept; the order of the ps is', () => {
    const turned = falseDiscovery([...PUBLISHED].reverse());
    expect(turned.reverse()).toEqual(falseDiscovery(PUBLISHED));
    expect(falseDiscovery([])).toEqual([]);
    expect(() => falseDiscovery([1.2])).toThrow(RangeError);
  });
});
