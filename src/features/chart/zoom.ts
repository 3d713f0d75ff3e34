/** The zoom into one position of the board. */
import type { PieceColour, Repeats } from '@/core/colour';
import { firedCautions } from '@/core/chemistry';
import type { Cut } from '@/core/frame';
import { describeZone, whereOnPiece, nameIn, zonesBearing, type Face, type Zone } from '@/core/zones';
import {
  cellOnBoard,
  cellsAt,
  pairAnywhere,
  placeChanged,
  type BoardOf,
  type Cell,
  type Elsewhere,
} from '@/data/board';
import { cautionsOf, coatsOn } from '@/data/cautions';
import { piecesOfCells, type CellPiece } from '@/data/cell-pieces';
import { coatNames } from '@/data/coatings';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { keepRead } from '@/data/kept';
import { facesOf, layersOf } from '@/data/layers';
import { coloursOfCells, NO_REPEATS, readRepeats } from '@/data/repeats';
import { picturesOfCells } from '@/data/zone-pictures';
import { keptBodies, keptCoatings } from './lists';

/** What may be seen of a firing through a share link: no notes. */
type ZoomFiring = Pick<
  Firing,
  'kilnName' | 'no' | 'plannedFor' | 'targetCone' | 'reachedOrdinal' | 'reachedBound' | 'byLog'
>;

type AnyPiece = CellPiece & {
  /** Which part of the piece is the cell: "light slip, upper third". */
  where: string[];
  /** What lies there, with how much of it. */
  what: string;
  /** What else its picture shows. */
  besides: string[];
  photos: { id: string; sha: string; cut: Cut | null }[];
  /** What colour it has there, where a grey in its picture told it. */
  measured: Pick<PieceColour, 'lab' | 'parts'> | null;
  firing: ZoomFiring | null;
};
export type ZoomPiece = Omit<AnyPiece, 'ownerId' | 'shown'> & {
  /** May whoever looks open its page? */
  opens: boolean;
};
/** What is there, whoever looks. */
export type AnyZoom = {
  cells: Cell[];
  pieces: AnyPiece[];
  /** What to beware of in its coats. */
  cautions: string[];
  /** How far this studio’s repeats lie apart in colour. */
  repeats: Repeats;
};
export type Zoom = Omit<AnyZoom, 'pieces'> & {
  pieces: ZoomPiece[];
  /** On which other boards it was seen, best known first. */
  elsewhere: Elsewhere[];
};

/** Which cells are asked for: one pair on a board, or one cell by its id. */
export type ZoomOf = { base: string; over: string | null } | { cell: string };

/**
 * Everything behind one position of the board: its ways, their pieces, layers, firings and pictures. Kept
 * for all who look: not to be changed by who gets it.
 */
export const zoomHere = keepRead({
  most: 400,
  key: (board: BoardOf, of: ZoomOf) => JSON.stringify([board, of]),
  read: readZoom,
  marked: {
    tables: ['cell', 'sighting'],
    mark: placeChanged,
  },
});

const anywhere = keepRead({
  most: 400,
  key: (base: string, over: string | null) => JSON.stringify([base, over]),
  read: pairAnywhere,
});

/** On which other boards a pair was seen, either way round, the best known first. */
export async function elsewhereThan(src: Source, board: BoardOf, of: ZoomOf): Promise<Elsewhere[]> {
  if ('cell' in of) return [];
  return (await anywhere(src, of.base, of.over)).filter(
    (one) =>
      one.body !== board.body ||
      one.cone !== board.cone ||
      one.atmosphere !== board.atmosphere ||
      one.slips !== board.slips,
  );
}

/**
 * Which pieces' pages somebody may open; null through a share link, which shows a board and opens nothing.
 */
export type Eyes = ((piece: Pick<CellPiece, 'ownerId' | 'shown'>) => boolean) | null;

/** Of what is there, what somebody may see. */
export function zoomFor(zoom: AnyZoom, eyes: Eyes): Omit<Zoom, 'elsewhere'> {
  // Of ware that its owner does not show, only what stands for the cell.
  const standing = new Set(zoom.cells.map(({ photo }) => photo));
  return {
    ...zoom,
    pieces: zoom.pieces.map(({ ownerId, shown, photos, ...piece }) => {
      const opens = eyes?.({ ownerId, shown }) ?? false;
      const all = opens || eyes === null;
      return {
        ...piece,
        opens,
        photos: all ? photos : photos.filter(({ sha }) => standing.has(sha)),
      };
    }),
  };
}

/** The same, not kept. */
export async function readZoom(src: Source, board: BoardOf, of: ZoomOf): Promise<AnyZoom> {
  const cells = await ('cell' in of
    ? cellOnBoard(src, board, of.cell)
    : cellsAt(src, board, of.base, of.over));
  if (cells.length === 0) return { cells: [], pieces: [], cautions: [], repeats: NO_REPEATS };
  const cellIds = cells.map(({ id }) => id);
  const seen = await piecesOfCells(src, cellIds);
  const ids = [...new Set(seen.map((one) => one.pieceId))];
  const [faces, layers, pictures, colours, repeats, firings, coatings, bodies] = await Promise.all([
    facesOf(src, ids),
    layersOf(src, ids, ['done']),
    picturesOfCells(src, cellIds),
    coloursOfCells(src, cellIds),
    readRepeats(src),
    listFirings(src, { ids: [...new Set(seen.map((one) => one.firingId))] }),
    keptCoatings(src),
    keptBodies(src),
  ]);
  const byCell = new Map(cells.map((cell) => [cell.id, cell]));
  const names = {
    coat: nameIn(coatNames(coatings)),
    body: bodies.find(({ slug }) => slug === board.body)?.name ?? null,
  };
  const byFiring = new Map(
    firings.map(({ id, kilnName, no, plannedFor, targetCone, reachedOrdinal, reachedBound, byLog }) => [
      id,
      { kilnName, no, plannedFor, targetCone, reachedOrdinal, reachedBound, byLog },
    ]),
  );
  const at = (of: { cellId: string; pieceId: string; firingId: string }): string =>
    `${of.cellId}/${of.pieceId}/${of.firingId}`;
  const measured = new Map(colours.map((one) => [at(one), { lab: one.lab, parts: one.parts }]));
  // Tiles of one lot bear the same: what is where on them is worked out once.
  const borne = new Map<string, ReturnType<typeof zonesBearing>>();
  const bearing = ({
    pieceId,
    cellId,
    generation,
  }: Pick<CellPiece, 'pieceId' | 'cellId' | 'generation'>): ReturnType<typeof zonesBearing> => {
    const of = [faces.get(pieceId) ?? [], layers.get(pieceId) ?? []] as const;
    const key = JSON.stringify([...of, cellId, generation], (name, value: unknown) =>
      name === 'id' || name === 'pieceId' ? undefined : value,
    );
    const zones = borne.get(key) ?? zonesBearing(...of, generation, byCell.get(cellId)!);
    borne.set(key, zones);
    return zones;
  };
  // The coats of the cell itself, not of all that its pieces bear.
  const used = seen.flatMap((one) => {
    const own = faces.get(one.pieceId) ?? [];
    return bearing(one).here.flatMap((zone) =>
      coatsOn({ faces: own.filter(({ no }) => no === zone.face), layers: zone.stack }),
    );
  });
  const cautions = await cautionsOf(src, used);
  return {
    cautions: firedCautions(used.flatMap(cautions)),
    cells,
    repeats,
    pieces: seen.map((one) => ({
      ...one,
      ...whereabouts(faces.get(one.pieceId) ?? [], bearing(one), names),
      photos: pictures.get(at(one)) ?? [],
      measured: measured.get(at(one)) ?? null,
      firing: byFiring.get(one.firingId) ?? null,
    })),
  };
}

/** Which part of a piece is a cell, what lies there, and what else is to be seen on it. */
function whereabouts(
  faces: readonly Face[],
  { here, others }: ReturnType<typeof zonesBearing>,
  names: Parameters<typeof describeZone>[2],
): Pick<AnyPiece, 'where' | 'what' | 'besides'> {
  const faceOf = (zone: Zone): Face => faces.find(({ no }) => no === zone.face)!;
  const what = (zone: Zone): string => describeZone(zone, faceOf(zone), names, { amounts: true });
  return {
    where: here.map((zone) => whereOnPiece(zone, faces, names.coat)).reverse(),
    what: here[0] === undefined ? '' : what(here[0]),
    besides: [...new Set(others.map((zone) => describeZone(zone, faceOf(zone), names)))].reverse(),
  };
}
