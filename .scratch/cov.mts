import { factorShare, varianceComponents, type Measured } from '../src/core/statistics';
function made(seed: number, of: any): Measured[] {
  let state = seed * 7919 + 1;
  const uniform = (): number => { state = (Math.imul(state, 1103515245) + 12345) >>> 0; return (state + 0.5) / 2 ** 32; };
  const noise = (): number => { const bell = Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform()); return of.tail ? bell / Math.sqrt(0.4 + uniform()) : bell; };
  const levels = Array.from({ length: of.levels ?? 4 }, () => of.level * noise());
  return Array.from({ length: of.firings ?? 12 }, (_, f) => { const shift = of.firing * noise(); return levels.map((own: number, l: number) => ({ level: `l${l}`, unit: `f${f}`, values: [own + shift + of.piece * noise()] })); }).flat();
}
for (const level of [0, 0.5, 1.5, 3]) for (const firings of [6, 8, 14, 30]) for (const tail of [false, true]) {
  let held = 0; let width = 0; const N = 150;
  for (let seed = 1; seed <= N; seed++) {
    const of = { level, firing: 0.7, piece: 1, firings, tail };
    const truth = varianceComponents(made(seed, { ...of, firings: 800 }))!;
    const share = truth.between / (truth.between + truth.within);
    const found = factorShare(made(seed, of), false)!;
    if (found.interval.low - 0.02 <= share && share <= found.interval.high + 0.02) held++;
    width += found.interval.high - found.interval.low;
  }
  console.log(level, firings, tail, 'held', (held / N).toFixed(2), 'width', (width / N).toFixed(2));
}
