/** The studio’s control: one stack of which a tile goes into every glaze firing, and how it came out. */
import { middleLab, middleOf, type Lab } from '@/core/colour';
import { SURFACES } from '@/core/signs';
import { stackKey, zonesOf } from '@/core/zones';
import { slipKey } from '@/core/zones';
import type { Row, Source } from './database';
import { loadPieces } from './pieces';
import { coloursOfCells } from './repeats';
import { groupRows } from './rows';

export type Control = { bodyId: string; slips: string; stackKey: string };

export const readControl = async (src: Source): Promise<Control | null> =>
  (await src('studio').where({ id: 1 }).first('control'))?.control ?? null;

export async function sayControl(src: Source, control: Control | null): Promise<void> {
  await src('studio')
    .where({ id: 1 })
    .update({ control: control === null ? null : JSON.stringify(control) });
}

/** What a cell is of, as the control is kept; null where there is no such cell. */
export async function controlOfCell(src: Source, cellId: string): Promise<Control | null> {
  const row: Row | undefined = await src('cell').where({ id: cellId }).first('body_id', 'slips', 'stack_key');
  return row === undefined ? null : { bodyId: row.body_id, slips: row.slips, stackKey: row.stack_key };
}

/** The cones to which the control was fired so far, whether shown or meant. */
export const controlCones = async (src: Source, control: Control): Promise<string[]> =>
  ((await ofCells(src, control).distinct().pluck('cone')) as string[]).map((cone) => cone.replace(/^\?/, ''));

/** The control as it came out of a firing: the middle of its tiles there. */
export type ControlSeen = {
  firingId: string;
  no: number;
  plannedFor: string;
  cone: string;
  atmosphere: string;
  reached: number | null;
  tiles: number;
  lab: Lab | null;
  /** 0 gloss to 3 dry. */
  surface: number | null;
  movementMm: number | null;
};

const ofCells = (src: Source, { bodyId, slips, stackKey }: Control) =>
  src('cell').where({ body_id: bodyId, slips, stack_key: stackKey, refired: false });

const middle = (values: readonly (number | null)[]): number | null => {
  const known = values.filter((value) => value !== null);
  return known.length === 0 ? null : middleOf(known);
};

/** Every glaze firing of a kiln that held the control, in their order. */
export async function controlSeen(src: Source, control: Control, kilnId: string): Promise<ControlSeen[]> {
  const cells: string[] = await ofCells(src, control).pluck('id');
  const [rows, colours] = await Promise.all([
    src('sighting')
      .join('firing', 'firing.id', 'sighting.firing_id')
      .whereIn('sighting.cell_id', cells)
      .where('firing.kiln_id', kilnId)
      .orderBy(['firing.planned_for', 'firing.no'])
      .select(
        'sighting.firing_id',
        'sighting.piece_id',
        'sighting.surface',
        'sighting.movement_mm',
        'firing.no',
        'firing.planned_for',
        'firing.cone_band',
        'firing.atmosphere',
        'firing.reached_ordinal',
      ) as Promise<Row[]>,
    coloursOfCells(src, cells),
  ]);
  return [
    ...groupRows(
      rows,
      (row) => row,
      (row) => row.firing_id,
    ).values(),
  ].map((list) => {
    const [row] = list as [Row];
    const labs = colours.filter(({ firingId }) => firingId === row.firing_id).map(({ lab }) => lab);
    return {
      firingId: row.firing_id,
      no: row.no,
      plannedFor: row.planned_for,
      cone: row.cone_band,
      atmosphere: row.atmosphere,
      reached: row.reached_ordinal,
      tiles: new Set(list.map((one) => one.piece_id)).size,
      lab: labs.length === 0 ? null : middleLab(labs),
      surface: middle(
        list.map((one) =>
          one.surface === null ? null : SURFACES.indexOf(one.surface as (typeof SURFACES)[number]),
        ),
      ),
      movementMm: middle(list.map((one) => one.movement_mm as number | null)),
    };
  });
}

/**
 * Pieces that bear the control somewhere: those in a firing, or those that wait for a glaze firing and are in
 * none.
 */
export async function controlPieces(
  src: Source,
  control: Control,
  where: { firingId: string } | 'waiting',
): Promise<{ id: string; code: string }[]> {
  const query = src('piece').where({ body_id: control.bodyId }).whereNull('binned_at');
  if (where === 'waiting')
    query
      .where({ waiting_for: 'glaze' })
      .whereNotExists(
        src('placement')
          .join('firing', 'firing.id', 'placement.firing_id')
          .whereRaw('placement.piece_id = piece.id')
          .whereNot('firing.status', 'opened')
          .whereNull('firing.called_off_at')
          .select(src.raw('1')),
      );
  else query.whereIn('id', src('placement').where({ firing_id: where.firingId }).select('piece_id'));
  const pieces = await loadPieces(src, { ids: await query.orderBy('created_at').limit(MOST).pluck('id') });
  return pieces
    .filter((piece) => {
      const layers = piece.done.length > 0 ? piece.done : piece.meant;
      return zonesOf(piece.faces, layers, 1).some((zone) => {
        const face = piece.faces.find(({ no }) => no === zone.face)!;
        return stackKey(zone.stack) === control.stackKey && slipKey(face, zone.ground) === control.slips;
      });
    })
    .map(({ id, code }) => ({ id, code }));
}
/** Of so many the coats are looked at. */
const MOST = 300;
