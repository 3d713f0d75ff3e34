/**
 * Studios whose bodies and glazes are known, made otherwise than the application reckons: glazes crack
 * when the strain of cooling beyond what they bear is a crack's (a Weibull strength, by thickness), crack
 * later by a body's swelling, and their computed figures are off each by itself and all together. It
 * imports nothing of the application.
 */
export type Piece = {
  glaze: string;
  expansion: number;
  found: 'crazed at once' | 'crazed later' | 'sound';
  days: number;
  coats: number;
};
export type StudioOf = {
  pieces: Piece[];
  absorption: number;
  measured: number | null;
  /** Above which computed expansion half of all usual coats craze, 10⁻⁶/K: what is to be found. */
  truth: number;
};

function random(seed: number) {
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (Math.imul(state, 1103515245) + 12345) >>> 0;
    return ((state >>> 8) & 0xffffff) / 0x1000000;
  };
  for (let i = 0; i < 8; i++) uniform();
  const normal = (): number => {
    let sum = -6;
    for (let i = 0; i < 12; i++) sum += uniform();
    return sum;
  };
  return { uniform, normal };
}

/** K of cooling over which a glaze is solid, and the strain at which half of usual coats crack. */
const COOLING = 520;
const BEARS = 1.1e-4;
const WEIBULL = 5;

export function studioOf(seed: number, world: { scale: number; own: number; glazes: number }): StudioOf {
  const { uniform, normal } = random(seed);
  const body = 5.6 + 1.6 * uniform();
  const absorption = uniform() < 0.3 ? 4 + 4 * uniform() : 2.5 * uniform();
  const swells = absorption > 3 ? 1e-4 * uniform() : 0;
  const pieces: Piece[] = [];
  for (let g = 0; g < world.glazes; g++) {
    const glaze = body + 1.4 * normal();
    const expansion = glaze * world.scale + world.own * normal();
    const many = 1 + Math.floor(uniform() * uniform() * 12);
    for (let i = 0; i < many; i++) {
      const coats = uniform() < 0.75 ? 1 + Math.floor(2 * uniform()) : 3 + Math.floor(2 * uniform());
      const days = uniform() < 0.5 ? 0 : 20 + 60 * uniform();
      // A thick coat holds larger flaws: it bears less.
      const bears = BEARS * (-Math.log(1 - uniform()) / Math.LN2) ** (1 / WEIBULL) * (1.5 / coats) ** 0.3;
      const pulled = (glaze - body) * 1e-6 * COOLING;
      const found =
        pulled > bears ? 'crazed at once' : days > 0 && pulled + swells > bears ? 'crazed later' : 'sound';
      pieces.push({ glaze: `g${g}`, expansion, found, days, coats });
    }
  }
  return {
    pieces,
    absorption,
    measured: uniform() < 0.5 ? body + 0.2 * normal() : null,
    truth: (body + BEARS / 1e-6 / COOLING) * world.scale,
  };
}
