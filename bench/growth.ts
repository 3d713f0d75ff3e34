/** How what stays as it is grows: pages with the studio, algorithms with their task. */
import { v7 } from 'uuid';
import { OPERATIONS } from '../src/app/operations';
import { confounding } from '../src/core/designs';
import { estimateOffset } from '../src/core/heatwork';
import { summarise, type Testimony } from '../src/core/standing';
import { orderOfAdditions } from '../src/core/slurry';
import { zonesOfFace } from '../src/core/zones';
import type { Database, Row } from '../src/data/database';
import { loadPieces } from '../src/data/pieces';
import { readStudio } from '../src/data/studio';
import { daySheet } from '../src/features/bench/sheet';
import { readZoom } from '../src/features/chart/zoom';
import { pieceRoom } from '../src/features/pieces/server';
import { questionData } from '../src/features/questions/server';
import { perform } from '../src/platform/operation';
import { dip } from '../test-support/layers';
import { asking } from '../test-support/questions';
import type { Reached } from '../src/keeper/server';
import { clock, median, report, timed, type Bench, type Sized } from './measure';
import { bring, crowd, csv, studio, technician } from './studio';

/** Asks for two tiles, so that there is a question page to read. */
async function askQuestion(db: Database): Promise<number> {
  const [body, version] = await Promise.all([
    db('body').where({ name: 'Body 0' }).first('id') as Promise<Row>,
    db('coating_version').first('id') as Promise<Row>,
  ]);
  const input = asking({
    kind: 'coats',
    bodies: [body.id],
    repeats: 1,
    controls: true,
    apply: { method: 'dip', coats: 1, weight: 'normal', seconds: 3, stage: 'bisque' },
    coating: version.id,
    coats: [1, 2, 3],
  });
  const asked = await perform(db, OPERATIONS.get('questions.ask')!, { id: v7(), input }, technician);
  if (!asked.ok) throw new Error(asked.problem.message);
  return (asked.data as { no: number }).no;
}

type Page = { name: string; read: (db: Database) => Promise<unknown> };

/** Bench, piece page, zoom of a cell of equal size and question page, in a small studio and in a large one. */
async function pages(server: Reached, sized: Sized): Promise<void> {
  const [few, many] = [sized(1000, 700), sized(50_000, 1400)];
  const dbs: Database[] = [];
  for (const rows of [few, many]) {
    const db = await studio(server, `bench_growth_${rows}`);
    await bring(db, csv(rows, few));
    dbs.push(db);
  }
  const questions = new Map<Database, number>();
  const codes = new Map<Database, string>();
  for (const db of dbs) {
    questions.set(db, await askQuestion(db));
    codes.set(db, ((await db('piece').where({ mark: 'M7' }).first('code')) as Row).code as string);
  }
  const settings = (await readStudio(dbs[0]!))!;
  const board = { body: 'body-0', cone: '6', atmosphere: 'oxidation', slips: '' };
  const all: Page[] = [
    { name: 'Bench', read: (db) => daySheet(db, settings, technician) },
    {
      name: 'Piece page',
      read: async (db) => pieceRoom(db, (await loadPieces(db, { codes: [codes.get(db)!] }))[0]!),
    },
    {
      name: 'Zoom of a cell of equal size',
      read: async (db) => {
        const { pieces } = await readZoom(db, board, { base: 'glaze-3', over: 'glaze-4' });
        if (pieces.length === 0) throw new Error('The cell to zoom into is empty.');
      },
    },
    { name: 'Question page', read: (db) => questionData(db, questions.get(db)!) },
  ];
  for (const { name, read } of all) {
    const [small, large]: [number[], number[]] = [[], []];
    for (let i = -3; i < sized(40, 2); i++) {
      const [a, b] = [await timed(() => read(dbs[0]!)), await timed(() => read(dbs[1]!))];
      if (i < 0) continue;
      small.push(a);
      large.push(b);
    }
    report(`${name}, ${many} pieces against ${few}`, 1.3, median(large), median(small));
  }
  for (const db of dbs) await db.destroy();
}

const layer = (i: number, of: number) =>
  dip(`glaze-${i}`, { stretch: { from: i / (2 * of), to: 1 - i / (4 * of) } });

/** At the usual size and at ten times: the limit is what linear growth would be, and a half more. */
function tasks(sized: Sized): void {
  const grow = (name: string, limit: number | null, run: (scale: number) => unknown): void => {
    const [one, ten]: [number[], number[]] = [[], []];
    for (let i = -2; i < sized(9, 1); i++) {
      const [a, b] = [clock(() => run(1)), clock(() => run(10))];
      if (i < 0) continue;
      one.push(a);
      ten.push(b);
    }
    report(`${name}, ten times the size`, limit, median(ten), median(one));
  };
  grow('Confounding of 60 pieces with 12 variables', 15, (scale) =>
    confounding(
      Array.from({ length: 60 * scale }, (_, i) =>
        Object.fromEntries(Array.from({ length: 12 }, (_, v) => [`v${v}`, String(i % (v + 2))])),
      ),
      ['v0'],
    ),
  );
  const sightings = Array.from({ length: 10_000 }, (_, i) => sighting(i));
  grow('Summing up 1,000 sightings', 15, (scale) => summarise(sightings.slice(0, 1000 * scale)));
  grow('What 20 firings say of a thermocouple', 15, (scale) =>
    estimateOffset(
      Array.from({ length: 20 * scale }, (_, i) => [
        { place: 'top', bounds: Array(3).fill({ atLeast: 10 + (i % 5), atMost: 16 + (i % 5) }) },
      ]),
    ),
  );
  const face = { no: 1, kind: 'bare' as const, slip: null };
  // Layers are at most twelve: the growth in them is shown, and bounded there.
  grow('Zones of 12 layers', null, (scale) =>
    zonesOfFace(
      face,
      Array.from({ length: 12 * scale }, (_, i) => layer(i, 12 * scale)),
    ),
  );
  grow('Order of additions for 6 variants', null, (scale) =>
    orderOfAdditions(
      Array.from({ length: 6 * scale }, (_, i) => ({
        name: `v${i}`,
        baseGrams: 100,
        additions: { tin: 1 + (i % 7), cobalt: 1 + (i % 5), iron: 1 + (i % 11) },
      })),
    ),
  );
}

/** One of many sightings of a stack, with what is recorded of each. */
const sighting = (i: number): Testimony => ({
  pieceId: `p${i}`,
  firingId: `f${i % 97}`,
  seenAt: `2026-01-${10 + (i % 19)}`,
  surface: i % 9 ? 'gloss' : 'matt',
  opacity: 'opaque',
  colour: 'blue',
  movementMm: i % 4,
  met: null,
  rating: 4,
  signs: i % 7 ? [] : [{ sign: 'pit', severity: 2, wanted: false }],
  variables: Object.fromEntries(Array.from({ length: 10 }, (_, v) => [`v${v}`, `${i % (v + 2)} s`])),
  coneKnown: 'read',
  changes: { later: [], gone: [], surfaceWas: null },
  split: [],
});

/** A look saved in a cell of very many pieces against one in a cell of ten. */
async function crowded(server: Reached, sized: Sized): Promise<void> {
  const crowdOf = sized(10_000, 100);
  const db = await studio(server, 'bench_growth_crowd');
  await bring(db, crowd(crowdOf, 10));
  const pieces = async (glaze: number): Promise<Row[]> =>
    db('piece')
      .join('placement', 'placement.piece_id', 'piece.id')
      .where('piece.mark', 'like', `${glaze}-%`)
      .limit(10)
      .select('piece.id', 'placement.firing_id');
  const [many, few] = await Promise.all([pieces(0), pieces(1)]);
  const save = async ({ id, firing_id }: Row, surface: string): Promise<void> => {
    const seen = { surface, opacity: null, colour: null, movementMm: null, met: null, rating: 4 };
    const input = {
      firingId: firing_id,
      zone: null,
      seen: { ...seen, verdict: null, note: '', signs: [] },
      pieces: [{ pieceId: id, observationId: v7(), corrects: null }],
    };
    const request = { id: v7(), input };
    const answer = await perform(db, OPERATIONS.get('opening.record')!, request, technician);
    if (!answer.ok) throw new Error(answer.problem.message);
  };
  const [large, small]: [number[], number[]] = [[], []];
  for (let i = -5; i < sized(40, 2); i++) {
    const at = Math.abs(i) % 10;
    const surface = i % 2 ? 'gloss' : 'satin';
    const a = await timed(() => save(many[at]!, surface));
    const b = await timed(() => save(few[at]!, surface));
    if (i < 0) continue;
    large.push(a);
    small.push(b);
  }
  report(`Saving a look in a cell of ${crowdOf} against one of 10`, 2, median(large), median(small));
  await db.destroy();
}

export const benchGrowth: Bench = async (server, sized) => {
  tasks(sized);
  await crowded(server, sized);
  await pages(server, sized);
};
