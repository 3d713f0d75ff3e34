/** Plates and bowls seen from above: an ellipse along the edge that is there. */
import { far, type Field } from './field';
import type { Ground } from './ground';
import { polygonArea } from './quad';
import type { Region } from './regions';

export type Round = {
  x: number;
  y: number;
  across: number;
  along: number;
  turn: number;
  /** Share of the hull that it covers and nothing besides. */ fits: number;
};

/** Centre, half axes and turn (radians) of the ellipse with the second moments of a region. */
function byMoments(region: Region): Round {
  let [n, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0];
  for (let y = region.top; y < region.top + region.height; y++)
    for (let x = region.left; x < region.left + region.width; x++) {
      if (!region.mask(x, y)) continue;
      n++;
      sx += x;
      sy += y;
      sxx += x * x;
      syy += y * y;
      sxy += x * y;
    }
  const [cx, cy] = [sx / n, sy / n];
  const [a, b, c] = [sxx / n - cx * cx, sxy / n - cx * cy, syy / n - cy * cy];
  const mean = (a + c) / 2;
  const off = Math.hypot((a - c) / 2, b);
  return {
    x: cx + 0.5,
    y: cy + 0.5,
    across: 2 * Math.sqrt(mean + off),
    along: 2 * Math.sqrt(Math.max(1e-9, mean - off)),
    turn: Math.atan2(2 * b, a - c) / 2,
    fits: 0,
  };
}

const RAYS = 96;

/** Solves A·x = b for symmetric positive A of five unknowns by elimination. */
function solve5(rows: number[][]): number[] | null {
  for (let i = 0; i < 5; i++) {
    let pivot = i;
    for (let r = i + 1; r < 5; r++) if (Math.abs(rows[r]![i]!) > Math.abs(rows[pivot]![i]!)) pivot = r;
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    const d = rows[i]![i]!;
    if (Math.abs(d) < 1e-14) return null;
    for (let r = 0; r < 5; r++) {
      if (r === i) continue;
      const f = rows[r]![i]! / d;
      for (let c = i; c < 6; c++) rows[r]![c]! -= f * rows[i]![c]!;
    }
  }
  return rows.map((row, i) => row[5]! / row[i]!);
}

/**
 * The ellipse through points of an outline by least squares on its general equation, in coordinates about
 * `near`.
 */
function through(points: readonly { u: number; v: number }[], near: Round): Round | null {
  const rows = Array.from({ length: 5 }, () => new Array<number>(6).fill(0));
  for (const { u, v } of points) {
    const t = [u * u, u * v, v * v, u, v];
    for (let i = 0; i < 5; i++) {
      for (let j = 0; j < 5; j++) rows[i]![j]! += t[i]! * t[j]!;
      rows[i]![5]! += t[i]!;
    }
  }
  const k = solve5(rows);
  if (k === null) return null;
  const [A, B, C, D, E] = k as [number, number, number, number, number];
  const det = 4 * A * C - B * B;
  if (!(det > 0)) return null;
  const [x0, y0] = [(B * E - 2 * C * D) / det, (B * D - 2 * A * E) / det];
  const level = 1 + A * x0 * x0 + B * x0 * y0 + C * y0 * y0;
  const mean = (A + C) / 2;
  const off = Math.hypot((A - C) / 2, B / 2);
  if (!(level > 0) || !(mean > off)) return null;
  const scale = near.across;
  return {
    x: near.x + x0 * scale,
    y: near.y + y0 * scale,
    across: scale * Math.sqrt(level / (mean - off)),
    along: scale * Math.sqrt(level / (mean + off)),
    turn: Math.atan2(-B, C - A) / 2,
    fits: near.fits,
  };
}

/** How far along its ray each edge is: the outermost clear one that is not a shade's. */
function edges(field: Field, ground: Ground, near: Round): { u: number; v: number }[] {
  const [c, s] = [Math.cos(near.turn), Math.sin(near.turn)];
  const inside = new Float64Array(3);
  const outside = new Float64Array(3);
  const under = new Float64Array(3);
  const points: { u: number; v: number }[] = [];
  for (let i = 0; i < RAYS; i++) {
    const angle = (i * 2 * Math.PI) / RAYS;
    const [ex, ey] = [near.across * Math.cos(angle), near.along * Math.sin(angle)];
    const [dx, dy] = [ex * c - ey * s, ex * s + ey * c];
    const radius = Math.hypot(dx, dy);
    const found: { r: number; d: number; shade: boolean }[] = [];
    for (let r = radius * 0.88; r <= radius * 1.05; r += 0.5) {
      const at = (away: number, into: Float64Array): void =>
        field.sample(near.x + (dx * (r + away)) / radius, near.y + (dy * (r + away)) / radius, into);
      at(-1.6, inside);
      at(1.6, outside);
      ground.at(near.x + (dx * r) / radius, near.y + (dy * r) / radius, under);
      const d = far(
        inside[0]! - outside[0]!,
        1.5 * (inside[1]! - outside[1]!),
        1.5 * (inside[2]! - outside[2]!),
      );
      at(-3.5, inside);
      const tint = far(inside[1]! - under[1]!, inside[2]! - under[2]!);
      const shade = tint < 0.022 && inside[0]! < under[0]! + 0.01 && inside[0]! > 0.4 * under[0]!;
      found.push({ r, d: Math.min(0.14, d), shade });
    }
    const peaks = found.filter(({ d }, k) => d >= (found[k - 1]?.d ?? 0) && d > (found[k + 1]?.d ?? 0));
    const most = Math.max(...peaks.map(({ d }) => d), 0);
    if (most < 0.02) continue;
    const clear = peaks.filter(({ d }) => d > 0.4 * most);
    const edge = clear.filter(({ shade }) => !shade).at(-1) ?? clear.at(-1)!;
    points.push({
      u: (dx * edge.r) / radius / near.across,
      v: (dy * edge.r) / radius / near.across,
    });
  }
  return points;
}

/** The ellipse of a round region, drawn onto its edge, with how well it fits the region. */
export function roundOf(field: Field, ground: Ground, region: Region): Round | null {
  const rough = byMoments(region);
  let inEllipse = 0;
  let both = 0;
  const [c, s] = [Math.cos(rough.turn), Math.sin(rough.turn)];
  for (let y = region.top; y < region.top + region.height; y++)
    for (let x = region.left; x < region.left + region.width; x++) {
      const [dx, dy] = [x + 0.5 - rough.x, y + 0.5 - rough.y];
      const inside = ((dx * c + dy * s) / rough.across) ** 2 + ((dy * c - dx * s) / rough.along) ** 2 <= 1;
      if (inside) inEllipse++;
      if (inside && region.mask(x, y)) both++;
    }
  const hull = polygonArea(region.hull);
  rough.fits = both / (inEllipse + Math.max(hull, region.area) - both);
  let best = rough;
  for (let round = 0; round < 3; round++) {
    let points = edges(field, ground, best);
    if (points.length < RAYS / 2) break;
    for (let keep = 0; keep < 2; keep++) {
      const next = through(points, best);
      if (next === null) break;
      const [nc, ns] = [Math.cos(next.turn), Math.sin(next.turn)];
      const off = points.map(({ u, v }) => {
        const [dx, dy] = [best.x + u * best.across - next.x, best.y + v * best.across - next.y];
        return Math.abs(Math.hypot((dx * nc + dy * ns) / next.across, (dy * nc - dx * ns) / next.along) - 1);
      });
      const usual = [...off].sort((p, q) => p - q)[off.length >> 1]!;
      const kept = points.filter((_, i) => off[i]! <= Math.max(0.006, 3 * usual));
      if (kept.length < RAYS / 2 || keep === 1) {
        best = next;
        break;
      }
      points = kept;
    }
  }
  return best;
}
