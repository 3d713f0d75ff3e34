/** From a case to the sheets of its next test, in one act. */
import { complaintOf, causeOf, testOf } from '@/core/diagnosis';
import { planTiles } from '@/core/designs';
import { listBodies } from '@/data/bodies';
import { changeCase, type ClinicCase } from '@/data/clinic';
import { listCoatings } from '@/data/coatings';
import { listFirings } from '@/data/firings';
import { listMaterials } from '@/data/materials';
import { loadPieces } from '@/data/pieces';
import { recipesOf } from '@/data/recipes';
import type { Act } from '@/platform/operation';
import { conflict, refuse } from '@/platform/refusal';
import { questionsOperations } from '../questions/server';
import { factsOf, reckoned } from './facts';
import { caseView, type CaseView } from './queries';
import { versionsIn } from './evidence';
import { designFor, type TestPlace } from './test-design';

/**
 * What a test of a case is made on: the body and stack that it is read for, put on as they were on the piece.
 */
async function placeFor(
  { trx }: Act,
  one: ClinicCase,
  place: NonNullable<CaseView['place']>,
): Promise<TestPlace> {
  const [[piece], coatings, bodies, materials] = await Promise.all([
    one.pieceId === null ? [] : loadPieces(trx, { ids: [one.pieceId] }),
    listCoatings(trx),
    listBodies(trx),
    listMaterials(trx),
  ]);
  if (one.pieceId !== null && piece === undefined) throw refuse('The piece is not there any more.');
  const stack = versionsIn([place.stackKey], coatings).map(({ id }) => id);
  const recipes = await recipesOf(trx, stack);
  const body = bodies.find(({ id }) => id === place.bodyId);
  const other = bodies.find(
    (two) =>
      two.id !== place.bodyId && !two.archived && two.coneLow === body?.coneLow && two.ironBearing === false,
  );
  const named = (name: string): string | null =>
    materials.find((material) => !material.archived && material.name.toLowerCase().includes(name))?.id ??
    null;
  const layer = piece?.done.find(({ coatingVersionId }) => stack.includes(coatingVersionId));
  return {
    bodyId: place.bodyId,
    otherBodyId: other?.id ?? null,
    stack,
    apply: {
      method: layer?.method ?? 'dip',
      coats: 1,
      weight: layer?.weight ?? 'normal',
      seconds: layer?.seconds ?? null,
      stage: layer?.stage ?? 'bisque',
    },
    recipe: stack.find((id) => recipes.has(id)) ?? null,
    silica: named('silica'),
    kaolin: named('kaolin'),
  };
}

/** Makes the question with its tiles; the case names it from then on. */
export async function makeTest(
  act: Act,
  one: ClinicCase,
  { fact, revision }: { fact: string; revision: number },
): Promise<{ no: number; tiles: number }> {
  const { trx } = act;
  const test = testOf(fact)!;
  const complaint = complaintOf(one.complaints[0] ?? '');
  const [view, [firing]] = await Promise.all([
    caseView(trx, one, act.now),
    one.firingId === null ? [] : listFirings(trx, { ids: [one.firingId] }),
  ]);
  if (view.place === null)
    throw refuse('A test is made of a stack on a body: no record stands behind this case.');
  const plan = designFor(fact, await placeFor(act, one, view.place));
  if ('why' in plan) throw refuse(plan.why);
  const { facts } = factsOf(view.told, view.said);
  const { causes } = reckoned(view, one.complaints, facts);
  // What is expected is said before the tiles are made: whom the outcome would speak for.
  const speaks = causes.filter(({ id }) => causeOf(id)?.tests.some((of) => of.fact === fact)).slice(0, 3);
  const tiles = planTiles(plan.design).length;
  const made = await questionsOperations.ask.run(
    act,
    {
      fields: {
        text: `Case ${one.no}, ${complaint?.name.toLowerCase() ?? 'a fault'} on ${one.code ?? one.subject?.name ?? 'it'}: ${test.name.toLowerCase()}?`,
        varied: test.how,
        held: 'Everything else as on the piece.',
        expected:
          speaks.length === 0 ? '' : `If so: ${speaks.map(({ name }) => name.toLowerCase()).join(', or ')}.`,
        about: complaint?.sign ?? null,
        targetPieceId: null,
      },
      design: plan.design,
      form: 'L tile',
      heightMm: null,
      faces: [{ no: 1, kind: 'bare', slipVersionId: null, surface: null }],
      waitingFor: 'bisque',
      wantedCone: firing?.targetCone ?? null,
      wantedAtmosphere: firing?.atmosphere ?? null,
      sheet: { dryG: 100, cupMl: 100, measureMl: 5, resolutionG: 0.1 },
      shelves: 1,
      seed: one.no,
    },
    undefined,
  );
  if (!(await changeCase(trx, one.id, revision, { questionId: made.id, testFact: fact })))
    throw conflict('Somebody changed this case meanwhile. Look at it again; no tile was made.');
  return { no: made.no, tiles };
}
