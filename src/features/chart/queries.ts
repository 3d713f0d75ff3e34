import { boardCells, boardChanged, pairAnywhere, type BoardChoice, type BoardOf } from '@/data/board';
import type { Body } from '@/data/bodies';
import type { Coating } from '@/data/coatings';
import type { Source } from '@/data/database';
import { entryAt } from '@/data/entries';
import { keepRead } from '@/data/kept';
import { boardOf, sortCones, type Board } from './board';
import { keptBodies, keptChoices, keptCoatings } from './lists';
import { viewOf, type ChartView } from './view';

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

/**
 * The board for a view; what the view leaves open is filled with what the studio knows most of. Kept for
 * all who look: not to be changed by who gets it.
 */
export const chartData = keepRead({
  most: 200,
  key: (view: ChartView) => JSON.stringify(view),
  read: readChart,
  marked: {
    tables: ['cell', 'sighting'],
    // What there is to choose from follows from the cells of every board.
    mark: async (src, view) => JSON.stringify(await Promise.all([boardChanged(src, view), keptChoices(src)])),
  },
});

/** The same, not kept. */
export async function readChart(src: Source, view: ChartView): Promise<ChartData> {
  if (view.body === undefined && view.at !== undefined) {
    const [base = '', over = ''] = view.at.split('/');
    const [best] = await pairAnywhere(src, base, over === '' ? null : over);
    if (best !== undefined)
      return readChart(src, {
        ...view,
        body: best.body,
        cone: best.cone,
        atmosphere: best.atmosphere,
        ground: best.slips,
      });
  }
  const { body: slug, cone, atmosphere, ground: slips } = view;
  // A view that leaves nothing open is read at once, beside what there is to choose from.
  const whole = slug !== undefined && cone !== undefined && atmosphere !== undefined && slips !== undefined;
  const [bodies, coatings, choices, found] = await Promise.all([
    keptBodies(src),
    keptCoatings(src),
    keptChoices(src),
    whole ? boardCells(src, { body: slug, cone, atmosphere, slips }) : null,
  ]);
  const named = slug === undefined ? undefined : entryAt(bodies, slug);
  // An address of a body that was a double shows the body it is.
  if (named !== undefined && named.slug !== slug) return readChart(src, { ...view, body: named.slug });
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
    bodies.find((one) => (view.body === undefined ? one.id === best?.bodyId : one.slug === view.body)) ??
    bodies[0];
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
    atmospheres: [...new Set([...ofBody.map((choice) => choice.atmosphere), chosen.atmosphere])].sort(),
    grounds: [...new Set([...ofBody.filter(same).map((choice) => choice.slips), chosen.slips])].sort(),
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
  const { chosen } = await chartData(src, viewOf(new URLSearchParams(view)));
  if (chosen === null) return { body: '', cone: '', atmosphere: '', slips: '' };
  return { ...chosen, body: chosen.body.slug };
}
