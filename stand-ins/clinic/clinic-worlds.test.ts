/** What the clinic says in worlds that are not its own, against how often it is so. */
import { figure, sized } from '../../test-support/worlds';
import { evenly } from '../noise';
import { calibrate, drawCases, WORLDS } from './world';

test.each(WORLDS)('in a world $name: what is said is near how often it is so', (world) => {
  const found = calibrate(world, drawCases(world, sized(600, 20_000), evenly(71)));
  figure(
    'clinic',
    `${world.name}: Brier score over that of the shares alone`,
    (found.brier.ours / found.brier.prior).toFixed(3),
    '< 0.95',
  );
  expect(found.brier.ours).toBeLessThan(found.brier.prior * 0.95);
  expect(found.brier.ours).toBeLessThan(found.brier.naive * 1.01);
  // Off by four, it claims more than it holds; elsewhere by no more than chance and a little.
  const room = world.jitter > 2 ? 0.25 : 0.13;
  for (const { count, said, true: held } of found.bins)
    if (count >= 40) {
      const chance = 2 * Math.sqrt((said * (1 - said)) / count);
      expect([world.name, said, Math.abs(said - held) < room + chance]).toEqual([world.name, said, true]);
    }
  expect(found.three).toBeGreaterThan(0.6);
});
