import { NAMED_STRETCHES, type Stretch } from '../../zones';
import { count } from '../../units';
import { defineDesign, unique, type Draft } from './design';
import { coatings, coats, oneOf, yes } from './parts';

const WHERE = NAMED_STRETCHES.map(({ name }) => ({ value: name, label: name }));
const stretchNamed = (name: string): Stretch => NAMED_STRETCHES.find((one) => one.name === name)!.stretch;
const [LOWER, UPPER] = [
  { from: 0, to: 2 / 3 },
  { from: 1 / 3, to: 1 },
].map(
  ({ from, to }) => NAMED_STRETCHES.find(({ stretch }) => stretch.from === from && stretch.to === to)!.name,
) as [string, string];

/**
 * Every base under every over, by every number of coats; a coating never over itself; singles are the
 * controls.
 */
export const matrix = defineDesign({
  kind: 'matrix',
  name: 'Over and under',
  asks: 'Which glaze goes over which?',
  varies: 'base, over and their coats',
  ownCoats: true,
  controls: 'Singles: each coating by itself, to compare with',
  parts: {
    bases: coatings('Bases, on first'),
    overs: coatings('Overs, on top', 0),
    both: yes('Both ways round: also every over under every base'),
    baseCoats: coats('Coats of a base'),
    overCoats: coats('Coats of an over'),
    baseOn: oneOf('A base covers', WHERE),
    overOn: oneOf('An over covers', WHERE),
  },
  first: ({ coating }) => {
    const some = [0, 1, 2, 3].map(coating).filter(Boolean);
    const half = Math.ceil(some.length / 2);
    return {
      bases: some.slice(0, half),
      overs: some.slice(half),
      both: true,
      baseCoats: [1],
      overCoats: [1],
      baseOn: LOWER,
      overOn: UPPER,
    };
  },
  asked: ({ baseCoats, overCoats }) => [
    'base',
    'over',
    ...(baseCoats.length > 1 ? ['base coats'] : []),
    ...(overCoats.length > 1 ? ['over coats'] : []),
    'body',
  ],
  tiles: (design, { layer, draft }) => {
    const { bases, overs, both, controls } = design;
    const [under, upon] = [unique(design.baseCoats), unique(design.overCoats)];
    // Two blocks: every over on every base, and the other way round; each pair stands in one of them.
    type Pair = { base: string; one: string; row: number; column: number };
    const pairs = new Map<string, Pair>();
    const block = (below: readonly string[], upper: readonly string[], from: number): void =>
      below.forEach((base, row) =>
        upper.forEach((one, column) => {
          const key = `${base}/${one}`;
          if (base !== one && !pairs.has(key)) pairs.set(key, { base, one, row: from + row, column });
        }),
      );
    block(bases, overs, 0);
    if (both) block(overs, bases, bases.length);
    const singles = controls ? [...new Set([...bases, ...overs])] : [];
    // Coats are said where they are asked about.
    const several = under.length * upon.length > 1;
    const said = (coat: string, coats: number): string =>
      several ? `${coat}, ${count(coats, 'coat')}` : coat;
    const factors = (baseCoats: number, overCoats: number): Record<string, string> => ({
      ...(under.length > 1 && { 'base coats': String(baseCoats) }),
      ...(upon.length > 1 && { 'over coats': String(overCoats) }),
    });
    const alone = singles.flatMap((coat, i) =>
      unique([...under, ...upon]).map((coats, at): Draft =>
        draft(
          i,
          said(coat, coats),
          { base: coat, over: 'nothing', ...factors(coats, 0) },
          [layer(coat, { coats })],
          { control: true, row: at },
        ),
      ),
    );
    const above = alone.length === 0 ? 0 : Math.max(...alone.map(({ row }) => row)) + 1;
    return [
      ...alone,
      ...[...pairs.values()].flatMap(({ base, one, row, column }) =>
        under.flatMap((baseCoats, i) =>
          upon.map((overCoats, j): Draft =>
            draft(
              column * upon.length + j,
              `${said(one, overCoats)} over ${said(base, baseCoats)}`,
              { base, over: one, ...factors(baseCoats, overCoats) },
              [
                layer(base, { coats: baseCoats, stretch: stretchNamed(design.baseOn) }),
                layer(one, { coats: overCoats, stretch: stretchNamed(design.overOn) }),
              ],
              { row: above + row * under.length + i },
            ),
          ),
        ),
      ),
    ];
  },
});
