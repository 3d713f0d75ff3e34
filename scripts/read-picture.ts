/**
 * What the application finds by itself in pictures it has never seen, as JSON: the grey, the frames, a board,
 * the colours of the frames' zones.
 *   npm run read-picture -- FILE … [--zones 0.33,0.66] [--grey 20.5,49.5,95.3]
 * Corners are in pixels of the upright picture. `--grey` names the steps of the card by their lightness L*;
 * without it the usual cards are tried, and a card that is none of them corrects nothing.
 */
import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import { COLOUR_METHOD, correctionFrom } from '../src/core/colour';
import { ROUND } from '../src/core/zones';
import { coloursUnder, FRAME_METHOD, lookAtMany, USUAL_CARDS, type Raster } from '../src/core/sight';
import { rasterOf, widthOf } from '../src/platform/raster';

type Options = { cuts: number[]; cards: readonly (readonly number[])[] };

const rounded = (value: number, digits = 1): number => Number(value.toFixed(digits));

function described(raster: Raster, width: number, { cuts, cards }: Options) {
  const scale = width / raster.width;
  const { frames, why, grey, board } = lookAtMany(raster, { cards });
  const pixel = ({ x, y }: { x: number; y: number }) => [
    rounded(x * raster.width * scale),
    rounded(y * raster.height * scale),
  ];
  const { found } = grey;
  const by = found?.card == null ? null : correctionFrom(found.steps, found.card);
  const ends = [0, ...cuts, 1];
  return {
    width,
    height: Math.round(raster.height * scale),
    grey:
      found === null
        ? { found: false, why: 'why' in grey ? grey.why : null }
        : {
            found: true,
            corners: found.corners.map(pixel),
            steps: found.steps.map(({ at }) => pixel(at)),
            card: found.card,
            corrects: by?.ok === true,
            ...(by?.ok === false ? { why: by.why } : {}),
          },
    why,
    // One tile is no board.
    board:
      board === null || board.rows * board.columns < 2
        ? null
        : {
            corners: board.corners.map(pixel),
            rows: board.rows,
            columns: board.columns,
            sure: rounded(board.sure, 2),
          },
    frames: frames.map(({ shape }) => ({
      ...(shape.kind === 'corners'
        ? { kind: 'corners', corners: shape.corners.map(pixel) }
        : {
            kind: 'ellipse',
            centre: pixel(shape.centre),
            axes: [rounded(shape.across * width), rounded(shape.along * width)],
            turn: rounded(shape.turn),
          }),
      zones: ends.slice(1).map((to, i) => {
        const from = ends[i]!;
        const part = { stretch: { from, to }, sector: ROUND };
        const colour = by?.ok === true ? coloursUnder(raster, shape, part, by) : null;
        return {
          from,
          to,
          lab: colour === null ? null : colour.lab.map((v) => rounded(v, 2)),
          ...(colour && {
            parts: colour.parts.map(({ lab, share }) => ({
              lab: lab.map((v) => rounded(v, 2)),
              share: rounded(share, 3),
            })),
            variegation: rounded(colour.variegation, 2),
            glare: rounded(colour.glare, 3),
          }),
        };
      }),
    })),
  };
}

const numbers = (text: string | undefined): number[] =>
  text === undefined
    ? []
    : text
        .split(',')
        .map(Number)
        .sort((a, b) => a - b);

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { zones: { type: 'string' }, grey: { type: 'string' } },
  });
  const cuts = numbers(values.zones);
  const card = numbers(values.grey);
  const wrong =
    positionals.length === 0 ||
    !cuts.every((cut) => cut > 0 && cut < 1) ||
    !card.every((l) => l > 0 && l <= 100);
  if (wrong) {
    process.stderr.write('npm run read-picture -- FILE … [--zones 0.33,0.66] [--grey 20.5,49.5,95.3]\n');
    process.exitCode = 2;
    return;
  }
  const cards = card.length > 0 ? [card] : USUAL_CARDS;
  const pictures = [];
  for (const file of positionals) {
    try {
      const bytes = await readFile(file);
      const raster = await rasterOf(bytes);
      pictures.push({ file: basename(file), ...described(raster, await widthOf(bytes), { cuts, cards }) });
    } catch (error) {
      pictures.push({ file: basename(file), problem: (error as Error).message });
      process.exitCode = 1;
    }
  }
  process.stdout.write(
    `${JSON.stringify({ method: { frame: FRAME_METHOD, colour: COLOUR_METHOD }, pictures }, null, 2)}\n`,
  );
}

void main();
