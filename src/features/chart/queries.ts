import {
  boardCells,
  boardChoices,
  cellOnBoard,
  cellsAt,
  pairAnywhere,
  type BoardChoice,
  type BoardOf,
  type Cell,
  type Elsewhere,
} from '@/data/board';
import { piecesOfCells, type CellPiece } from '@/data/cell-pieces';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { listPhotos } from '@/data/photos';
import { facesOf, layersOf } from '@/data/layers';
import {
  describeRegion,
  describeZone,
  faceWords,
  nameIn,
  zonesBearing,
  type Face,
  type Zone,
} from '@/core/zones';
import { boardOf, sortCones, type Board } from './board';
import { listBodies, type Body } from '@/data/bodies';
import { entryAt } from '@/data/entries';
import { coatNames, listCoatings, type Coating } from '@/data/coatings';
import { cautionsOf, coatsOn } from '@/data/cautions';
import { firedCautions } from '@/core/chemistry';

/** What the address of the chart says. Everything may be missing. */
export type ChartView = {
  body?: string;
  cone?: string;
  atmosphere?: string;
  ground?: string;
  /** 'no' leaves out what was seen after a refire. */
  refires?: string;
  /** The pair that is open, "base/over": without a body it opens where it is best known. */
  at?: string;
};

export type Chosen = { body: Body; cone: string; atmosphere: string; slips: string };

export type ChartData = {
  bodies: Body[];
  coatings: Coating[];
  choices: BoardChoice[];
  chosen: Chosen | null;
  cones: string[];
  atmospheres: string[];
  grounds: string[];
  board: Board | null;
  refires: boolean;
};

/** The choice with the most cells among those that agree with what was asked for so far. */
function fullest(choices: readonly BoardChoice[]): BoardChoice | undefined {
  return [...choices].sort((a, b) => b.cells - a.cells)[0];
}

/** The board for a view; what the view leaves open is filled with what the studio knows most of. */
export async function chartData(src: Source, view: ChartView): Promise<ChartData> {
  if (view.body === undefined && view.at !== undefined) {
    const [base = '', over = ''] = view.at.split('/');
    const [best] = await pairAnywhere(src, base, over === '' ? null : over);
    if (best !== undefined)
      return chartData(src, {
        ...view,
        body: best.body,
        cone: best.cone,
        atmosphere: best.atmosphere,
        ground: best.slips,
      });
  }
  const { body: slug, cone, atmosphere, ground: slips } = view;
  // A view that leaves nothing open is read at once, beside what there is to choose from.
  const whole =
    slug !== undefined && cone !== undefined && atmosphere !== undefined && slips !== undefined;
  const [bodies, coatings, choices, found] = await Promise.all([
    listBodies(src),
    listCoatings(src),
    boardChoices(src),
    whole ? boardCells(src, { body: slug, cone, atmosphere, slips }) : null,
  ]);
  const named = slug === undefined ? undefined : entryAt(bodies, slug);
  // An address of a body that was a double shows the body it is.
  if (named !== undefined && named.slug !== slug)
    return chartData(src, { ...view, body: named.slug });
  const slugs = new Map(bodies.map((body) => [body.id, body.slug]));
  const asked = (choice: BoardChoice): boolean[] => [
    view.body === undefined || slugs.get(choice.bodyId) === view.body,
    view.cone === undefined || choice.cone === view.cone,
    view.atmosphere === undefined || choice.atmosphere === view.atmosphere,
    view.ground === undefined || choice.slips === view.ground,
  ];
  const best =
    fullest(choices.filter((choice) => asked(choice).every(Boolean))) ??
    fullest(choices.filter((choice) => asked(choice)[0])) ??
    (view.body === undefined ? fullest(choices) : undefined);
  const body =
    bodies.find((one) =>
      view.body === undefined ? one.id === best?.bodyId : one.slug === view.body,
    ) ?? bodies[0];
  if (body === undefined) {
    return {
      bodies,
      coatings,
      choices,
      chosen: null,
      cones: [],
      atmospheres: [],
      grounds: [],
      board: null,
      refires: true,
    };
  }
  const ofBody = choices.filter((choice) => choice.bodyId === body.id);
  const chosen: Chosen = {
    body,
    cone: view.cone ?? best?.cone ?? body.coneHigh ?? 'unknown',
    atmosphere: view.atmosphere ?? best?.atmosphere ?? 'oxidation',
    slips: view.ground ?? best?.slips ?? '',
  };
  const cells = found ?? (await boardCells(src, { ...chosen, body: body.slug }));
  const same = (choice: BoardChoice): boolean =>
    choice.cone === chosen.cone && choice.atmosphere === chosen.atmosphere;
  return {
    bodies,
    coatings,
    choices,
    chosen,
    cones: sortCones([...ofBody.map((choice) => choice.cone), chosen.cone]),
    atmospheres: [
      ...new Set([...ofBody.map((choice) => choice.atmosphere), chosen.atmosphere]),
    ].sort(),
    grounds: [
      ...new Set([...ofBody.filter(same).map((choice) => choice.slips), chosen.slips]),
    ].sort(),
    board: boardOf(
      cells.filter((cell) => !cell.refired || view.refires !== 'no'),
      coatings,
      chosen.cone,
    ),
    refires: view.refires !== 'no',
  };
}

/** The one board that a kept view shows; what it leaves open is filled with what the studio knows most of. */
export async function boardOfView(src: Source, view: string): Promise<BoardOf> {
  const { chosen } = await chartData(src, Object.fromEntries(new URLSearchParams(view)));
  if (chosen === null) return { body: '', cone: '', atmosphere: '', slips: '' };
  return { ...chosen, body: chosen.body.slug };
}

/** What may be seen of a firing through a share link: no notes. */
type ZoomFiring = Pick<
  Firing,
  'kilnName' | 'no' | 'plannedFor' | 'targetCone' | 'reachedOrdinal' | 'reachedBound' | 'byLog'
>;

export type ZoomPiece = Omit<CellPiece, 'ownerId' | 'shown'> & {
  /** May whoever looks open its page? */
  opens: boolean;
  /** Which part of the piece is the cell: "light slip, upper third". */
  where: string[];
  /** What lies there, with how much of it. */
  what: string;
  /** What else its picture shows. */
  besides: string[];
  photos: { sha: string }[];
  firing: ZoomFiring | null;
};
export type Zoom = {
  cells: Cell[];
  pieces: ZoomPiece[];
  /** What to beware of in its coats. */
  cautions: string[];
  /** On which other boards it was seen, best known first. */
  elsewhere: Elsewhere[];
};

/** Which cells are asked for: one pair on a board, or one cell by its id. */
export type ZoomOf = { base: string; over: string | null } | { cell: string };

/** Everything behind one position of the board: its ways, their pieces, layers, firings and pictures. */
export async function zoomData(
  src: Source,
  board: BoardOf,
  of: ZoomOf,
  opens: (piece: Pick<CellPiece, 'ownerId' | 'shown'>) => boolean = () => false,
): Promise<Zoom> {
  const [anywhere, cells] = await Promise.all([
    'cell' in of ? [] : pairAnywhere(src, of.base, of.over),
    'cell' in of ? cellOnBoard(src, board, of.cell) : cellsAt(src, board, of.base, of.over),
  ]);
  const elsewhere = anywhere.filter(
    (one) =>
      one.body !== board.body ||
      one.cone !== board.cone ||
      one.atmosphere !== board.atmosphere ||
      one.slips !== board.slips,
  );
  if (cells.length === 0) return { cells: [], pieces: [], cautions: [], elsewhere };
  const seen = await piecesOfCells(
    src,
    cells.map(({ id }) => id),
  );
  const ids = [...new Set(seen.map((one) => one.pieceId))];
  const [faces, layers, photos, firings, coatings, bodies] = await Promise.all([
    facesOf(src, ids),
    layersOf(src, ids, ['done']),
    listPhotos(src, { pieceIds: ids }),
    listFirings(src, { ids: [...new Set(seen.map((one) => one.firingId))] }),
    listCoatings(src),
    listBodies(src),
  ]);
  const byCell = new Map(cells.map((cell) => [cell.id, cell]));
  const names = {
    coat: nameIn(coatNames(coatings)),
    body: bodies.find(({ slug }) => slug === board.body)?.name ?? null,
  };
  const byFiring = new Map(
    firings.map(
      ({ id, kilnName, no, plannedFor, targetCone, reachedOrdinal, reachedBound, byLog }) => [
        id,
        { kilnName, no, plannedFor, targetCone, reachedOrdinal, reachedBound, byLog },
      ],
    ),
  );
  const pictures = new Map<string, { sha: string }[]>();
  for (const { pieceId, firingId, sha } of photos) {
    const at = `${pieceId}/${firingId}`;
    pictures.set(at, [...(pictures.get(at) ?? []), { sha }]);
  }
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
    elsewhere,
    cells,
    pieces: seen.map(({ ownerId, shown, ...one }) => ({
      ...one,
      opens: opens({ ownerId, shown }),
      ...whereabouts(faces.get(one.pieceId) ?? [], bearing(one), names),
      photos: pictures.get(`${one.pieceId}/${one.firingId}`) ?? [],
      firing: byFiring.get(one.firingId) ?? null,
    })),
  };
}

/** Which part of a piece is a cell, what lies there, and what else is to be seen on it. */
function whereabouts(
  faces: readonly Face[],
  { here, others }: ReturnType<typeof zonesBearing>,
  names: Parameters<typeof describeZone>[2],
): Pick<ZoomPiece, 'where' | 'what' | 'besides'> {
  const faceOf = (zone: Zone): Face => faces.find(({ no }) => no === zone.face)!;
  const side = (zone: Zone): string =>
    faces.length > 1 ? `${faceWords(faceOf(zone), names.coat)}, ` : '';
  const what = (zone: Zone): string => describeZone(zone, faceOf(zone), names, { amounts: true });
  return {
    where: here.map((zone) => `${side(zone)}${describeRegion(zone)}`).reverse(),
    what: here[0] === undefined ? '' : what(here[0]),
    besides: [...new Set(others.map((zone) => describeZone(zone, faceOf(zone), names)))].reverse(),
  };
}
