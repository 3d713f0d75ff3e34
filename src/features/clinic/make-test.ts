/** From a case to the sheets of its next test, in one act. */
import { complaintOf, causeOf, diagnose, hereOf, testOf } from '@/core/diagnosis';
import { planTiles } from '@/core/designs';
import { coatsOfKey } from '@/core/zones';
import { listBodies } from '@/data/bodies';
import { changeCase, confirmedCases, saidOfCauses, type ClinicCase } from '@/data/clinic';
import { seenInFiring } from '@/data/clinic-evidence';
import { listCoatings } from '@/data/coatings';
import { listFirings } from '@/data/firings';
import { listMaterials } from '@/data/materials';
import { loadPieces } from '@/data/pieces';
import { recipesOf } from '@/data/recipes';
import type { Act } from '@/platform/operation';
import { conflict, refuse } from '@/platform/refusal';
import { questionsOperations } from '../questions/server';
import { factsOf } from './facts';
import { caseView } from './queries';
import { designFor, type TestPlace } from './test-design';

/** What a test of a case is made on: its body and stack as they lie, or as they were written up. */
async function placeOf({ trx }: Act, one: ClinicCase, sign: string): Promise<TestPlace> {
  const [piece] = await loadPieces(trx, { ids: [one.pieceId!] });
  if (piece === undefined) throw refuse('The piece is not there any more.');
  const seen = one.firingId === null ? [] : await seenInFiring(trx, one.firingId);
  const own = seen.filter(({ pieceId }) => pieceId === one.pieceId);
  const zone = own.find(({ faults }) => faults.includes(sign)) ?? own[0];
  const [coatings, bodies, materials] = await Promise.all([
    listCoatings(trx),
    listBodies(trx),
    listMaterials(trx),
  ]);
  const stack = coatsOfKey(zone?.stackKey ?? 'bare').flatMap(
    ({ slug, version }) =>
      coatings.find((coating) => coating.slug === slug)?.versions.find(({ no }) => no === version)?.id ?? [], // prettier-ignore
  );
  const recipes = await recipesOf(trx, stack);
  const body = bodies.find(({ id }) => id === piece.bodyId);
  const other = bodies.find(
    (two) => two.id !== piece.bodyId && !two.archived && two.coneLow === body?.coneLow && two.ironBearing === false, // prettier-ignore
  );
  const named = (name: string): string | null =>
    materials.find((material) => !material.archived && material.name.toLowerCase().includes(name))?.id ?? null; // prettier-ignore
  const layer = piece.done.find(({ coatingVersionId }) => stack.includes(coatingVersionId));
  return {
    bodyId: piece.bodyId,
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
  if (one.pieceId === null)
    throw refuse('A test is made of a piece on record: this case is of none.');
  const test = testOf(fact)!;
  const complaint = complaintOf(one.complaints[0] ?? '');
  const [view, confirmed, said, [firing]] = await Promise.all([
    caseView(trx, one),
    confirmedCases(trx),
    saidOfCauses(trx),
    one.firingId === null ? [] : listFirings(trx, { ids: [one.firingId] }),
  ]);
  const plan = designFor(fact, await placeOf(act, one, complaint?.sign ?? ''));
  if ('why' in plan) throw refuse(plan.why);
  const { causes } = diagnose(
    { findings: one.complaints.map((sign) => ({ sign })), facts: factsOf(view.told, view.said).facts }, // prettier-ignore
    hereOf(confirmed, said),
  );
  // What is expected is said before the tiles are made: whom the outcome would speak for.
  const speaks = causes.filter(({ id }) => causeOf(id)?.tests.some((of) => of.fact === fact)).slice(0, 3); // prettier-ignore
  const tiles = planTiles(plan.design).length;
  const made = await questionsOperations.ask.run(
    act,
    {
      fields: {
        text: `Case ${one.no}, ${complaint?.name.toLowerCase() ?? 'a fault'} on ${one.code}: ${test.name.toLowerCase()}?`,
        varied: test.how,
        held: 'Everything else as on the piece.',
        expected: speaks.length === 0 ? '' : `If so: ${speaks.map(({ name }) => name.toLowerCase()).join(', or ')}.`, // prettier-ignore
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
  if (!(await changeCase(trx, one.id, revision, { questionId: made.id })))
    throw conflict('Somebody changed this case meanwhile. Look at it again; no tile was made.');
  return { no: made.no, tiles };
}
