import { z } from 'zod';
import type { Row, Source } from '@/data/database';
import { EXPORTED, readTableRows } from '@/data/export';

const nullable = <T extends z.ZodType>(type: T) => z.union([type, z.null()]);
const text = z.string();
const number = z.number();
const moment = z.iso.datetime();
/** A list or an object of a shape of its own; as text in CSV. */
const json = z.json();

/** Columns of each exported table: their type, and their unit where they have one. */
const COLUMNS: Record<string, Record<string, { type: z.ZodType; unit?: string }>> = {
  body: {
    id: { type: text },
    slug: { type: text },
    name: { type: text },
    kind: { type: text },
    cone_low: { type: nullable(text), unit: 'cone' },
    cone_high: { type: nullable(text), unit: 'cone' },
    ground: { type: text },
    iron_bearing: { type: z.boolean() },
    colour: { type: text, unit: 'sRGB' },
    notes: { type: text },
    cautions: { type: text },
    archived_at: { type: nullable(moment), unit: 'UTC' },
  },
  coating: {
    id: { type: text },
    slug: { type: text },
    name: { type: text },
    kind: { type: text },
    cone_low: { type: nullable(text), unit: 'cone' },
    cone_high: { type: nullable(text), unit: 'cone' },
    colour: { type: text, unit: 'sRGB' },
    atmosphere_notes: { type: text },
    what_it_does: { type: text },
    cautions: { type: text },
    archived_at: { type: nullable(moment), unit: 'UTC' },
  },
  coating_version: {
    id: { type: text },
    coating_id: { type: text },
    no: { type: number },
    notes: { type: text },
    recipe_unit: { type: text },
    recipe_notes: { type: text },
    created_at: { type: moment, unit: 'UTC' },
  },
  material: {
    id: { type: text },
    slug: { type: text },
    name: { type: text },
    kind: { type: text },
    analysis: { type: nullable(json), unit: 'mass %' },
    density: { type: nullable(number), unit: 'g/cm3' },
    hazards: { type: json },
    stock_g: { type: nullable(number), unit: 'g' },
    price_per_kg: { type: nullable(number) },
    notes: { type: text },
    archived_at: { type: nullable(moment), unit: 'UTC' },
  },
  recipe_line: {
    coating_version_id: { type: text },
    seq: { type: number },
    material_id: { type: text },
    amount: { type: number, unit: 'percent or parts' },
    addition: { type: z.boolean() },
    supply: { type: text },
  },
  bucket: {
    id: { type: text },
    coating_version_id: { type: text },
    name: { type: text },
    dry_g: { type: nullable(number), unit: 'g' },
    shape: { type: text },
    width_mm: { type: nullable(number), unit: 'mm' },
    depth_mm: { type: nullable(number), unit: 'mm' },
    litres: { type: nullable(number), unit: 'l' },
    advice: { type: json },
    weighed: { type: nullable(json), unit: 'g' },
    mixed_at: { type: moment, unit: 'UTC' },
    emptied_at: { type: nullable(moment), unit: 'UTC' },
  },
  bucket_entry: {
    id: { type: text },
    bucket_id: { type: text },
    kind: { type: text },
    sg: { type: nullable(number) },
    seconds: { type: nullable(number), unit: 's' },
    temperature_c: { type: nullable(number), unit: '°C' },
    litres: { type: nullable(number), unit: 'l' },
    grams: { type: nullable(number), unit: 'g' },
    note: { type: text },
    at: { type: moment, unit: 'UTC' },
  },
  question: {
    id: { type: text },
    no: { type: number },
    text: { type: text },
    varied: { type: text },
    held: { type: text },
    expected: { type: text },
    target_piece_id: { type: nullable(text) },
    design: { type: nullable(json) },
    seed: { type: number },
    sheet: { type: json },
    conclusion: { type: nullable(json) },
    concluded_at: { type: nullable(moment), unit: 'UTC' },
    asked_at: { type: moment, unit: 'UTC' },
    made_at: { type: nullable(moment), unit: 'UTC' },
  },
  question_tile: {
    question_id: { type: text },
    no: { type: number },
    piece_id: { type: text },
    label: { type: text },
    role: { type: text },
    row_no: { type: number },
    column_no: { type: number },
    factors: { type: json },
    mix: { type: nullable(json) },
    shelf: { type: number },
    place: { type: number },
  },
  tile_move: {
    id: { type: text },
    body_id: { type: text },
    form: { type: text },
    faces: { type: text },
    number: { type: number },
    why: { type: text },
    at: { type: moment, unit: 'UTC' },
  },
  body_test: {
    id: { type: text },
    body_id: { type: text },
    kind: { type: text },
    value: { type: nullable(number) },
    cone: { type: nullable(text), unit: 'cone' },
    note: { type: text },
    at: { type: moment, unit: 'UTC' },
  },
  form_card: {
    id: { type: text },
    name: { type: text },
    body_id: { type: nullable(text) },
    clay_g: { type: number, unit: 'g' },
    wet_height_mm: { type: nullable(number), unit: 'mm' },
    wet_width_mm: { type: nullable(number), unit: 'mm' },
    shrinkage: { type: nullable(number), unit: 'fraction' },
    fits: { type: text },
    created_at: { type: moment, unit: 'UTC' },
  },
  kiln: {
    id: { type: text },
    slug: { type: text },
    name: { type: text },
    energy: { type: text },
    control: { type: text },
    volume_l: { type: nullable(number), unit: 'l' },
    shelves: { type: number },
    notes: { type: text },
    archived_at: { type: nullable(moment), unit: 'UTC' },
  },
  lot: {
    id: { type: text },
    kind: { type: text },
    name: { type: text },
    created_at: { type: moment, unit: 'UTC' },
  },
  piece: {
    id: { type: text },
    code: { type: text },
    mark: { type: nullable(text) },
    kind: { type: text },
    body_id: { type: text },
    form: { type: text },
    height_mm: { type: nullable(number), unit: 'mm' },
    lot_id: { type: nullable(text) },
    owner_id: { type: nullable(text) },
    made_on: { type: nullable(text), unit: 'date' },
    notes: { type: text },
    waiting_for: { type: nullable(text) },
    wanted_cone: { type: nullable(text), unit: 'cone' },
    wanted_atmosphere: { type: nullable(text) },
    created_at: { type: moment, unit: 'UTC' },
    binned_at: { type: nullable(moment), unit: 'UTC' },
  },
  face: {
    piece_id: { type: text },
    no: { type: number },
    kind: { type: text },
    slip_version_id: { type: nullable(text) },
  },
  layer: {
    piece_id: { type: text },
    intent: { type: text },
    set_no: { type: number },
    seq: { type: number },
    coating_version_id: { type: text },
    method: { type: text },
    coats: { type: number },
    weight: { type: text },
    thickness_mm: { type: nullable(number), unit: 'mm' },
    seconds: { type: nullable(number), unit: 's' },
    stage: { type: text },
    dried_before: { type: nullable(z.boolean()) },
    face_no: { type: nullable(number) },
    stretch_from: { type: number, unit: 'fraction from foot or centre' },
    stretch_to: { type: number, unit: 'fraction from foot or centre' },
    sector_from: { type: number, unit: 'turns' },
    sector_to: { type: number, unit: 'turns' },
    relief: { type: text },
    generation: { type: number },
    recorded_at: { type: moment, unit: 'UTC' },
    superseded_at: { type: nullable(moment), unit: 'UTC' },
  },
  flag: {
    id: { type: text },
    piece_id: { type: text },
    text: { type: text },
    raised_at: { type: moment, unit: 'UTC' },
    cleared_at: { type: nullable(moment), unit: 'UTC' },
  },
  firing: {
    id: { type: text },
    kiln_id: { type: text },
    no: { type: number },
    kind: { type: text },
    target_cone: { type: nullable(text), unit: 'cone' },
    atmosphere: { type: text },
    planned_for: { type: nullable(text), unit: 'date' },
    status: { type: text },
    notes: { type: text },
    reached_ordinal: { type: nullable(number), unit: 'cones; 01 = 0' },
    cone_band: { type: text, unit: 'cone' },
    started_at: { type: nullable(moment), unit: 'UTC' },
    opened_at: { type: nullable(moment), unit: 'UTC' },
    written_up_at: { type: nullable(moment), unit: 'UTC' },
  },
  firing_event: {
    firing_id: { type: text },
    from_status: { type: nullable(text) },
    to_status: { type: text },
    reason: { type: nullable(text) },
    at: { type: moment, unit: 'UTC' },
  },
  witness_cone: {
    id: { type: text },
    firing_id: { type: text },
    cone: { type: text, unit: 'cone' },
    role: { type: text },
    place: { type: text },
    bend_degrees: { type: nullable(number), unit: '°' },
  },
  placement: {
    id: { type: text },
    firing_id: { type: text },
    piece_id: { type: text },
    shelf: { type: nullable(number) },
    position: { type: text },
    setting: { type: text },
    generation: { type: number },
  },
  observation: {
    id: { type: text },
    piece_id: { type: text },
    firing_id: { type: text },
    zone: { type: nullable(text) },
    seen_at: { type: moment, unit: 'UTC' },
    surface: { type: nullable(text) },
    opacity: { type: nullable(text) },
    colour: { type: nullable(text) },
    movement_mm: { type: nullable(number), unit: 'mm' },
    met: { type: nullable(text) },
    rating: { type: nullable(number), unit: '1 to 5' },
    verdict: { type: nullable(text) },
    note: { type: text },
    supersedes: { type: nullable(text) },
    superseded_at: { type: nullable(moment), unit: 'UTC' },
  },
  observation_sign: {
    observation_id: { type: text },
    sign: { type: text },
    severity: { type: number, unit: '1 to 3' },
    wanted: { type: z.boolean() },
  },
  photo: {
    id: { type: text },
    sha: { type: text },
    width: { type: number, unit: 'px' },
    height: { type: number, unit: 'px' },
    original_name: { type: text },
    piece_id: { type: nullable(text) },
    firing_id: { type: nullable(text) },
    created_at: { type: moment, unit: 'UTC' },
    binned_at: { type: nullable(moment), unit: 'UTC' },
  },
};

/** Everything a studio has recorded, as one document. People's names and passwords stay here. */
export const documentSchema = z.object({
  format: z.literal('jiten-studio'),
  version: z.literal(1),
  exportedAt: moment,
  studio: z.object({ name: text, timeZone: text }),
  ...Object.fromEntries(
    EXPORTED.map((table) => [
      table,
      z.array(
        z.object(
          Object.fromEntries(
            Object.entries(COLUMNS[table]!).map(([column, { type }]) => [column, type]),
          ),
        ),
      ),
    ]),
  ),
});

/** The JSON Schema of the document, made from the same shapes. */
export const documentJsonSchema = (): unknown => z.toJSONSchema(documentSchema);

const BOOLEANS = new Set(['addition', 'iron_bearing', 'dried_before', 'wanted']);

function plainValue(column: string, value: unknown): unknown {
  if (value instanceof Date) return value.toISOString();
  if (BOOLEANS.has(column) && value !== null) return Boolean(value);
  return value;
}

async function exportRows(src: Source, table: string): Promise<Row[]> {
  const columns = Object.keys(COLUMNS[table]!);
  const rows = await readTableRows(src, table, columns);
  return rows.map((row) =>
    Object.fromEntries(columns.map((column) => [column, plainValue(column, row[column])])),
  );
}

export async function exportDocument(
  src: Source,
  studio: { name: string; timeZone: string },
  now: Date,
): Promise<unknown> {
  const tables: Record<string, Row[]> = {};
  for (const table of EXPORTED) tables[table] = await exportRows(src, table);
  return {
    format: 'jiten-studio',
    version: 1,
    exportedAt: now.toISOString(),
    studio: { name: studio.name, timeZone: studio.timeZone },
    ...tables,
  };
}

/** A table as lines for CSV: header, units, rows. A leading formula sign is defused for spreadsheets. */
export async function exportLines(src: Source, table: string): Promise<unknown[][]> {
  const columns = Object.entries(COLUMNS[table]!);
  const rows = await exportRows(src, table);
  const flat = (value: unknown): unknown =>
    typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
  const safe = (value: unknown): unknown =>
    typeof value === 'string' && /^[=+\-@\t]/.test(value) ? `'${value}` : value;
  return [
    columns.map(([column]) => column),
    columns.map(([, { unit }]) => unit ?? ''),
    ...rows.map((row) => columns.map(([column]) => safe(flat(row[column])))),
  ];
}
