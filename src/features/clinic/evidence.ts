/** What the records say around a fault on a piece, as facts with where each was read. */
import { analyse, expansion, type OxideAmounts } from '@/core/chemistry';
import {
  complaintOf,
  contrastsOf,
  NOTHING_KNOWN,
  readLog,
  readRecord,
  type CaseRecord,
  type Contrast,
  type Told,
} from '@/core/diagnosis';
import { airAt } from '@/core/atmosphere';
import { decimated } from '@/core/heatwork';
import { coatsOfKey } from '@/core/zones';
import { listBodies } from '@/data/bodies';
import { faultyOnBody, seenInFiring, seenWithCoats } from '@/data/clinic-evidence';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { keepRead } from '@/data/kept';
import { listObservations } from '@/data/observations';
import { loadPieces } from '@/data/pieces';
import { listPlacements } from '@/data/placements';
import { logOf } from '@/data/readings';
import { recipesOf } from '@/data/recipes';
import { bodyTestsOf } from '@/data/stock';
import { bodyFits, linesOf, recipeMaterials } from '../store/server';

export type Evidence = {
  told: Told[];
  /** What could not be read, and why: it would have helped. */
  missing: string[];
  /** The nearest clean pieces of the same coats. */
  contrasts: Contrast[];
};

const DAY = 86_400_000;
const NO_CONE = 'No cone was read in that firing and its log says none: the heat is not known.';

// What every case reads alike is kept until it changes.
const keptCoatings = keepRead({ most: 1, key: () => '', read: listCoatings });
const keptBodies = keepRead({ most: 1, key: () => '', read: listBodies });
const keptMaterials = keepRead({ most: 1, key: () => '', read: recipeMaterials });
const keptFits = keepRead({ most: 60, key: (bodyId: string) => bodyId, read: bodyFits });
const keptTests = keepRead({ most: 60, key: (bodyId: string) => bodyId, read: bodyTestsOf });
const keptRecipes = keepRead({ most: 200, key: (ids: readonly string[]) => ids.join(), read: recipesOf }); // prettier-ignore

/** A firing's log: of one that is over it does not change any more. */
const keptLog = keepRead({
  most: 40,
  key: (firingId: string, from: Date) => `${firingId}/${from.getTime()}`,
  read: logOf,
});

/** What the log of a firing says, where somebody lit it. */
async function logTold(src: Source, firing: Firing): Promise<Told[]> {
  if (firing.startedAt === null) return [];
  const log = await keptLog(src, firing.id, firing.startedAt);
  const at = firing.openedAt === null ? null : (firing.openedAt.getTime() - firing.startedAt.getTime()) / 1000; // prettier-ignore
  // A reading a second tells no more of this than one in a minute.
  return readLog(decimated(log, 1500), at);
}

/** Of several coats the most of each oxide: whichever holds it brings it. */
function together(all: readonly OxideAmounts[]): OxideAmounts {
  const found: OxideAmounts = {};
  for (const mass of all)
    for (const [oxide, percent] of Object.entries(mass) as [keyof OxideAmounts, number][])
      found[oxide] = Math.max(found[oxide] ?? 0, percent);
  return found;
}

/** The chemistry of coating versions; what has no analysis is named. */
async function chemistryOf(src: Source, versions: readonly { id: string; name: string }[]) {
  const ids = versions.map(({ id }) => id);
  const [recipes, materials] = await Promise.all([keptRecipes(src, ids), keptMaterials(src)]);
  const missing: string[] = [];
  const found = versions.flatMap(({ id, name }) => {
    const recipe = recipes.get(id);
    if (recipe === undefined) {
      missing.push(`${name} has no recipe here: nothing is known of what is in it.`);
      return [];
    }
    const chemistry = analyse(linesOf(recipe, materials));
    if (chemistry === null || chemistry.unknown.share >= 0.1) {
      missing.push(
        `${name}: ${chemistry?.unknown.names.join(', ') || 'its materials'} has no analysis.`,
      );
      return [];
    }
    return [chemistry];
  });
  const names = ids.flatMap((id) => recipes.get(id)?.lines.map(({ name }) => name) ?? []);
  return {
    missing,
    oxides: found.length === 0 ? null : together(found.map(({ mass }) => mass)),
    appen: found.length === 0 ? null : Math.max(...found.map((one) => expansion(one).appen)),
    materials: missing.some((one) => one.includes('no recipe')) ? [] : names,
  };
}

/** Facts of a case on a piece after a firing. */
export async function evidenceOf(
  src: Source,
  of: { pieceId: string; firingId: string; complaint: string },
): Promise<Evidence> {
  const sign = complaintOf(of.complaint)?.sign ?? of.complaint;
  const [[piece], [firing], load, looks, placements, coatings, bodies] = await Promise.all([
    loadPieces(src, { ids: [of.pieceId] }),
    listFirings(src, { ids: [of.firingId] }),
    seenInFiring(src, of.firingId),
    listObservations(src, { pieceIds: [of.pieceId], current: true }),
    listPlacements(src, { pieceIds: [of.pieceId] }),
    keptCoatings(src),
    keptBodies(src),
  ]);
  if (piece === undefined || firing === undefined) return { told: [], missing: [], contrasts: [] };
  const own = load.filter(({ pieceId }) => pieceId === of.pieceId);
  const stacks = own.some(({ faults }) => faults.includes(sign))
    ? own.filter(({ faults }) => faults.includes(sign))
    : own;
  const slugs = [...new Set(stacks.flatMap(({ stackKey }) => coatsOfKey(stackKey).map(({ slug }) => slug)))]; // prettier-ignore
  const versions =
    [...new Set(stacks.flatMap(({ stackKey }) => coatsOfKey(stackKey).map(({ slug, version }) => `${slug}#${version}`)))] // prettier-ignore
      .flatMap((key) => {
        const [slug, no] = key.split('#');
        const coating = coatings.find((one) => one.slug === slug);
        const version = coating?.versions.find((one) => one.no === Number(no));
        return coating === undefined || version === undefined ? [] : [{ id: version.id, name: coating.name }]; // prettier-ignore
      });
  const [kin, onBody, chemistry, fits, tests, log] = await Promise.all([
    seenWithCoats(src, slugs),
    faultyOnBody(src, { bodyId: piece.bodyId, cone: firing.coneBand, sign }),
    chemistryOf(src, versions),
    keptFits(src, piece.bodyId),
    keptTests(src, piece.bodyId),
    logTold(src, firing),
  ]);
  const body = bodies.find(({ id }) => id === piece.bodyId);
  const placement = placements.find(({ firingId }) => firingId === of.firingId);
  const after = looks.filter((one) => one.firingId === of.firingId).sort((a, b) => a.seenAt.getTime() - b.seenAt.getTime()); // prettier-ignore
  const bears = (one: (typeof looks)[number]): boolean => one.signs.some((seen) => seen.sign === sign); // prettier-ignore
  const first = after.find(bears);
  const before = placements
    .filter(({ generation }) => generation > 0 && generation === (placement?.generation ?? 1) - 1)
    .map(({ firingId }) => looks.filter((one) => one.firingId === firingId))[0];
  const fit = fits[0];
  const value = fit?.value ?? fit?.placed?.at ?? null;
  const percent = tests.find(({ kind, value: one }) => kind === 'absorption' && one !== null)?.value ?? null; // prettier-ignore
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
    cleanAtFirst: first !== undefined && after[0] !== first,
    surface: stacks[0]?.surface ?? null,
    movementMm: stacks[0]?.movementMm ?? null,
    zones: own.map(({ stackKey, faults }) => ({ stackKey, has: faults.includes(sign) })),
    load,
    kin,
    onBody,
    reached: firing.reachedOrdinal ?? firing.byLog?.ordinal ?? null,
    target: firing.targetCone,
    coatings: coatings
      .filter(({ slug }) => slugs.includes(slug))
      .map(({ slug, name, coneLow, coneHigh }) => ({ slug, name, low: coneLow, high: coneHigh })),
    body: {
      low: body?.coneLow ?? null,
      high: body?.coneHigh ?? null,
      ground: body === undefined ? null : body.ironBearing ? 'dark' : body.ground === 'mid' ? 'buff' : body.ground === 'dark' ? 'dark' : 'white', // prettier-ignore
      red: body !== undefined && body.ironBearing && body.kind === 'earthenware',
      porcelain: body?.kind === 'porcelain',
    },
    absorption: percent,
    layers: piece.done.map(({ method, coats, driedBefore, stage, coat }) => ({
      method,
      coats,
      driedBefore,
      stage,
      slip: coat.kind === 'slip' || coat.kind === 'engobe',
    })),
    air: airAt(firing, placement?.shelf ?? null),
    oxides: chemistry.oxides,
    materials: chemistry.materials,
    gap: chemistry.appen === null || value === null ? null : chemistry.appen - value,
  };
  const missing = [...chemistry.missing];
  if (record.reached === null) missing.push(NO_CONE);
  if (value === null && chemistry.appen !== null)
    missing.push(
      `The expansion of ${body?.name ?? 'the body'} is not known here: the fit is not reckoned.`,
    );
  if (percent === null)
    missing.push(`The absorption of ${body?.name ?? 'the body'} was never measured.`);
  const faulty = own.find(({ faults }) => faults.includes(sign));
  const contrasts = faulty === undefined ? [] : contrastsOf(faulty, sign, kin);
  return { told: [...readRecord(record), ...log], missing, contrasts };
}

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
  if (firing === undefined) return { told: [], missing: [], contrasts: [] };
  const faulty = load.filter(({ faults }) => faults.includes(sign));
  const slugs = new Set(
    faulty.flatMap(({ stackKey }) => coatsOfKey(stackKey).map(({ slug }) => slug)),
  );
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
    coatings: coatings
      .filter(({ slug }) => slugs.has(slug))
      .map(({ slug, name, coneLow, coneHigh }) => ({ slug, name, low: coneLow, high: coneHigh })),
    air: firing.atmosphere,
  });
  return {
    told: [...told.filter(({ fact }) => OF_A_FIRING.has(fact)), ...(await logTold(src, firing))],
    missing: reached === null ? [NO_CONE] : [],
    contrasts: [],
  };
}
