import { factOf, isWeighed } from '@/core/diagnosis';
import {
  addAnswer,
  changeCase,
  createCase,
  listCases,
  sayOfCause,
  type CaseScope,
  type ClinicCase,
} from '@/data/clinic';
import { listBodies } from '@/data/bodies';
import { listBuckets } from '@/data/buckets';
import { listCoatings } from '@/data/coatings';
import { newId } from '@/data/ids';
import { loadPieces } from '@/data/pieces';
import { wasIn } from '@/data/placements';
import { operation, type Act } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { may, maySeePiece, permit } from '../people';
import * as contracts from './contracts';
import { makeTest as makeTestOf } from './make-test';
import { maySeeCase } from './who-may';

async function caseFor({ trx, person }: Act, id: string): Promise<ClinicCase> {
  const [one] = await listCases(trx, { id });
  // What somebody may not see is not told from what is not there.
  if (one === undefined || !maySeeCase(person, one)) throw notFound('There is no such case.');
  return one;
}

async function openCase(act: Act, one: ClinicCase | string): Promise<ClinicCase> {
  const found = typeof one === 'string' ? await caseFor(act, one) : one;
  if (found.closedAt !== null) throw refuse('This case is closed. Open it again to go on.');
  return found;
}

export const open = operation({
  contract: contracts.open,
  permit: permit('see the chart'),
  async run({ trx, person, now }, { id = newId(), complaints, ...of }) {
    const { pieceId, firingId } = of;
    if (pieceId !== null) {
      const [piece] = await loadPieces(trx, { ids: [pieceId] });
      if (piece === undefined || !maySeePiece(person, piece)) throw notFound('There is no such piece.');
      if (firingId !== null && !(await wasIn(trx, pieceId, firingId)))
        throw refuse('The piece was not in that firing.');
    } else if (!may(person, 'see records') && (firingId ?? of.bucketId) !== null)
      throw refuse('A teacher or a technician asks about a firing or a bucket.');
    const bucket = of.bucketId === null ? undefined : (await listBuckets(trx, { id: of.bucketId }))[0];
    if (of.bucketId !== null && bucket === undefined) throw notFound('There is no such bucket.');
    const coating = (await listCoatings(trx)).find(
      ({ id, slug }) => id === of.coatingId || slug === bucket?.coatingSlug,
    );
    if (of.coatingId !== null && coating === undefined) throw notFound('There is no such coating.');
    if (of.bodyId !== null && !(await listBodies(trx)).some(({ id }) => id === of.bodyId))
      throw notFound('There is no such body.');
    const no = await createCase(
      trx,
      { ...of, id, scope: scopeOf(of), coatingId: coating?.id ?? null, complaints },
      person.id,
      now,
    );
    return { id, no };
  },
});

/** On what a case is: what it is of says that; of nothing on record it is taken for the coating. */
function scopeOf(of: Pick<ClinicCase, 'pieceId' | 'firingId' | 'bucketId' | 'bodyId'>): CaseScope {
  if (of.pieceId !== null) return 'piece';
  if (of.firingId !== null) return 'firing';
  if (of.bucketId !== null) return 'bucket';
  return of.bodyId === null ? 'coating' : 'body';
}

export const answer = operation({
  contract: contracts.answer,
  permit: permit('see the chart'),
  async run(act, { caseId, fact, value }) {
    await openCase(act, caseId);
    if (value !== null && !factOf(fact)!.values.some(({ id }) => id === value))
      throw refuse('That is no answer to this question.');
    await addAnswer(act.trx, caseId, { id: newId(), fact, value }, act.person.id, act.now);
  },
});

const MEANWHILE = 'Somebody changed this case meanwhile. Look at it again; what you chose is still here.';

export const name = operation({
  contract: contracts.name,
  permit: permit('see the chart'),
  async run(act, { caseId, revision, complaints }) {
    await openCase(act, caseId);
    if (!(await changeCase(act.trx, caseId, revision, { complaints }))) throw conflict(MEANWHILE);
  },
});

export const close = operation({
  contract: contracts.close,
  permit: permit('see the chart'),
  async run(act, { caseId, revision, turnedOut, note }) {
    await openCase(act, caseId);
    const closed = await changeCase(act.trx, caseId, revision, {
      turnedOut,
      closedBy: act.person.id,
      closedAt: act.now,
      closingNote: note,
    });
    if (!closed) throw conflict(MEANWHILE);
  },
});

export const reopen = operation({
  contract: contracts.reopen,
  permit: permit('see the chart'),
  async run(act, { caseId }) {
    const { revision } = await caseFor(act, caseId);
    const change = { turnedOut: null, closedBy: null, closedAt: null };
    if (!(await changeCase(act.trx, caseId, revision, change))) throw conflict(MEANWHILE);
  },
});

export const disagree = operation({
  contract: contracts.disagree,
  permit: permit('run the studio'),
  async run({ trx, person, now }, said) {
    await sayOfCause(trx, { id: newId(), ...said }, person.id, now);
  },
});

export const makeTest = operation({
  contract: contracts.makeTest,
  permit: permit('see the chart'),
  async run(act, { caseId, ...wanted }) {
    const one = await openCase(act, caseId);
    if (!may(act.person, 'keep records')) {
      if (one.openedBy !== act.person.id)
        throw refuse('Whoever asked, a teacher or a technician makes its tiles.');
      // What has to be weighed is for those who mix; and one set of tiles at a time.
      if (isWeighed(wanted.fact)) throw refuse('Its tiles are weighed out: ask a teacher or a technician.');
      if (one.questionId !== null) throw refuse('Its tiles are made already: write them up first.');
    }
    return makeTestOf(act, one, wanted);
  },
});
