import { listBodies, listCoatings, type Body, type Coating } from '@/data/catalogue';
import {
  boardCells,
  boardChoices,
  cellsAt,
  piecesOfCells,
  type BoardChoice,
  type Cell,
  type CellPiece,
} from '@/data/board';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { listPhotos } from '@/data/photos';
import { facesOf, layersOf, type PieceLayer } from '@/data/layers';
import type { Face } from '@/core/zones';
import { layOut, sortCones, type Board } from './board';

/** What the address of the chart says. Everything may be missing. */
export type ChartView = { body?: string; cone?: string; atmosphere?: string; ground?: string };

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
};

/** The choice with the most cells among those that agree with what was asked for so far. */
function fullest(choices: readonly BoardChoice[]): BoardChoice | undefined {
  return [...choices].sort((a, b) => b.cells - a.cells)[0];
}

/** The board for a view; what the view leaves open is filled with what the studio knows most of. */
export async function chartData(src: Source, view: ChartView): Promise<ChartData> {
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
    board: layOut(cells, coatings, chosen.cone),
  };
}

/** What may be seen of a firing through a share link: no notes. */
type ZoomFiring = Pick<
  Firing,
  'kilnName' | 'no' | 'plannedFor' | 'targetCone' | 'reachedOrdinal' | 'reachedBound'
>;

export type ZoomPiece = CellPiece & {
  faces: Face[];
  layers: PieceLayer[];
  photos: { sha: string }[];
  firing: ZoomFiring | null;
};
export type Zoom = { cells: Cell[]; pieces: ZoomPiece[] };

/** Everything behind one position of the board: its ways, their pieces, layers, firings and pictures. */
export async function zoomData(
  src: Source,
  chosen: Chosen,
  base: string,
  over: string | null,
): Promise<Zoom> {
  const cells = await cellsAt(src, { ...chosen, body: chosen.body.slug }, base, over);
  if (cells.length === 0) return { cells: [], pieces: [] };
  const seen = await piecesOfCells(
    src,
    cells.map(({ id }) => id),
  );
  const ids = [...new Set(seen.map((one) => one.pieceId))];
  const [faces, layers, photos, firings] = await Promise.all([
    facesOf(src, ids),
    layersOf(src, ids, ['done']),
    listPhotos(src, { pieceIds: ids }),
    listFirings(src),
  ]);
  const byFiring = new Map(
    firings.map(({ id, kilnName, no, plannedFor, targetCone, reachedOrdinal, reachedBound }) => [
      id,
      { kilnName, no, plannedFor, targetCone, reachedOrdinal, reachedBound },
    ]),
  );
  return {
    cells,
    pieces: seen.map((one) => ({
      ...one,
      faces: faces.get(one.pieceId) ?? [],
      layers: layers.get(one.pieceId) ?? [],
      photos: photos
        .filter((photo) => photo.pieceId === one.pieceId && photo.firingId === one.firingId)
        .map(({ sha }) => ({ sha })),
      firing: byFiring.get(one.firingId) ?? null,
    })),
  };
}
