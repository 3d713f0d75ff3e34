/** A world of chance: nothing that is recorded has anything to do with how a piece came out. */
import { figure, percent, sized } from '../../../test-support/worlds';
import { NOTHING } from '../looks';
import { summarise, type Testimony } from './index';

/** A linear congruential generator (Knuth 1998, 3.3.4), so that the world is always the same. */
function draws(seed: number): (n: number) => number {
  let state = seed;
  return (n) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * n);
  };
}

test('“depends” is said in less than one case of twenty', () => {
  // Sides and ten circumstances are drawn without any tie between them.
  const draw = draws(20261125);
  const piece = (_: unknown, no: number): Testimony => ({
    pieceId: `p${no}`,
    firingId: `f${no % 4}`,
    seenAt: '2026-03-01',
    ...NOTHING,
    coneKnown: 'read',
    changes: { later: [], gone: [], surfaceWas: null },
    split: [],
    surface: draw(2) === 0 ? 'gloss' : 'matt',
    variables: Object.fromEntries(
      Array.from({ length: 10 }, (_, i) => [`c${i}`, i < 5 ? `${draw(6)} s` : 'abc'[draw(3)]!]),
    ),
  });
  const worlds = sized(400, 4000);
  let said = 0;
  for (let world = 0; world < worlds; world++)
    if (summarise(Array.from({ length: 16 }, piece)).standing === 'depends') said++;
  figure('standing', `“depends” said by chance, of ${worlds}`, percent(said / worlds), '< 5.0 %');
  expect(said / worlds).toBeLessThan(0.05);
}, 60_000);
