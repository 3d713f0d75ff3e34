/**
 * Twelve breaks of behaviour: small slips in the code that no type, lint rule or formatter sees. Each has to
 * be caught by a large simulated world; the small worlds of the everyday tests still have to catch at least
 * eleven. They were written down before the worlds were made smaller, but for 13 and 14, written down before
 * they were tried in place of two (WITHDRAWN) that no world, however large, could tell from the program as it
 * is. Tried by `npm run breaks`.
 */
export type Break = {
  no: number;
  what: string;
  file: string;
  /** Stands in the file exactly once. */
  from: string;
  to: string;
  /** Test files (part of their path) with the world that it is caught by. */
  worlds: string;
  /** The same for the small ones, where those are other files. */
  small?: string;
};

export const BREAKS: readonly Break[] = [
  {
    no: 1,
    what: 'watch, a shifted threshold: a controller may be 45 °C above its setpoint unnoticed',
    file: 'src/core/watch/by-minutes.ts',
    from: 'const OVERSHOOT = 11;',
    to: 'const OVERSHOOT = 45;',
    worlds: 'watch/watch-worlds',
  },
  {
    no: 2,
    what: 'watch, a door: only what cools four times as fast as before is noticed',
    file: 'src/core/watch/by-minutes.ts',
    from: 'quick.rate < 2 * prior.rate - 40',
    to: 'quick.rate < 4 * prior.rate - 160',
    worlds: 'watch/watch-worlds',
  },
  {
    no: 3,
    what: 'watch, false alarms: a flame may waver by a third of what flames do',
    file: 'src/core/watch/by-minutes.ts',
    from: 'max(kiln.tended ? 18 * s : 7, 5 * jitter)',
    to: 'max(kiln.tended ? 6 * s : 7, 5 * jitter)',
    worlds: 'watch/watch-worlds',
  },
  {
    no: 13,
    what: 'watch, by hand: only what falls by 90 °C between two readings has fallen',
    file: 'src/core/watch/by-hand.ts',
    from: 'highest - one.c > (kiln.tended ? 60 : 8)',
    to: 'highest - one.c > 90',
    worlds: 'watch/watch-worlds',
  },
  {
    no: 5,
    what: 'estimate, a prior too sure of itself: thermocouples are within 3 °C of the truth',
    file: 'src/core/heatwork/estimate.ts',
    from: 'const PRIOR = 15;',
    to: 'const PRIOR = 3;',
    worlds: 'heatwork/estimate-worlds',
  },
  {
    no: 6,
    what: 'estimate, a spread that is lost: the next firing scatters as the offset does',
    file: 'src/core/heatwork/estimate.ts',
    from: 'kernelOf(sqrt(row.scatter ** 2 + row.wander.sd ** 2))',
    to: 'kernelOf(row.wander.sd)',
    worlds: 'heatwork/estimate-worlds',
  },
  {
    no: 14,
    what: 'cooling, a spread that is lost: each reading leaves a quarter of the doubt that it should',
    file: 'src/core/heatwork/cooling.ts',
    from: 'cov: [yy - (yy * yy) / spread, ym',
    to: 'cov: [(yy - (yy * yy) / spread) / 4, ym',
    worlds: 'heatwork/cooling-worlds',
  },
  {
    no: 8,
    what: 'packing, a lost post: pieces stand where one of the posts does',
    file: 'src/core/load/pack.ts',
    from: 'posts ? [...standingPosts(shelf, 1)] : []',
    to: 'posts ? standingPosts(shelf, 1).slice(1) : []',
    worlds: 'load/pack-worlds',
  },
  {
    no: 9,
    what: 'standing, chance taken for a cause: how much was looked at does not count',
    file: 'src/core/standing/apart.ts',
    from: 'grouping.p * looked < SURE',
    to: 'grouping.p < SURE',
    worlds: 'standing/standing-worlds',
  },
  {
    no: 10,
    what: 'pictures, an edge searched a sixth as far inwards: shades and sides of slabs stay in the frame',
    file: 'src/core/sight/refine.ts',
    from: 'const INWARDS = 0.12;',
    to: 'const INWARDS = 0.02;',
    worlds: 'sight/sight-worlds',
  },
  {
    no: 11,
    what: 'clinic, no caution: each fact counts for half as much again as it says',
    file: 'src/core/diagnosis/model.ts',
    from: 'const CAUTION = 0.8;',
    to: 'const CAUTION = 1.5;',
    worlds: 'clinic/clinic-worlds',
  },
  {
    no: 12,
    what: 'phones, a lost act: a studio that cannot be reached is taken for one that said yes',
    file: 'src/platform/sender/sender.ts',
    from: "if (delivery.outcome === 'later') {",
    to: "if (delivery.outcome === 'later' && delivery.tried === true) {",
    worlds: 'reliability offline',
    small: 'sender/sender',
  },
];

/** Written down first, and no break of what the program does: why, by the figures. */
export const WITHDRAWN: readonly (Break & { why: string })[] = [
  {
    no: 4,
    what: 'watch, by hand: a kiln that is led may be 60 °C below its setpoint unnoticed',
    file: 'src/core/watch/by-hand.ts',
    from: 'setpoint - one.c > 14',
    to: 'setpoint - one.c > 60',
    why: 'of 3,470 firings read every 8 to 20 minutes, and 1,300 of the large world, none ended otherwise: what falls so far is caught by another rule first',
    worlds: 'watch/watch-worlds',
  },
  {
    no: 7,
    what: 'cooling, a halved gain: each reading moves the forecast half as far as it should',
    file: 'src/core/heatwork/cooling.ts',
    from: 'y: state.y + (yy / spread) * off,',
    to: 'y: state.y + (yy / spread / 2) * off,',
    why: 'the truth lies inside as often (94.6 against 96.6 % left alone, 96.0 against 95.3 % held) and forecasts miss by as much (5 to 11 %)',
    worlds: 'heatwork/cooling-worlds',
  },
];
