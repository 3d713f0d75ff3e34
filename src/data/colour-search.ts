/** Measured zones by their colour. */
import type { Lab, MeasuredZone } from '@/core/colour';
import type { Row, Source } from './database';

export type ColourAsked = {
  lab: Lab;
  /** Only what a grey told, where the colour itself is told by one. */
  byGrey: boolean;
  body: string | null;
  cone: string | null;
  atmosphere: string | null;
  surface: string | null;
  /** Coatings of which all that is on it has to be. */
  among: readonly string[];
  /** An effect that was seen on it, by its sign; '' for any. */
  effect: string;
};

/** So far off, in each coordinate, is looked; further where too little lies within. */
const REACHES = [10, 25, 60, 400];
/** Cells that are enough to choose among. */
const ENOUGH = 12;
/** Zones that are compared exactly. */
const MOST = 600;

/**
 * Zones that lie near a colour, those further off only while there are few: by the index, not yet exactly.
 */
export async function zonesNear(src: Source, asked: ColourAsked): Promise<MeasuredZone[]> {
  let rows: Row[] = [];
  for (const reach of REACHES) {
    rows = await within(src, asked, reach);
    if (new Set(rows.map((row) => row.cell_id)).size >= ENOUGH) break;
  }
  return rows.map((row) => ({
    cellId: row.cell_id,
    pieceId: row.piece_id,
    lab: [row.l, row.a, row.b],
    parts: row.parts,
  }));
}

function within(src: Source, asked: ColourAsked, reach: number): Promise<Row[]> {
  const [l, a, b] = asked.lab;
  const query = src('zone_colour as zone')
    .join('frame', 'frame.id', 'zone.frame_id')
    .join('photo', 'photo.id', 'frame.photo_id')
    .join('sighting', function () {
      this.on('sighting.piece_id', 'photo.piece_id')
        .andOn('sighting.firing_id', 'photo.firing_id')
        .andOn('sighting.zone', 'zone.zone');
    })
    .join('cell', 'cell.id', 'sighting.cell_id')
    .whereIn('zone.by_grey', asked.byGrey ? [true] : [true, false])
    .whereBetween('zone.l', [l - reach, l + reach])
    .whereBetween('zone.a', [a - reach, a + reach])
    .whereBetween('zone.b', [b - reach, b + reach])
    .whereNull('frame.removed_at')
    .whereNull('photo.binned_at')
    .where('cell.depth', '>', 0)
    .orderByRaw('POW(zone.l - ?, 2) + POW(zone.a - ?, 2) + POW(zone.b - ?, 2)', [l, a, b])
    .limit(MOST)
    // From the colours on, as it is written here: another order takes a thousand times as long where the
    // server guesses wrongly.
    .select(
      src.raw('STRAIGHT_JOIN sighting.cell_id'),
      'sighting.piece_id',
      'zone.l',
      'zone.a',
      'zone.b',
      'zone.parts',
    );
  if (asked.body !== null) query.where('cell.body_id', src('body').where({ slug: asked.body }).select('id'));
  if (asked.cone !== null) query.where('cell.cone', asked.cone);
  if (asked.atmosphere !== null) query.where('cell.atmosphere', asked.atmosphere);
  if (asked.surface !== null) query.where('cell.surface', asked.surface);
  if (asked.effect !== '')
    query.whereRaw('JSON_CONTAINS(cell.signs, ?)', [JSON.stringify({ sign: asked.effect, wanted: true })]);
  if (asked.among.length > 0)
    query.whereNotExists(
      src('cell_coat')
        .whereRaw('cell_coat.cell_id = cell.id')
        .whereNotIn('slug', asked.among)
        .select(src.raw('1')),
    );
  return query as unknown as Promise<Row[]>;
}
