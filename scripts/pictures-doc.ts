/**
 * `npm run pictures-doc`: takes synthetic photographs from seeds that no method was built with, reads them as
 * the application does, and writes the figures into docs/PICTURES.md between its marks. About a quarter of an
 * hour.
 */
import { readFile, writeFile } from 'node:fs/promises';
import { Random } from '../demo/random';
import { correctionFrom, deltaE } from '../src/core/colour';
import { onFace, type Shape } from '../src/core/frame';
import { coloursUnder, lookAtMany, SURE } from '../src/core/sight';
import { ROUND } from '../src/core/zones';
import { rasterOf } from '../src/platform/raster';
import { developed, photograph } from '../test-support/photographs/camera';
import { FIGURES_FROM, OTHER, PLAIN, type World } from '../test-support/photographs/ranges';
import { drawScene, type Subject } from '../test-support/photographs/scene';

const WIDTH = 960;

type Count = {
  faces: number;
  missed: number;
  extra: number;
  corners: number[];
  greys: number;
  greyFound: number;
  greyWrong: number;
  zones: number;
  silent: number;
  colours: number[];
};

const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

/** How far a frame is from the true outline at the worst, as a share of the picture's width. */
function offBy(shape: Shape, outline: readonly [number, number][], width: number, height: number): number {
  if (shape.kind === 'corners') {
    if (outline.length !== 4) return Infinity;
    return (
      Math.max(
        ...shape.corners.map(({ x, y }, i) =>
          Math.hypot(x * width - outline[i]![0], y * height - outline[i]![1]),
        ),
      ) / width
    );
  }
  if (outline.length === 4) return Infinity;
  const aspect = height / width;
  const radius = Math.sqrt(shape.across * shape.along);
  return Math.max(
    ...outline.map(([x, y]) => {
      const at = onFace(shape, { x: x / width, y: y / height }, aspect, Infinity);
      // A height beyond the rim is cut to 1: looked at from just inside instead.
      const inner = onFace(
        shape,
        {
          x: shape.centre.x + (x / width - shape.centre.x) * 0.5,
          y: shape.centre.y + (y / height - shape.centre.y) * 0.5,
        },
        aspect,
        Infinity,
      );
      return at === null || inner === null ? Infinity : Math.abs(2 * inner.height - 1) * radius;
    }),
  );
}

async function counted(world: World, subject: Subject, from: number, to: number): Promise<Count> {
  const count: Count = {
    faces: 0,
    missed: 0,
    extra: 0,
    corners: [],
    greys: 0,
    greyFound: 0,
    greyWrong: 0,
    zones: 0,
    silent: 0,
    colours: [],
  };
  for (let seed = from; seed < to; seed++) {
    const taken = photograph(drawScene(new Random(seed), world, subject), world, seed, WIDTH);
    const { truth } = taken;
    const raster = await rasterOf(await developed(taken));
    const { frames, grey } = lookAtMany(raster, { cards: [truth.scene.stated] });
    count.greys++;
    let by = null;
    if (grey.found !== null) {
      const far = Math.max(
        ...grey.found.steps.map(({ at }, i) =>
          Math.hypot(
            at.x * raster.width - (truth.card!.middles[i]?.[0] ?? -1e3),
            at.y * raster.height - (truth.card!.middles[i]?.[1] ?? -1e3),
          ),
        ),
      );
      if (far < 0.012 * raster.width) count.greyFound++;
      else count.greyWrong++;
      if (grey.found.card !== null) {
        const corrected = correctionFrom(grey.found.steps, grey.found.card);
        if (corrected.ok) by = corrected;
      }
    }
    const free = new Set(frames);
    truth.outlines.forEach((outline, i) => {
      count.faces++;
      const rated = [...free].map((frame) => ({
        frame,
        off: offBy(frame.shape, outline, raster.width, raster.height),
      }));
      const best = rated.sort((a, b) => a.off - b.off)[0];
      const near = best !== undefined && best.off < 0.06 ? best : null;
      if (near === null) count.missed++;
      else {
        free.delete(near.frame);
        count.corners.push(near.off);
      }
      for (const { from: low, to: high, lab } of truth.scene.slabs[i]!.patches) {
        if (high - low < 0.1) continue;
        count.zones++;
        const part = { stretch: { from: low, to: high }, sector: ROUND };
        const colour = near === null || by === null ? null : coloursUnder(raster, near.frame.shape, part, by);
        if (colour === null) count.silent++;
        else count.colours.push(deltaE(colour.lab, lab));
      }
    });
    count.extra += free.size;
  }
  return count;
}

const RUNS: [world: 'plain' | 'other', subject: Subject, pictures: number][] = [
  ['plain', 'tile', 60],
  ['plain', 'two faces', 40],
  ['plain', 'plate', 40],
  ['plain', 'shelf', 12],
  ['plain', 'board', 8],
  ['other', 'tile', 40],
  ['other', 'two faces', 20],
  ['other', 'plate', 20],
  ['other', 'shelf', 8],
  ['other', 'board', 8],
];

const BOARDS = 20;

const percent = (part: number, of: number): string => (of === 0 ? '–' : `${Math.round((100 * part) / of)} %`);

function row(name: string, pictures: number, one: Count): string {
  const hundredth = one.corners.filter((off) => off < 0.01).length;
  const cells = [
    name,
    pictures,
    one.faces,
    percent(one.missed, one.faces),
    one.extra,
    percent(hundredth, one.faces),
    `${(100 * quantile(one.corners, 0.5)).toFixed(2)} %`,
    `${(100 * quantile(one.corners, 0.95)).toFixed(2)} %`,
    `${one.greyFound} of ${one.greys}${one.greyWrong > 0 ? `, ${one.greyWrong} wrong` : ''}`,
    `${percent(one.silent, one.zones)} of ${one.zones}`,
    ...[quantile(one.colours, 0.5), quantile(one.colours, 0.95), Math.max(...one.colours)].map((v) =>
      Number.isFinite(v) ? v.toFixed(1) : '–',
    ),
  ];
  return `| ${cells.join(' | ')} |`;
}

/**
 * Of so many boards, how many had their rows and columns counted right, and how many wrong ones were called
 * sure.
 */
async function boards(world: World, from: number, pictures: number): Promise<string> {
  let [right, sureAndWrong] = [0, 0];
  for (let seed = from; seed < from + pictures; seed++) {
    const scene = drawScene(new Random(seed), world, 'board');
    const raster = await rasterOf(await developed(photograph(scene, world, seed, WIDTH)));
    const found = lookAtMany(raster, { cards: [scene.stated] }).board;
    const { rows, columns } = scene.grid!;
    if (found?.rows === rows && found.columns === columns) right++;
    else if (found !== null && found.sure >= SURE) sureAndWrong++;
  }
  return `${right} of ${pictures}, wrong and called sure ${sureAndWrong}`;
}

async function main(): Promise<void> {
  const rows: string[] = [];
  let seed = FIGURES_FROM + Number(process.argv[2] ?? 0);
  for (const [world, subject, pictures] of RUNS) {
    const count = await counted(world === 'plain' ? PLAIN : OTHER, subject, seed, seed + pictures);
    seed += pictures;
    rows.push(row(`${world}, ${subject}`, pictures, count));
    process.stdout.write(`${rows.at(-1)!}\n`);
  }
  const heads = [
    'world, what',
    'pictures',
    'faces',
    'missed',
    'made up',
    'within 1 % of width',
    'off, median',
    'off, 95 %',
    'grey found',
    'zones without a colour',
    'ΔE₀₀ median',
    '95 %',
    'worst',
  ];
  const table = [`| ${heads.join(' | ')} |`, `|${heads.map(() => ' --- |').join('')}`, ...rows].join('\n');
  const counts = `Rows and columns of boards counted right: plain ${await boards(PLAIN, seed, BOARDS)}; other ${await boards(OTHER, seed, BOARDS)}.`;
  const path = new URL('../docs/PICTURES.md', import.meta.url);
  const text = await readFile(path, 'utf8');
  const marks = ['<!-- figures -->', '<!-- /figures -->'] as const;
  const [before, rest] = text.split(marks[0]);
  const after = rest?.split(marks[1])[1];
  if (before === undefined || after === undefined) throw new Error('docs/PICTURES.md has lost its marks.');
  await writeFile(path, `${before}${marks[0]}\n\n${table}\n\n${counts}\n\n${marks[1]}${after}`);
}

void main();
