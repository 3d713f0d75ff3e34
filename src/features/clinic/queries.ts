import {
  complaintOf,
  sharedComplaints,
  stackParts,
  toldBySurface,
  type Confirmed,
  type Disagreed,
  type SharedComplaint,
  type Told,
} from '@/core/diagnosis';
import { signOf } from '@/core/signs';
import { faultsByFiring } from '@/data/clinic-evidence';
import { answersOf, confirmedCases, saidOfCauses, type ClinicCase } from '@/data/clinic';
import type { Source } from '@/data/database';
import { listFirings } from '@/data/firings';
import { keepRead } from '@/data/kept';
import { listPhotos } from '@/data/photos';
import { picturesOfStack, type ZonePicture } from '@/data/zone-pictures';
import { listQuestions } from '@/data/questions';
import { firingTitle } from '@/core/firing';
import { keptCoatings } from './kept';
import type { Among } from './rates';
import { shownContrasts } from './shown-contrasts';
import { outcomeTold } from './test-outcome';
import { evidenceOf, NO_EVIDENCE, type Evidence } from './evidence';
import { bodyEvidence, coatingEvidence, firingEvidence } from './evidence-wide';

/** What somebody said of a fact. */
export type Said = { fact: string; value: string | null; by: string; at: string };

/** Of a case, what whoever may see it is shown. */
export type ShownCase = Pick<
  ClinicCase,
  'id' | 'no' | 'code' | 'complaints' | 'turnedOut' | 'closedByName' | 'closedAt' | 'closingNote' | 'revision'
>;

export type CaseView = {
  one: ShownCase;
  /** What the records say, with where it was read. */
  told: Told[];
  said: Said[];
  missing: string[];
  pictures: string[];
  /** What the studio's own cases turned out to be, and what it says of causes. */
  confirmed: Confirmed[];
  disagreed: Disagreed[];
  firing: { id: string; title: string } | null;
  /** The body and stack that a test would be made of. */
  place: Evidence['place'];
  /** That the record says otherwise by now than the case does; null where it agrees. */
  corrected: string | null;
  /** Over what the studio’s records are counted; null where they have nothing of it. */
  over: { among: Among; over: string } | null;
  /** The nearest clean pieces of the same coats, with what is otherwise. */
  contrasts: (ZonePicture & { code: string; differs: string[] })[];
  /** The piece itself beside them: its own stack, where its picture is framed. */
  itself: ZonePicture;
  /** The question that it waits for, and which test that is. */
  test: { no: number; tiles: number; seen: number; fact: string | null } | null;
};

/**
 * A case with what the records say of it now.
 * @param records may whoever asks see the pages of firings and the store? Else what is said leads nowhere.
 */
export async function caseView(src: Source, one: ClinicCase, now: Date, records = true): Promise<CaseView> {
  const { pieceId, firingId } = one;
  const [said, evidence, photos, [firing], confirmed, disagreed, [question]] = await Promise.all([
    answersOf(src, one.id),
    readEvidence(src, one, now),
    pieceId === null ? [] : listPhotos(src, { pieceIds: [pieceId] }),
    firingId === null ? [] : listFirings(src, { ids: [firingId] }),
    confirmedCases(src),
    saidOfCauses(src),
    one.questionId === null ? [] : listQuestions(src, { id: one.questionId }),
  ]);
  const stack = evidence.place?.stack ?? null;
  const isIt = (key: string): boolean => stackParts(key).stack === stack;
  const [contrasts, own, outcome] = await Promise.all([
    shownContrasts(src, one, evidence.contrasts, isIt),
    pieceId === null || firingId === null || stack === null
      ? new Map<string, ZonePicture>()
      : picturesOfStack(src, [{ pieceId, firingId }], isIt),
    question === undefined ? [] : outcomeTold(src, one, question, evidence),
  ]);
  return {
    contrasts,
    itself: own.get(`${pieceId}/${firingId}`) ?? { sha: photos[0]?.sha ?? null, cut: null },
    place: evidence.place,
    one: {
      id: one.id,
      no: one.no,
      code: one.code,
      complaints: one.complaints,
      turnedOut: one.turnedOut,
      closedByName: one.closedByName,
      closedAt: one.closedAt,
      closingNote: one.closingNote,
      revision: one.revision,
    },
    over: overOf(one, evidence.place),
    corrected: correctedWords(one, evidence),
    told: [
      ...evidence.told.filter(({ fact }) => !outcome.some((shown) => shown.fact === fact)),
      ...outcome,
    ].map(({ href, ...told }) =>
      href !== undefined && (records || href.startsWith('/pieces/')) ? { ...told, href } : told,
    ),
    said: said.map(({ fact, value, byName, at }) => ({ fact, value, by: byName, at: at.toISOString() })),
    missing: evidence.missing,
    test:
      question === undefined
        ? null
        : { no: question.no, tiles: question.tiles, seen: question.seen, fact: one.testFact },
    confirmed,
    disagreed: disagreed.map(({ cause, off, factor }) => ({ cause, off, factor })),
    pictures: photos.map(({ sha }) => sha),
    firing: firing === undefined ? null : { id: firing.id, title: firingTitle(firing) },
  };
}

/** What was asked about and is not on record of the piece any more, or was never written up there. */
function correctedWords({ complaints, code }: ClinicCase, { signs }: Evidence): string | null {
  if (code === null || signs === null) return null;
  const gone = complaints.flatMap((id) => {
    const one = complaintOf(id);
    // What is on record as no sign of its own, or is told by its surface, cannot be missed there.
    if (one?.sign == null || toldBySurface(id) || signs.includes(one.sign)) return [];
    return [one.name.toLowerCase()];
  });
  if (gone.length === 0) return null;
  const now = signs.map((sign) => signOf(sign)?.name.toLowerCase() ?? sign);
  return `The record of ${code} does not say ${gone.join(' or ')}${now.length === 0 ? '' : `, but ${now.join(' and ')}`}: it may have been corrected. Name it anew below if it is rather that.`;
}

/** What goes with a fault is counted over what holds its coats, over its body, or over the whole studio. */
function overOf(
  { firingId, bodyId, subject, complaints }: ClinicCase,
  place: Evidence['place'],
): CaseView['over'] {
  if (bodyId !== null) return { among: { bodyId }, over: `on ${subject?.name ?? 'this body'}` };
  if (place !== null)
    return {
      among: { slugs: [...new Set(place.stack.split('>'))], stack: place.stack },
      over: complaints.some(toldBySurface) ? 'of this stack' : 'with any of its coats',
    };
  return firingId === null ? null : { among: {}, over: 'in the whole studio' };
}

/** What the records say of what a case is of; of nothing on record, nothing. */
async function readEvidence(src: Source, one: ClinicCase, now: Date): Promise<Evidence> {
  const { pieceId, firingId, bodyId, bucketId } = one;
  const complaint = one.complaints[0] ?? 'off-colour';
  if (pieceId !== null && firingId !== null) return evidenceOf(src, { pieceId, firingId, complaint });
  if (firingId !== null) return firingEvidence(src, { firingId, complaint });
  if (bodyId !== null) return bodyEvidence(src, { bodyId, complaint });
  if (one.coatingId === null) return NO_EVIDENCE;
  const coating = (await keptCoatings(src)).find(({ id }) => id === one.coatingId);
  if (coating === undefined) return NO_EVIDENCE;
  // A bucket is read as it is now, or as it was when the case was closed.
  return coatingEvidence(src, {
    slug: coating.slug,
    complaint,
    bucketId,
    now: one.closedAt ?? now,
  });
}

/** Of every firing: kept until something is written up. */
const keptFaults = keepRead({ most: 1, key: () => '', read: faultsByFiring });

export type Proposal = SharedComplaint & { name: string; complaints: string[] };

/** Complaints that unrelated stacks of a load share, as a case on the firing is proposed. */
export async function proposalsFor(src: Source, firingId: string): Promise<Proposal[]> {
  const all = await keptFaults(src);
  const own = all.find((one) => one.firingId === firingId);
  if (own === undefined) return [];
  return sharedComplaints(own, all).map((one) => ({
    ...one,
    name: signOf(one.sign)?.name ?? one.sign,
    // A colour that is off says not which: the sheet asks.
    complaints: complaintOf(one.sign) === undefined ? [] : [one.sign],
  }));
}
