/**
 * The demo as data: what a change of structure must leave as it is. A difference is either a fault or
 * a rule that was changed on purpose; then `JITEN_GOLDEN=write npm run integration -- --testPathPatterns
 * golden` writes the files again, and the commit says what moved and why.
 */
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { boardCells, boardChoices } from '../src/data/board';
import type { Database, Row } from '../src/data/database';
import { listPieces } from '../src/data/pieces';
import { openFiringsOf } from '../src/data/placements';
import { boardOf, sortCones } from '../src/features/chart/board';
import { documentText } from '../src/features/exchange/document';
import { emptyDatabase } from '../test-support/database';
import { loadDemo } from './load';
import { listBodies } from '../src/data/bodies';
import { listCoatings } from '../src/data/coatings';

const DAY = new Date('2026-11-01T10:00:00Z');

let db: Database;
beforeAll(async () => {
  db = await emptyDatabase();
  await loadDemo(db, 'unused', { now: DAY, pictures: false });
}, 120_000);
afterAll(() => db.destroy());

function agrees(name: string, lines: readonly string[]): void {
  const path = join(import.meta.dirname, 'golden', `${name}.txt`);
  const text = `${lines.join('\n')}\n`;
  if (process.env.JITEN_GOLDEN === 'write') writeFileSync(path, text);
  expect(lines.length).toBeGreaterThan(20);
  expect(text.split('\n')).toEqual(readFileSync(path, 'utf8').split('\n'));
}

const bodies = async (): Promise<Map<string, string>> =>
  new Map((await listBodies(db)).map(({ id, slug }) => [id, slug]));

test('cells', async () => {
  const slugs = await bodies();
  const rows: Row[] = await db('cell').select();
  agrees(
    'cells',
    rows
      .map((row) =>
        [
          slugs.get(row.body_id),
          row.slips,
          row.cone,
          row.atmosphere,
          row.stack_key,
          row.standing,
          `${row.pieces} pieces`,
          `${row.firings} firings`,
          row.surface,
          row.met,
          row.movement_mm,
          row.rating,
          JSON.stringify(row.signs),
          row.refired ? 'after a refire' : '',
          (row.divisions as { about: string; weight: string }[])
            .map(({ about, weight }) => `${about}: ${weight}`)
            .join(', '),
          row.example_code,
          row.last_seen?.toISOString(),
        ].join(' | '),
      )
      .sort(),
  );
});

test('waiting states', async () => {
  const pieces = await listPieces(db);
  const inside = await openFiringsOf(
    db,
    pieces.map(({ id }) => id),
  );
  agrees(
    'waiting',
    pieces
      .map((piece) =>
        [
          piece.code,
          piece.kind,
          inside.get(piece.id)?.label ?? '',
          piece.waitingFor ?? '',
          piece.wantedCone ?? '',
          piece.wantedAtmosphere ?? '',
        ].join(' | '),
      )
      .sort(),
  );
});

test('boards', async () => {
  const slugs = await bodies();
  const coatings = await listCoatings(db);
  const choices = await boardChoices(db);
  const boards = new Map<string, string[]>();
  for (const choice of choices) {
    const of = { ...choice, body: slugs.get(choice.bodyId) as string };
    const { axis, positions, deeper } = boardOf(await boardCells(db, of), coatings, choice.cone);
    const name = [of.body, of.slips, of.cone, of.atmosphere].join(' | ');
    boards.set(name, [
      `${name} | axis | ${axis.map(({ slug }) => slug).join(' ')}`,
      ...[...positions]
        .map(([key, at]) => `${name} | ${key} | ${at.main.stackKey} | ${at.ways} | ${at.pieces}`)
        .sort(),
      ...deeper.map(({ stackKey }) => `${name} | deeper | ${stackKey}`),
    ]);
  }
  const cones = sortCones(choices.map(({ cone }) => cone)).join(' ');
  agrees('boards', [cones, ...[...boards.keys()].sort().flatMap((name) => boards.get(name) ?? [])]);
});

const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;
const started = Date.now();

/** The text of a value without what differs each time: ids, and moments of this very run. */
const steady = (value: unknown): string =>
  JSON.stringify(value ?? null)
    .replace(UUID, 'id')
    .replace(/"(\d{4}-\d\d-\d\dT[^"]*)"/g, (all, at: string) =>
      Date.parse(at) > started - 60_000 ? '"now"' : all,
    );

test('export', async () => {
  let text = '';
  for await (const part of documentText(db, DAY)) text += part;
  const document = JSON.parse(text) as Row;
  const lines: string[] = [];
  for (const [table, rows] of Object.entries(document)) {
    if (!Array.isArray(rows)) continue;
    for (const column of Object.keys(rows[0] ?? {}).sort()) {
      const values = rows.map((row) => steady(row[column])).sort();
      const digest = createHash('sha256').update(values.join('\n')).digest('hex').slice(0, 12);
      lines.push(`${table}.${column} | ${rows.length} rows | ${digest}`);
    }
  }
  agrees('export', lines.sort());
});
