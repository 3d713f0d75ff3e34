/** What the records say around a fault on a piece, as facts with where each was read. */
import {
  complaintOf,
  contrastsOf,
  marked,
  readRecord,
  hasByPins,
  stackParts,
  type CaseRecord,
  type Contrast,
  type Told,
} from '@/core/diagnosis';
import { airAt } from '@/core/atmosphere';
import { coatsOfKey } from '@/core/zones';
import { faultyOnBody, seenInFiring, seenWithCoats } from '@/data/clinic-evidence';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { reachedAt, type WitnessCone } from '@/core/cones';
import { listObservations } from '@/data/observations';
import { loadPieces } from '@/data/pieces';
import { testsOnPieces } from '@/data/use-tests';
import { toldByTests, weighedAbsorption } from '@/core/usetests';
import { listPlacements } from '@/data/placements';
import type { Body } from '@/data/bodies';
import type { Coating } from '@/data/coatings';
import { pinsOf } from './pins';
import { aroundTold } from './around';
import { chemistryOf } from './chemistry';
import { keptBodies, keptCoatings, keptFits, keptTests, keptWitnesses, logTold } from './kept';
import { linked } from './links';

export type Evidence = {
  told: Told[];
  /** What could not be read, and why: it would have helped. */
  missing: string[];
  /** The nearest clean pieces of the same coats. */
  contrasts: Contrast[];
  /**
   * Signs of the piece as it is on record now that nobody wanted; null where it is of no piece, or not
   * written up.
   */
  signs: string[] | null;
  /** The body and the stack that it is read for; null where it is of no one stack. */
  place: { bodyId: string; stack: string; stackKey: string } | null;
};

export const NO_EVIDENCE: Evidence = {
  told: [],
  missing: [],
  contrasts: [],
  signs: null,
  place: null,
};

const DAY = 86_400_000;
/** What is written within half a day is one look, zone by zone. */
const ANOTHER_LOOK = DAY / 2;
export const NO_CONE = 'No cone was read in that firing and its log says none: the heat is not known.';

/** The versions that lie in stacks, with their names. */
export function versionsIn(
  stackKeys: readonly string[],
  coatings: readonly Coating[],
): { id: string; name: string; slug: string }[] {
  const found = new Map<string, { id: string; name: string; slug: string }>();
  for (const { slug, version } of stackKeys.flatMap(coatsOfKey)) {
    const coating = coatings.find((one) => one.slug === slug);
    const id = coating?.versions.find(({ no }) => no === version)?.id;
    if (coating !== undefined && id !== undefined) found.set(id, { id, name: coating.name, slug });
  }
  return [...found.values()];
}

/** A body as the reading of a record takes it. */
export const bodyRecord = (body: Body | undefined): CaseRecord['body'] => ({
  low: body?.coneLow ?? null,
  high: body?.coneHigh ?? null,
  ground:
    body === undefined
      ? null
      : body.ironBearing
        ? 'dark'
        : body.ground === 'mid'
          ? 'buff'
          : body.ground === 'dark'
            ? 'dark'
            : 'white',
  red: body !== undefined && body.ironBearing && body.kind === 'earthenware',
  porcelain: body?.kind === 'porcelain',
});

/** The ranges of these coatings. */
export const rangesOf = (coatings: readonly Coating[], slugs: readonly string[]): CaseRecord['coatings'] =>
  coatings
    .filter(({ slug }) => slugs.includes(slug))
    .map(({ slug, name, coneLow, coneHigh }) => ({ slug, name, low: coneLow, high: coneHigh }));

/** What is known of a body itself: its absorption and its expansion. */
export async function bodyKnown(
  src: Source,
  bodyId: string,
): Promise<{ absorption: number | null; expansion: number | null }> {
  const [[fit], tests] = await Promise.all([keptFits(src, bodyId), keptTests(src, bodyId)]);
  return {
    expansion: fit?.value ?? fit?.placed?.at ?? null,
    absorption: tests.find(({ kind, value }) => kind === 'absorption' && value !== null)?.value ?? null,
  };
}

/** What would have told of the body, and is not on record. */
export function missingOfBody(
  name: string,
  known: { absorption: number | null; expansion: number | null },
  appen: number | null,
): string[] {
  return [
    ...(known.expansion === null && appen !== null
      ? [`The expansion of ${name} is not known here: the fit is not reckoned.`]
      : []),
    ...(known.absorption === null ? [`The absorption of ${name} was never measured.`] : []),
  ];
}

/** The heat that a place got: by the cones at its shelf, by those of the firing, or by its log. */
function heatOf(
  firing: Firing,
  shelf: number | null,
  cones: readonly WitnessCone[],
): Pick<CaseRecord, 'reached' | 'reachedBy'> {
  const there = shelf === null ? null : reachedAt(cones, shelf, firing.shelves);
  if (there !== null) return { reached: there, reachedBy: 'the cones at its shelf' };
  if (firing.reachedOrdinal !== null)
    return { reached: firing.reachedOrdinal, reachedBy: 'the cone of the firing' };
  return { reached: firing.byLog?.ordinal ?? null, reachedBy: 'the log, by what its kiln taught,' };
}

/** A body with a stack, for a test or its outcome. */
export const placeOf = (bodyId: string, stackKey: string | undefined): Evidence['place'] =>
  stackKey === undefined ? null : { bodyId, stackKey, stack: stackParts(stackKey).stack };

/** Facts of a case on a piece after a firing. */
export async function evidenceOf(
  src: Source,
  of: { pieceId: string; firingId: string; complaint: string },
): Promise<Evidence> {
  const sign = complaintOf(of.complaint)?.sign ?? of.complaint;
  const [[piece], [firing], inLoad, looks, placements, coatings, bodies, tests] = await Promise.all([
    loadPieces(src, { ids: [of.pieceId] }),
    listFirings(src, { ids: [of.firingId] }),
    seenInFiring(src, of.firingId),
    listObservations(src, { pieceIds: [of.pieceId], current: true }),
    listPlacements(src, { pieceIds: [of.pieceId] }),
    keptCoatings(src),
    keptBodies(src),
    testsOnPieces(src, [of.pieceId]),
  ]);
  if (piece === undefined || firing === undefined) return NO_EVIDENCE;
  const mine = inLoad.filter(({ pieceId }) => pieceId === of.pieceId);
  // A surface that is otherwise than meant is the complaint where it was called nothing.
  const same = new Set(mine.map(({ stackKey }) => stackParts(stackKey).stack));
  const load = marked(inLoad, of.complaint, sign, same);
  const own = load.filter(({ pieceId }) => pieceId === of.pieceId);
  const shows = own.filter(({ faults }) => faults.includes(sign));
  const stacks = shows.length > 0 ? shows : own;
  const versions = versionsIn(
    stacks.map(({ stackKey }) => stackKey),
    coatings,
  );
  const slugs = [...new Set(versions.map(({ slug }) => slug))];
  const placement = placements.find(({ firingId }) => firingId === of.firingId);
  const stackNames = new Set(stacks.map(({ stackKey }) => stackParts(stackKey).stack));
  const [alike, onBody, chemistry, known, log, around, cones] = await Promise.all([
    seenWithCoats(src, slugs),
    faultyOnBody(src, { bodyId: piece.bodyId, cone: firing.coneBand, sign }),
    chemistryOf(src, versions),
    bodyKnown(src, piece.bodyId),
    logTold(src, firing),
    aroundTold(src, {
      complaint: of.complaint,
      pieceId: of.pieceId,
      firing,
      placement,
      twins: load.filter(({ stackKey }) => stackNames.has(stackParts(stackKey).stack)),
      sign,
      versionIds: versions.map(({ id }) => id),
    }),
    keptWitnesses(src, of.firingId),
  ]);
  const kin = marked(alike, of.complaint, sign, stackNames);
  const body = bodies.find(({ id }) => id === piece.bodyId);
  const after = looks
    .filter((one) => one.firingId === of.firingId)
    .sort((a, b) => a.seenAt.getTime() - b.seenAt.getTime());
  const bears = (one: (typeof looks)[number]): boolean => one.signs.some((seen) => seen.sign === sign);
  const first = after.find(bears);
  const before = placements
    .filter(({ generation }) => generation > 0 && generation === (placement?.generation ?? 1) - 1)
    .map(({ firingId }) => looks.filter((one) => one.firingId === firingId))[0];
  const pins = await pinsOf(
    src,
    piece,
    placement?.generation ?? 1,
    after
      .filter(({ superseded }) => !superseded)
      .flatMap((one) => one.signs.filter((seen) => seen.sign === sign)),
  );
  const record: CaseRecord = {
    sign,
    pieceId: of.pieceId,
    firingId: of.firingId,
    bodyId: piece.bodyId,
    cone: firing.coneBand,
    shelf: placement?.shelf ?? null,
    generation: placement?.generation ?? 1,
    cleanBefore: before === undefined || before.length === 0 ? null : !before.some(bears),
    seenAfterDays:
      first === undefined || firing.openedAt === null
        ? null
        : Math.max(0, (first.seenAt.getTime() - firing.openedAt.getTime()) / DAY),
    cleanAtFirst:
      first !== undefined &&
      after.some(({ seenAt }) => first.seenAt.getTime() - seenAt.getTime() > ANOTHER_LOOK),
    surface: stacks[0]?.surface ?? null,
    movementMm: stacks[0]?.movementMm ?? null,
    zones: hasByPins(
      own.map(({ stackKey, faults }) => ({ stackKey, has: faults.includes(sign) })),
      pins,
    ),
    pins,
    load,
    kin,
    onBody,
    ...heatOf(firing, placement?.shelf ?? null, cones),
    target: firing.targetCone,
    coatings: rangesOf(coatings, slugs),
    body: bodyRecord(body),
    absorption: weighedAbsorption(tests) ?? known.absorption,
    layers: piece.done.map(({ method, coats, driedBefore, stage, coat }) => ({
      method,
      coats,
      driedBefore,
      stage,
      slip: coat.kind === 'slip' || coat.kind === 'engobe',
    })),
    air: airAt(firing, placement?.shelf ?? null),
    oxides: chemistry.oxides,
    recipes: chemistry.recipes,
    gap: chemistry.appen === null || known.expansion === null ? null : chemistry.appen - known.expansion,
  };
  const missing = [
    ...chemistry.missing,
    ...(record.reached === null ? [NO_CONE] : []),
    ...missingOfBody(body?.name ?? 'the body', known, chemistry.appen),
  ];
  const [faulty] = shows;
  const contrasts = faulty === undefined ? [] : contrastsOf(faulty, sign, kin);
  const links = { piece: piece.code, firing: of.firingId, body: body?.slug, coating: slugs[0] };
  return {
    told: [
      ...linked(readRecord(record), links),
      ...linked(log, links),
      ...around,
      ...linked(toldByTests(tests), { ...links, coating: undefined }),
    ],
    missing,
    contrasts,
    signs: mine.length === 0 ? null : [...new Set(mine.flatMap(({ faults }) => faults))],
    place: placeOf(piece.bodyId, stacks[0]?.stackKey),
  };
}
