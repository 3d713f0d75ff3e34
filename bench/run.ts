/** Ratios against a floor measured in the same run; never a timed test. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import solver from 'javascript-lp-solver';
import { analyse, MATERIALS, OXIDES, recipeFor } from '../src/core/chemistry';
import { OPERATIONS } from '../src/app/operations';
import { listCoatings } from '../src/data/catalogue';
import { insertMany, transact, type Database, type Row } from '../src/data/database';
import { migrate } from '../src/data/migrations';
import { createPerson, type Person } from '../src/data/people';
import { createStudio } from '../src/data/studio';
import { chartData } from '../src/features/chart/queries';
import { importOptions, planImport, writeImport } from '../src/features/exchange/server';
import { perform } from '../src/platform/operation';
import { freshDatabase, openLocal, startDatabase } from '../scripts/mariadb';

const directory = mkdtempSync(join(tmpdir(), 'jiten-bench-'));
const server = await startDatabase(directory);
const TABLES = [
  'lot',
  'piece',
  'face',
  'layer',
  'firing',
  'placement',
  'observation',
  'observation_sign',
  'cell',
  'sighting',
];
const technician: Person = {
  id: v7(),
  name: 'Bench',
  login: 'bench',
  role: 'technician',
  disabled: false,
};

async function studio(name: string): Promise<Database> {
  await freshDatabase(server.port, name);
  const db = openLocal(server.port, name);
  await migrate(db);
  await createStudio(
    db,
    {
      name: 'Bench',
      timeZone: 'UTC',
      temperatureUnit: 'C',
      lengthUnit: 'mm',
      massUnit: 'g',
      crackAtC: 100,
      unloadAtC: 40,
    },
    new Date(),
  );
  await createPerson(db, { ...technician, passwordHash: 'x' }, new Date());
  return db;
}

/** Past tests of 25 coatings, every pair in turn. */
function csv(rows: number): Uint8Array {
  const lines = [
    'mark,body,coating 1,coats 1,coating 2,coats 2,cone,atmosphere,date,kiln,surface,defects',
  ];
  for (let i = 0; i < rows; i++) {
    const pair = i % 625;
    lines.push(
      `M${i},Body ${(i >> 13) % 3},Glaze ${pair % 25},${1 + (i % 2)},Glaze ${Math.floor(pair / 25)},1,6,oxidation,20${20 + (i % 5)}-0${1 + (i % 9)}-1${i % 9},Kiln ${i % 3},${i % 5 ? 'gloss' : 'matt'},${i % 4 ? '' : 'pit 1'}`,
    );
  }
  return new TextEncoder().encode(lines.join('\n'));
}

const everything = (): object => ({
  bodies: Object.fromEntries([0, 1, 2].map((n) => [`Body ${n}`, 'new'])),
  kilns: Object.fromEntries([0, 1, 2].map((n) => [`Kiln ${n}`, 'new'])),
  coatings: Object.fromEntries(Array.from({ length: 25 }, (_, n) => [`Glaze ${n}`, 'new'])),
});

async function bring(db: Database, bytes: Uint8Array): Promise<void> {
  const first = await planImport(db, bytes, importOptions.parse({}));
  const known = everything() as { bodies: object; kilns: object; coatings: object };
  const pick = (all: object, names: readonly { name: string }[]): object =>
    Object.fromEntries(
      Object.entries(all).filter(([name]) => names.some((one) => one.name === name)),
    );
  const options = importOptions.parse({
    bodies: pick(known.bodies, first.bodies),
    kilns: pick(known.kilns, first.kilns),
    coatings: pick(known.coatings, first.coatings),
  });
  await transact(db, async (trx) =>
    writeImport(
      trx,
      await planImport(trx, bytes, options),
      options,
      'bench',
      technician.id,
      new Date(),
    ),
  );
}

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};
const median = (values: number[]): number => values.sort((a, b) => a - b)[values.length >> 1]!;

/** Chemistry against the bare matrix product, and the target search against the solver alone. */
function benchChemistry(): void {
  const known = MATERIALS.flatMap(({ name, analysis }) =>
    analysis === null ? [] : [{ name, analysis }],
  );
  const recipes = Array.from({ length: 10_000 }, (_, i) =>
    known
      .slice(i % 20, (i % 20) + 8)
      .map((one, j) => ({ ...one, amount: 1 + ((i * 7 + j * 13) % 40) })),
  );
  // The floor: amounts × oxides as plain arrays, with nothing made of the product.
  const matrices = recipes.map((recipe) => ({
    amounts: recipe.map(({ amount }) => amount),
    shares: recipe.map(({ analysis }) => OXIDES.map((oxide) => analysis.oxides[oxide] ?? 0)),
  }));
  const product = (): number => {
    let sum = 0;
    for (const { amounts, shares } of matrices) {
      const out = new Float64Array(OXIDES.length);
      for (let i = 0; i < amounts.length; i++)
        for (let j = 0; j < out.length; j++) out[j]! += amounts[i]! * shares[i]![j]!;
      sum += out[0]!;
    }
    return sum;
  };
  const clock = (work: () => unknown): number => {
    const began = performance.now();
    work();
    return performance.now() - began;
  };
  const rounds = Array.from({ length: 7 }, () => [
    clock(() => recipes.map((recipe) => analyse(recipe))),
    clock(product),
  ]);
  report(
    'Chemistry of 10,000 recipes',
    0,
    median(rounds.map(([ours]) => ours!)),
    median(rounds.map(([, floor]) => floor!)),
  );
  const shelf = known.slice(0, 12);
  const target = Object.fromEntries(
    Object.entries({ K2O: 0.2, Na2O: 0.1, CaO: 0.6, MgO: 0.1, Al2O3: 0.4, SiO2: 3.4 }).map(
      ([oxide, value]) => [oxide, { min: value, max: value }],
    ),
  );
  const inSolver: number[] = [];
  const whole: number[] = [];
  const original = solver.Solve.bind(solver);
  for (let i = 0; i < 40; i++) {
    let spent = 0;
    solver.Solve = ((...args: Parameters<typeof original>) => {
      const began = performance.now();
      const answer = original(...args);
      spent += performance.now() - began;
      return answer;
    }) as typeof solver.Solve;
    whole.push(clock(() => recipeFor(shelf, target)));
    inSolver.push(spent);
  }
  solver.Solve = original;
  report('Target to recipe over 12 materials', 0, median(whole), median(inSolver));
}

/** A row as it was read, made fit to be written: JSON columns as text. */
const writable = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      value !== null && typeof value === 'object' && !(value instanceof Date)
        ? JSON.stringify(value)
        : value,
    ]),
  );

const report = (name: string, limit: number, ours: number, floor: number): void =>
  console.log(
    `${name}: ${ours.toFixed(1)} ms against ${floor.toFixed(1)} ms, ratio ${(ours / floor).toFixed(2)}${limit === 0 ? '' : ` (wanted: at most ${limit})`}`,
  );

/** Runs both in turn, so that whatever else the machine does falls on both alike. */
async function ratio(
  name: string,
  limit: number,
  rounds: number,
  ours: (i: number) => Promise<unknown>,
  floor: (i: number) => Promise<unknown>,
): Promise<void> {
  const [a, b]: [number[], number[]] = [[], []];
  for (let i = -2; i < rounds; i++) {
    const [x, y] = [await timed(() => ours(i)), await timed(() => floor(i))];
    if (i < 0) continue;
    a.push(x);
    b.push(y);
  }
  report(name, limit, median(a), median(b));
}

try {
  const importing = await studio('bench_import');
  const bytes = csv(10_000);
  const ours = await timed(() => bring(importing, bytes));
  // The floor: the very rows the import made, inserted bare into a second database.
  const copies = new Map<string, Row[]>();
  for (const table of TABLES) copies.set(table, (await importing(table)).map(writable));
  const bare = await studio('bench_bare');
  const floor = await timed(() =>
    transact(bare, async (trx) => {
      await trx.raw('SET foreign_key_checks = 0');
      for (const table of TABLES) await insertMany(trx, table, copies.get(table)!);
    }),
  );
  report('Import of 10,000 rows, two dry runs and the writing', 4, ours, floor);

  const db = await studio('bench_board');
  await bring(db, csv(20_000));
  const body = (await db('body').where({ name: 'Body 0' }).first()) as Row;
  await ratio(
    'Board of 25 × 25 cells, 20,000 pieces',
    1.5,
    25,
    () =>
      chartData(db, { body: body.slug as string, cone: '6', atmosphere: 'oxidation', ground: '' }),
    () => db('cell').where({ body_id: body.id, cone: '6', atmosphere: 'oxidation', slips: '' }),
  );

  const placed: Row[] = await db('placement').limit(200).select('piece_id', 'firing_id');
  const seen = {
    surface: 'gloss',
    opacity: null,
    colour: null,
    movementMm: 1,
    met: null,
    rating: 4,
    verdict: 'study',
    note: '',
    signs: [],
  };
  await ratio(
    'Saving one observation',
    2,
    60,
    async (i) => {
      const { piece_id: pieceId, firing_id: firingId } = placed[i + 2]!;
      const answer = await perform(
        db,
        OPERATIONS.get('opening.record')!,
        {
          id: v7(),
          input: {
            firingId,
            zone: null,
            replace: true,
            seen,
            pieces: [{ pieceId, observationId: v7(), basedOn: null }],
          },
        },
        technician,
      );
      if (!answer.ok) throw new Error(answer.problem.message);
    },
    (i) =>
      transact(db, async (trx) => {
        // The floor: the same writes by hand, with nothing read and nothing computed.
        const { piece_id: pieceId, firing_id: firingId } = placed[i + 102]!;
        await trx('observation')
          .where({ piece_id: pieceId, firing_id: firingId })
          .update({ current_key: null, superseded_at: new Date() });
        await trx('observation').insert({
          id: v7(),
          piece_id: pieceId,
          firing_id: firingId,
          seen_at: new Date(),
          seen_by: technician.id,
          surface: 'gloss',
          movement_mm: 1,
          rating: 4,
          verdict: 'study',
          note: '',
          current_key: `${String(pieceId)}/${String(firingId)}/`,
        });
        const own = (
          await trx('sighting').where({ piece_id: pieceId, firing_id: firingId })
        )[0] as Row;
        await trx('sighting').where({ piece_id: pieceId, firing_id: firingId }).delete();
        await trx('sighting').insert({
          ...own,
          signs: JSON.stringify(own.signs),
          variables: JSON.stringify(own.variables),
        });
        await trx('cell').where({ id: own.cell_id }).update({ rating: 4, movement_mm: 1 });
        await trx('operation').insert({
          id: v7(),
          name: 'bench',
          person_id: technician.id,
          at: new Date(),
          result: 'null',
        });
      }),
  );
  console.log(`(${(await listCoatings(db)).length} coatings)`);
  benchChemistry();
  await Promise.all([importing.destroy(), bare.destroy(), db.destroy()]);
} finally {
  await server.stop();
  rmSync(directory, { recursive: true, force: true });
}
