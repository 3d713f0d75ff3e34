import { inSector, liesOn, sectorWidth } from './region';
import type { Coat, Face, Layer, Relief, StackEntry, Zone } from './types';

/** Coats that go on as a bath or a wash of it behave alike; everything else is its own. */
const METHOD_CLASS: Record<string, string> = { pour: 'dip', 'wiped-back': 'wiped' };

/** One dip is not one brushed coat: "dip×2", "brush×3 thin", "0.8 mm". */
function amountOf(layer: Layer, coats: number): string {
  if (layer.thicknessMm !== null) return `${Number(layer.thicknessMm.toFixed(1))} mm`;
  const method = METHOD_CLASS[layer.method] ?? layer.method;
  return `${method}×${coats}${layer.weight === 'normal' ? '' : ` ${layer.weight}`}`;
}

const sameCoat = (a: Coat, b: Coat): boolean => a.slug === b.slug && a.version === b.version;

/**
 * Folds the layers that cover one spot, first applied first, into a stack: coats of
 * the same coating put on one after another in the same way are one entry with their
 * coats summed (measured thicknesses are summed likewise).
 */
export function stackOf(layers: readonly Layer[]): StackEntry[] {
  const groups: { layer: Layer; coats: number }[] = [];
  for (const layer of layers) {
    const top = groups.at(-1);
    const joins =
      top !== undefined &&
      sameCoat(top.layer.coat, layer.coat) &&
      (top.layer.thicknessMm === null) === (layer.thicknessMm === null) &&
      (layer.thicknessMm !== null ||
        (top.layer.weight === layer.weight &&
          (METHOD_CLASS[top.layer.method] ?? top.layer.method) ===
            (METHOD_CLASS[layer.method] ?? layer.method)));
    if (!joins) groups.push({ layer, coats: layer.coats });
    else {
      top.coats += layer.coats;
      if (layer.thicknessMm !== null) {
        top.layer = { ...top.layer, thicknessMm: (top.layer.thicknessMm ?? 0) + layer.thicknessMm };
      }
    }
  }
  return groups.map(({ layer, coats }) => ({ coat: layer.coat, amount: amountOf(layer, coats) }));
}

/**
 * Splits a covering into ground and stack. Slips and engobes beneath everything are
 * ground, whether they came with the face or were entered as layers; a slip over a
 * glaze stays in the stack.
 */
export function splitGround(
  face: Face,
  stack: readonly StackEntry[],
): { ground: Coat[]; stack: StackEntry[] } {
  const ground = face.slip === null ? [] : [face.slip];
  let first = 0;
  for (; first < stack.length; first++) {
    const coat = (stack[first] as StackEntry).coat;
    if (coat.kind !== 'slip' && coat.kind !== 'engobe') break;
    if (!ground.some((slip) => sameCoat(slip, coat))) ground.push(coat);
  }
  return { ground, stack: stack.slice(first) };
}

/** The parts of the relief a face has: plain ones are all 'flat'. */
function reliefClasses(face: Face, layers: readonly Layer[]): string[] {
  const classes = face.kind === 'textured' ? ['hollows', 'raised'] : ['flat'];
  for (const { region } of layers) {
    if (region.relief.startsWith('motif:') && !classes.includes(region.relief)) classes.push(region.relief);
    if ((region.relief === 'hollows' || region.relief === 'raised') && classes[0] === 'flat') {
      // Somebody coated hollows on a face not said to be textured: then it has some.
      classes.splice(0, 1, 'hollows', 'raised');
    }
  }
  return classes;
}

const covers = (relief: Relief, part: string): boolean => relief === 'all' || relief === part;

/** Below this share of a face a cut is a rounding error (a third typed as 0.3333), not a zone. */
const SLIVER = 1e-3;

function cuts(values: readonly number[]): number[] {
  const kept = [0];
  for (const value of [...values].sort((a, b) => a - b)) {
    if (value - (kept.at(-1) as number) >= SLIVER && 1 - value >= SLIVER) kept.push(value);
  }
  return [...kept, 1];
}

const signature = (zone: Zone): string =>
  `${zone.relief}|${zone.ground.map((coat) => `${coat.slug}#${coat.version}`).join('+')}|${zone.stack
    .map((entry) => `${entry.coat.slug}#${entry.coat.version} ${entry.amount}`)
    .join('+')}`;

/**
 * Cuts one face into the zones its layers make, from foot to rim. The zones partition
 * the face: every spot (height, turn, part of the relief) lies in exactly one. Layers
 * are taken in order, first applied first; a layer of another face is passed over.
 */
export function zonesOfFace(face: Face, layers: readonly Layer[]): Zone[] {
  const here = layers.filter(({ region }) => liesOn(region, face));
  const heights = cuts(here.flatMap(({ region }) => [region.stretch.from, region.stretch.to]));
  const turns = cuts(here.flatMap(({ region }) => [region.sector.from, region.sector.to]));
  const parts = reliefClasses(face, here);

  const columns: Zone[][] = [];
  for (let t = 0; t + 1 < turns.length; t++) {
    const sector = { from: turns[t] as number, to: turns[t + 1] as number };
    const turn = (sector.from + sector.to) / 2;
    const column: Zone[] = [];
    for (let h = 0; h + 1 < heights.length; h++) {
      const stretch = { from: heights[h] as number, to: heights[h + 1] as number };
      const height = (stretch.from + stretch.to) / 2;
      const byCover = new Map<string, { parts: string[]; zone: Zone }>();
      for (const part of parts) {
        const covering = here.filter(
          ({ region }) =>
            height > region.stretch.from &&
            height < region.stretch.to &&
            inSector(turn, region.sector) &&
            covers(region.relief, part),
        );
        const zone: Zone = {
          face: face.no,
          stretch,
          sector,
          relief: '',
          ...splitGround(face, stackOf(covering)),
        };
        const key = signature(zone);
        const group = byCover.get(key);
        if (group) group.parts.push(part);
        else byCover.set(key, { parts: [part], zone });
      }
      for (const group of byCover.values()) {
        const relief = group.parts.length === parts.length ? 'all' : group.parts.join('+');
        column.push({ ...group.zone, relief });
      }
    }
    columns.push(joinRuns(column, 'stretch'));
  }
  return joinFront(joinRuns(columns.flat(), 'sector')).sort(
    (a, b) => a.stretch.from - b.stretch.from || a.sector.from - b.sector.from,
  );
}

/** A zone that passes the front is one zone: its sector then begins after it ends. */
function joinFront(zones: readonly Zone[]): Zone[] {
  const like = (zone: Zone): string => `${zone.stretch.from}/${zone.stretch.to}/${signature(zone)}`;
  const before = new Map(
    zones.filter(({ sector }) => sector.to === 1 && sector.from > 0).map((zone) => [like(zone), zone]),
  );
  const gone = new Set<Zone>();
  const joined = zones.map((zone) => {
    const other = zone.sector.from === 0 && zone.sector.to < 1 ? before.get(like(zone)) : undefined;
    if (other === undefined) return zone;
    gone.add(other);
    return { ...zone, sector: { from: other.sector.from, to: zone.sector.to } };
  });
  return joined.filter((zone) => !gone.has(zone));
}

/**
 * Joins neighbours along one direction that are alike in everything else; one pass, whatever their number.
 */
function joinRuns(zones: readonly Zone[], along: 'stretch' | 'sector'): Zone[] {
  const across = along === 'stretch' ? 'sector' : 'stretch';
  const ends = new Map<string, Zone>();
  const joined: Zone[] = [];
  for (const zone of zones) {
    const like = `${zone[across].from}/${zone[across].to}/${signature(zone)}`;
    const before = `${zone[along].from}/${like}`;
    const neighbour = ends.get(before);
    const grown = neighbour ?? { ...zone };
    if (neighbour) {
      ends.delete(before);
      neighbour[along] = { from: neighbour[along].from, to: zone[along].to };
    } else joined.push(grown);
    ends.set(`${zone[along].to}/${like}`, grown);
  }
  return joined;
}

/** The zones of every face of a piece, for the coats on it up to one generation of firing. */
export function zonesOf(faces: readonly Face[], layers: readonly Layer[], generation: number): Zone[] {
  const present = layers.filter((layer) => layer.generation <= generation);
  return faces.flatMap((face) => zonesOfFace(face, present));
}

/**
 * Share of its face that a zone takes up, 0 … 1; parts of the relief count as equal. On a face that is
 * measured from its centre (`rings`), as of a plate, a ring's area grows with the square of its radius.
 */
export function zoneShare(zone: Pick<Zone, 'stretch' | 'sector'>, rings = false): number {
  const { from, to } = zone.stretch;
  return (rings ? to * to - from * from : to - from) * sectorWidth(zone.sector);
}
