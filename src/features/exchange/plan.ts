import { count } from '@/core/units';
import { plainName } from '@/core/zones';
import type { Source } from '@/data/database';
import { listPieces } from '@/data/pieces';
import { findWhatCame } from './came-as';
import type { Column } from './columns';
import { interpret, type ImportRow } from './interpret';
import { fillDown, mend } from './mend';
import { leftOutAsCame } from './row';
import { mapInTurns } from '@/platform/breath';
import type { ImportOptions } from './contracts';
import { mapColumns, readTable } from './table';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import { listKilns } from '@/data/kilns';

export type Known = { id: string; name: string };
/** A name of the file and what it stands for; `id: null` while nobody has said. */
export type Naming = { name: string; rows: number; id: string | 'new' | null };

/** What is needed to write rows: they themselves, and what each name stands for. */
export type PlannedRows = {
  rows: ImportRow[];
  bodies: Naming[];
  coatings: Naming[];
  kilns: Naming[];
  rowsWithoutKiln: number;
};

export type ImportPlan = PlannedRows & {
  header: string[];
  columns: (Column | null)[];
  notices: string[];
  /** As they stand in the file, the rows that somebody should look at, and those that were mended. */
  written: { line: number; cells: string[] }[];
  rowsWithoutMethod: number;
  rowsWithCone: number;
  known: { bodies: Known[]; coatings: Known[]; kilns: Known[] };
  counts: {
    add: number;
    refused: number;
    doubtful: number;
    likely: number;
    lost: number;
    /** Of all rows, those that came in before, and that may have. */
    came: number;
    maybe: number;
    unknownCone: number;
    unknownAtmosphere: number;
    firings: number;
  };
  /** What must be answered before anything can be added. */
  open: string[];
};

type Merged = { mergedInto: string | null };

function nameAll(
  names: readonly (string | null)[],
  known: readonly (Known & Merged)[],
  answers: Record<string, string>,
): Naming[] {
  const counts = new Map<string, number>();
  const spelling = new Map<string, string>();
  for (const name of names) {
    if (name === null) continue;
    const key = plainName(name);
    counts.set(key, (counts.get(key) ?? 0) + 1);
    if (!spelling.has(key)) spelling.set(key, name);
  }
  // A double's name still means what it was merged into.
  const byName = new Map(known.map((one) => [plainName(one.name), one.mergedInto ?? one.id]));
  return [...counts].map(([key, rows]) => {
    const name = spelling.get(key) as string;
    return { name, rows, id: (answers[name] as string | undefined) ?? byName.get(key) ?? null };
  });
}

/** Looks a name of the file up in what was decided about names. */
export function resolver(namings: readonly Naming[]): (name: string) => string | null {
  const ids = new Map(namings.map((one) => [plainName(one.name), one.id]));
  return (name) => ids.get(plainName(name)) ?? null;
}

/** Which rows belong to one firing: same kiln, day, cone and atmosphere. */
export const firingKey = (row: ImportRow): string =>
  [plainName(row.kiln ?? ''), row.date ?? '', row.cone ?? '', row.atmosphere].join('|');

/**
 * The dry run: reads everything, changes nothing, says what would happen to each row. @param file its name
 */
export async function planImport(
  src: Source,
  bytes: Uint8Array,
  options: ImportOptions,
  file = '',
): Promise<ImportPlan> {
  const table = await readTable(bytes);
  const columns = mapColumns(
    table.header,
    Object.fromEntries(Object.entries(options.columns).map(([i, column]) => [Number(i), column])),
  );
  fillDown(table.rows, columns, options.fillDown);
  const touched = mend(table.rows, options.mended);
  const headings = table.header.map((title, i) =>
    options.leftOut.includes(i) ? null : title === '' ? `Column ${i + 1}` : title,
  );
  const rows = await mapInTurns(table.rows, ({ line, cells }) => interpret(line, cells, columns, headings));
  await refuseKnownPieces(src, rows);
  await findWhatCame(src, rows, file, options);
  const { known, ...named } = await planRows(src, rows, options);
  const good = rows.filter((row) => row.errors.length === 0);
  const plan: ImportPlan = {
    header: table.header,
    columns,
    notices: table.notices,
    written: table.rows.filter(({ line }, i) => touched.has(line) || isToMend(rows[i]!)),
    ...named,
    rowsWithCone: good.filter((row) => row.cone !== null).length,
    rowsWithoutMethod: good.filter((row) => row.coats.some((coat) => coat.method === null)).length,
    known,
    counts: {
      add: good.length,
      refused: rows.filter((row) => row.errors.length > 0 && !leftOutAsCame(row)).length,
      doubtful: good.filter((row) => row.warnings.length > 0).length,
      likely: good.filter((row) => row.key === 'likely').length,
      lost: good.filter((row) => row.key === 'lost').length,
      came: rows.filter(({ came }) => came?.maybe === false).length,
      maybe: rows.filter(({ came }) => came?.maybe === true).length,
      unknownCone: good.filter((row) => row.cone === null).length,
      unknownAtmosphere: good.filter((row) => row.atmosphere === 'unknown').length,
      firings: new Set(good.map(firingKey)).size,
    },
    open: [],
  };
  plan.open = openQuestions(plan, options);
  return plan;
}

/** Something in it should be looked at; that it came in before is nothing to mend. */
const isToMend = (row: ImportRow): boolean =>
  !leftOutAsCame(row) && row.errors.length + row.warnings.length > (row.came === undefined ? 0 : 1);

/**
 * The rows that can be taken, with what their names stand for: what is there already, or what was said of
 * them.
 */
export async function planRows(
  src: Source,
  rows: readonly ImportRow[],
  options: Pick<ImportOptions, 'bodies' | 'coatings' | 'kilns'>,
): Promise<PlannedRows & Pick<ImportPlan, 'known'>> {
  const [bodies, coatings, kilns] = await Promise.all([listBodies(src), listCoatings(src), listKilns(src)]);
  const good = rows.filter((row) => row.errors.length === 0);
  return {
    rows: [...rows],
    bodies: nameAll(
      good.map((row) => row.body),
      bodies,
      options.bodies,
    ),
    coatings: nameAll(
      good.flatMap((row) => row.coats.map((one) => one.coating)),
      coatings,
      options.coatings,
    ),
    kilns: nameAll(
      good.map((row) => row.kiln),
      kilns,
      options.kilns,
    ),
    rowsWithoutKiln: good.filter((row) => row.kiln === null).length,
    known: { bodies: named(bodies), coatings: named(coatings), kilns: named(kilns) },
  };
}

const named = (entries: readonly (Known & Merged)[]): Known[] =>
  entries.flatMap(({ id, name, mergedInto }) => (mergedInto === null ? [{ id, name }] : []));

/** A code that the studio has given out belongs to a piece already recorded. */
async function refuseKnownPieces(src: Source, rows: readonly ImportRow[]): Promise<void> {
  const codes = rows.flatMap((row) => (row.code === null ? [] : [row.code]));
  const taken = new Set(
    codes.length === 0 ? [] : (await listPieces(src, { codes })).map((piece) => piece.code),
  );
  for (const row of rows) {
    if (row.code === null) continue;
    if (taken.has(row.code)) row.errors.push(`Piece ${row.code} is on record already.`);
    else
      row.warnings.push(
        `${row.code} was not given out here; the piece gets a new code and keeps this as its mark.`,
      );
  }
}

function openQuestions(plan: ImportPlan, options: ImportOptions): string[] {
  const open: string[] = [];
  const ask = (what: string, namings: readonly Naming[]): void => {
    const missing = namings.filter((one) => one.id === null);
    if (missing.length > 0)
      open.push(
        `Say which ${what} ${missing.map((one) => `“${one.name}”`).join(', ')} ${missing.length === 1 ? 'is' : 'are'}.`,
      );
  };
  ask('body', plan.bodies);
  ask('coating', plan.coatings);
  ask('kiln', plan.kilns);
  if (plan.rowsWithoutKiln > 0 && options.kilnForRest === null)
    open.push(
      `Say of which kiln ${count(plan.rowsWithoutKiln, 'row')} without one ${plan.rowsWithoutKiln === 1 ? 'is' : 'are'}.`,
    );
  if (plan.counts.refused > 0 && !options.leaveOutRefused)
    open.push(
      `${count(plan.counts.refused, 'row')} cannot be taken: mend ${plan.counts.refused === 1 ? 'it' : 'them'} in the table, or leave ${plan.counts.refused === 1 ? 'it' : 'them'} out.`,
    );
  if (plan.counts.add === 0)
    open.push(
      plan.counts.came + plan.counts.maybe > 0
        ? 'Nothing in it is new: every row that can be taken came in before.'
        : 'No row can be taken.',
    );
  return open;
}
