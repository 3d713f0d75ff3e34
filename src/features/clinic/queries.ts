import {
  complaintOf,
  sharedComplaints,
  type Confirmed,
  type Contrast,
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
import { listPieces } from '@/data/pieces';
import { listQuestions } from '@/data/questions';
import { firingTitle } from '@/core/firing';
import { evidenceOf, firingEvidence, type Evidence } from './evidence';

/** What somebody said of a fact. */
export type Said = { fact: string; value: string | null; by: string; at: string };

/** Of a case, what whoever may see it is shown. */
export type ShownCase = Pick<
  ClinicCase,
  | 'id'
  | 'no'
  | 'code'
  | 'complaints'
  | 'turnedOut'
  | 'closedByName'
  | 'closedAt'
  | 'closingNote'
  | 'revision'
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
  /** The nearest clean pieces of the same coats, with what is otherwise. */
  contrasts: { code: string; sha: string | null; differs: string[] }[];
  /** The question that it waits for. */
  test: { no: number; tiles: number; seen: number } | null;
};

/** A case with what the records say of it now. */
export async function caseView(src: Source, one: ClinicCase): Promise<CaseView> {
  const { pieceId, firingId } = one;
  const [said, evidence, photos, [firing], confirmed, disagreed, [question]] = await Promise.all([
    answersOf(src, one.id),
    readEvidence(src, one),
    pieceId === null ? [] : listPhotos(src, { pieceIds: [pieceId] }),
    firingId === null ? [] : listFirings(src, { ids: [firingId] }),
    confirmedCases(src),
    saidOfCauses(src),
    one.questionId === null ? [] : listQuestions(src, { id: one.questionId }),
  ]);
  const contrasts = await shownContrasts(src, evidence.contrasts);
  return {
    contrasts,
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
    told: evidence.told,
    said: said.map(({ fact, value, byName, at }) => ({ fact, value, by: byName, at: at.toISOString() })), // prettier-ignore
    missing: evidence.missing,
    test:
      question === undefined
        ? null
        : { no: question.no, tiles: question.tiles, seen: question.seen },
    confirmed,
    disagreed: disagreed.map(({ cause, off, factor }) => ({ cause, off, factor })),
    pictures: photos.map(({ sha }) => sha),
    firing: firing === undefined ? null : { id: firing.id, title: firingTitle(firing) },
  };
}

const OTHERWISE: Readonly<Record<Contrast['differs'][number], string>> = {
  thickness: 'another thickness',
  body: 'another body',
  ground: 'another ground',
  cone: 'another cone',
  firing: 'another firing',
};

/** Contrasts with their pictures; of ware that is not the studio's own nothing is shown. */
async function shownContrasts(
  src: Source,
  contrasts: readonly Contrast[],
): Promise<CaseView['contrasts']> {
  if (contrasts.length === 0) return [];
  const ids = contrasts.map(({ pieceId }) => pieceId);
  const [pieces, photos] = await Promise.all([
    listPieces(src, { ids }),
    listPhotos(src, { pieceIds: ids }),
  ]);
  return contrasts.flatMap(({ pieceId, firingId, differs }) => {
    const piece = pieces.find(({ id }) => id === pieceId);
    if (piece === undefined || (piece.ownerId !== null && !piece.shown)) return [];
    const own = photos.filter((photo) => photo.pieceId === pieceId);
    const photo = own.find((one) => one.firingId === firingId) ?? own[0];
    return [
      {
        code: piece.code,
        sha: photo?.sha ?? null,
        differs: differs.map((name) => OTHERWISE[name]),
      },
    ];
  });
}

/** What the records say of what a case is of: a piece after a firing, a firing, or nothing on record. */
async function readEvidence(src: Source, one: ClinicCase): Promise<Evidence> {
  const { pieceId, firingId } = one;
  const complaint = one.complaints[0] ?? 'off-colour';
  if (firingId === null) return { told: [], missing: [], contrasts: [] };
  return pieceId === null
    ? firingEvidence(src, { firingId, complaint })
    : evidenceOf(src, { pieceId, firingId, complaint });
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
