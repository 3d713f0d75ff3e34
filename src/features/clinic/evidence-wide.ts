/** What the records say of a whole firing, of everything with a coating, from a bucket, or on a body. */
import {
  complaintOf,
  NOTHING_KNOWN,
  readRecipe,
  readRecord,
  stackParts,
  type CaseRecord,
} from '@/core/diagnosis';
import { faultyOnBody, seenInFiring, seenWithCoats, type Seen } from '@/data/clinic-evidence';
import type { Source } from '@/data/database';
import { listFirings } from '@/data/firings';
import { airTold, oneBucketTold } from './around';
import { chemistryOf } from './chemistry';
import {
  bodyKnown,
  bodyRecord,
  missingOfBody,
  NO_CONE,
  NO_EVIDENCE,
  placeOf,
  rangesOf,
  versionsIn,
  type Evidence,
} from './evidence';
import { keptBodies, keptCoatings, logTold } from './kept';
import { linked } from './links';

/** What a whole firing can answer: its heat, its air, where it was and how far it spread. */
const OF_A_FIRING = new Set(['load', 'heat', 'range', 'air', 'place']);

/** Facts of a case on a firing: of the stacks that share the complaint. */
export async function firingEvidence(
  src: Source,
  of: { firingId: string; complaint: string },
): Promise<Evidence> {
  const sign = complaintOf(of.complaint)?.sign ?? of.complaint;
  const [[firing], load, coatings] = await Promise.all([
    listFirings(src, { ids: [of.firingId] }),
    seenInFiring(src, of.firingId),
    keptCoatings(src),
  ]);
  if (firing === undefined) return NO_EVIDENCE;
  const faulty = load.filter(({ faults }) => faults.includes(sign));
  const slugs = versionsIn(
    faulty.map(({ stackKey }) => stackKey),
    coatings,
  ).map(({ slug }) => slug);
  const shelves = [...new Set(faulty.map(({ shelf }) => shelf))];
  const reached = firing.reachedOrdinal ?? firing.byLog?.ordinal ?? null;
  const told = readRecord({
    ...NOTHING_KNOWN,
    sign,
    firingId: of.firingId,
    cone: firing.coneBand,
    shelf: shelves[0] ?? null,
    load,
    reached,
    target: firing.targetCone,
    coatings: rangesOf(coatings, slugs),
    air: firing.atmosphere,
  });
  const log = await logTold(src, firing);
  const links = { firing: of.firingId, coating: slugs[0] };
  return {
    told: [
      ...linked([...told.filter(({ fact }) => OF_A_FIRING.has(fact)), ...log], links),
      ...(await airTold(src, firing)),
    ],
    missing: reached === null ? [NO_CONE] : [],
    contrasts: [],
    signs: null,
    place: null,
  };
}

/**
 * The stack, body and cone on which a fault is seen most; ties by name, so that the same records tell the
 * same.
 */
function commonest(all: readonly Seen[]): Seen | null {
  const found = new Map<string, { one: Seen; times: number }>();
  for (const one of all) {
    const key = `${stackParts(one.stackKey).stack}/${one.bodyId}/${one.cone}`;
    const before = found.get(key);
    found.set(key, { one, times: (before?.times ?? 0) + 1 });
  }
  return [...found].sort(([a, x], [b, y]) => y.times - x.times || (a < b ? -1 : 1))[0]?.[1].one ?? null;
}

/** What can be said of a coating wherever it is: of its thickness, bodies, stacks, recipe and fit. */
const OF_A_COATING = new Set(['thickness', 'body', 'recipe', 'stack', 'order', 'fit']);
/** What can be said of a body under whatever lies on it. */
const OF_A_BODY = new Set(['body', 'ground', 'red-body', 'porcelain', 'absorption', 'fit']);

type Wide = { complaint: string; told: ReadonlySet<string>; recipes: boolean };

/** Read for where it is seen most; what belongs to one piece or one firing is left out. */
async function seenMost(src: Source, all: readonly Seen[], of: Wide): Promise<Evidence> {
  const sign = complaintOf(of.complaint)?.sign ?? of.complaint;
  const most = commonest(all.filter(({ faults }) => faults.includes(sign)));
  if (most === null)
    return { ...NO_EVIDENCE, missing: ['It is on record as nothing: nobody has written it up yet.'] };
  const [coatings, bodies] = await Promise.all([keptCoatings(src), keptBodies(src)]);
  const versions = versionsIn([most.stackKey], coatings);
  const [kin, onBody, chemistry, known] = await Promise.all([
    seenWithCoats(
      src,
      versions.map(({ slug }) => slug),
    ),
    faultyOnBody(src, { bodyId: most.bodyId, cone: most.cone, sign }),
    chemistryOf(src, versions),
    bodyKnown(src, most.bodyId),
  ]);
  const body = bodies.find(({ id }) => id === most.bodyId);
  const record: CaseRecord = {
    ...NOTHING_KNOWN,
    sign,
    bodyId: most.bodyId,
    cone: most.cone,
    zones: [{ stackKey: most.stackKey, has: true }],
    kin,
    onBody,
    body: bodyRecord(body),
    absorption: known.absorption,
    oxides: chemistry.oxides,
    recipes: chemistry.recipes,
    gap: chemistry.appen === null || known.expansion === null ? null : chemistry.appen - known.expansion,
  };
  const recipeFacts = new Set(of.recipes ? readRecipe(record).map(({ fact }) => fact) : []);
  const told = readRecord(record).filter(({ fact }) => of.told.has(fact) || recipeFacts.has(fact));
  return {
    told: linked(told, { body: body?.slug, coating: versions[0]?.slug }),
    missing: [...chemistry.missing, ...missingOfBody(body?.name ?? 'the body', known, chemistry.appen)],
    contrasts: [],
    signs: null,
    place: placeOf(most.bodyId, most.stackKey),
  };
}

/** Facts of a case on everything with a coating; of one bucket of it also how that was of late. */
export async function coatingEvidence(
  src: Source,
  of: { slug: string; complaint: string; bucketId: string | null; now: Date },
): Promise<Evidence> {
  const all = await seenWithCoats(src, [of.slug]);
  const wide = await seenMost(src, all, { complaint: of.complaint, told: OF_A_COATING, recipes: true });
  const bucket = of.bucketId === null ? [] : await oneBucketTold(src, of.bucketId, of.now);
  return { ...wide, told: [...wide.told, ...bucket] };
}

/** Facts of a case on everything on a body. */
export async function bodyEvidence(
  src: Source,
  of: { bodyId: string; complaint: string },
): Promise<Evidence> {
  const sign = complaintOf(of.complaint)?.sign ?? of.complaint;
  const all = await faultyOnBody(src, { bodyId: of.bodyId, sign });
  return seenMost(src, all, { complaint: of.complaint, told: OF_A_BODY, recipes: false });
}
