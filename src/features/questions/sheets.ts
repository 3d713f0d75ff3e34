/** The sheets to work from: what is weighed, poured, dipped and scratched in, reckoned from a question. */
import { count } from '@/core/units';
import { describeRegion } from '@/core/zones';
import type { Sheet, SheetInput } from './sheet';
import { weighCorners, weighVariants, cupSheet } from './weighing';

export function sheetsFor(input: SheetInput): Sheet[] {
  const mixes = input.tiles.flatMap(({ mix }) => (mix === null ? [] : [mix]));
  const blends = mixes.some((mix) => Object.keys(mix.shares).length > 1);
  const sheets: Sheet[] = [];
  if (mixes.length > 0) sheets.push(blends ? weighCorners(input) : weighVariants(input));
  if (blends) sheets.push(cupSheet(input));
  sheets.push(glazeSheet(input), labelSheet(input));
  return sheets;
}

function glazeSheet(input: SheetInput): Sheet {
  const rows = input.tiles.flatMap((tile) =>
    (input.layers.get(tile.pieceId) ?? []).map((layer, i) => ({
      turn: i + 1,
      coat: tile.mix === null ? (input.names.get(layer.coatingVersionId) ?? '') : `its own cup`,
      how: `${layer.method}, ${count(layer.coats, 'coat')}${layer.weight === 'normal' ? '' : `, ${layer.weight}`}${layer.seconds === null ? '' : `, ${layer.seconds} s`}`,
      where: describeRegion(layer.region),
      no: tile.no,
      code: tile.code,
    })),
  );
  const bunches = new Map<string, string[]>();
  for (const row of rows) {
    const key = [row.turn, row.coat, row.how, row.where].join('\u0000');
    bunches.set(key, [...(bunches.get(key) ?? []), `${row.no}`]);
  }
  const turns = [...new Set(rows.map((row) => row.turn))].sort();
  return {
    key: 'glaze',
    title: 'Glazing order',
    lead: 'Wipe the bisque with a damp sponge, keep the foot bare, stir to the bottom every time.',
    cautions: ['Spraying or sanding dry glaze makes dust: respirator and extraction.'],
    columns: ['Coat', 'How', 'Where', 'Tiles'],
    groups: turns.map((turn) => ({
      title: turn === 1 ? 'First' : `Then, on the dry coat (${turn})`,
      rows: [...bunches].flatMap(([key, nos]) => {
        const [at, coat, how, where] = key.split('\u0000') as [string, string, string, string];
        return Number(at) === turn ? [[coat, how, where, nos.join(', ')]] : [];
      }),
    })),
  };
}

function labelSheet(input: SheetInput): Sheet {
  return {
    key: 'labels',
    title: 'Labels and key',
    lead: `${input.fired ? 'Write the code on the foot with an iron or underglaze pencil: it survives the fire.' : 'Scratch the code into the foot, deep enough to be read through glaze.'} Places on the shelves are drawn at random so that place and treatment are not confused.`,
    cautions: [],
    columns: ['No', 'Code', 'Body', 'What', 'Shelf, place'],
    groups: [
      {
        title: '',
        rows: input.tiles.map((tile) => [
          `${input.question.no}-${tile.no}`,
          tile.code,
          tile.bodyName,
          `${tile.label}${tile.role === 'test' ? '' : ` (${tile.role})`}`,
          `${tile.shelf}, ${tile.place}`,
        ]),
      },
    ],
  };
}
