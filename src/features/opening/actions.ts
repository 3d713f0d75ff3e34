import { keepCells, refreshCells } from '@/data/cells';
import type { Transaction } from '@/data/database';
import { believedMoment, meansCorrection } from '@/core/looks';
import { decisionOf } from '@/core/journey';
import { loadFired, type Fired, type SeenObservation } from '@/data/fired';
import { findFiring, setWrittenUp } from '@/data/firings';
import {
  appendObservations,
  listObservations,
  reinstate,
  settleDoubt as settleDoubtOf,
  supersede,
  type Observation,
} from '@/data/observations';
import { keepJourneys, livesOf, settleJourneys } from '@/data/journey';
import { holdPieces, listPieces, type HeldPiece } from '@/data/pieces';
import { operation } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { may, mayTouchPiece, permit } from '../people';
import type { z } from 'zod';
import * as contracts from './contracts';

type RecordTaken = z.output<typeof contracts.recordSchema>;
type Entry = RecordTaken['pieces'][number];

/** The standing look that an entry replaces; what it names must still stand. */
function correctedBy(
  entry: Entry,
  zone: string | null,
  standing: readonly SeenObservation[],
  now: { by: string; seenAt: Date },
): { replaced: SeenObservation | null; lost: boolean } {
  const here = standing.filter((look) => look.zone === zone);
  if (entry.corrects === null) return { replaced: null, lost: false };
  if (entry.corrects !== undefined) {
    const replaced = here.find(({ id }) => id === entry.corrects) ?? null;
    return { replaced, lost: replaced === null };
  }
  const own = here.filter((look) => meansCorrection(look, now)).at(-1);
  return { replaced: own ?? null, lost: false };
}

export const record = operation({
  contract: contracts.record,
  permit: permit('write of own pieces'),
  run: async ({ trx, person, now }, { firingId, pieces: entries, zone, seenAt, place, seen }) => {
    const entryOf = new Map(entries.map((entry) => [entry.pieceId, entry]));
    const ids = [...entryOf.keys()];
    const pairs = ids.map((pieceId) => ({ pieceId, firingId }));
    const pieces = await holdPieces(trx, ids);
    if (pieces.length !== ids.length) throw notFound('One of these pieces');
    if (!pieces.every((piece) => mayTouchPiece(person, piece.ownerId)))
      throw refuse('You can write of your own pieces only.');
    // What is said of a zone decides nothing about the piece.
    const [fired, known] = await Promise.all([loadFired(trx, pairs), zone === null ? livesOf(trx, ids) : []]);
    if (fired.length !== ids.length || fired[0]?.firingStatus !== 'opened')
      throw await whyNot(trx, firingId, pieces, fired);

    const at = believedMoment(seenAt === null ? null : new Date(seenAt), fired[0].openedAt, now);
    const replaced = new Map<string, SeenObservation>();
    const lost: string[] = [];
    for (const piece of fired) {
      const entry = entryOf.get(piece.pieceId) as Entry;
      const found = correctedBy(entry, zone, piece.seen, { by: person.id, seenAt: at });
      if (found.lost) lost.push(piece.pieceId);
      if (found.replaced !== null) replaced.set(piece.pieceId, found.replaced);
    }
    if (lost.length > 0) throw await corrected(trx, firingId, lost, zone, pieces);
    if ([...replaced.values()].some((look) => look.by !== person.id) && !may(person, 'keep records'))
      throw refuse('You can correct your own words only. Add a look of your own beside them.');

    const observations = ids.map((pieceId) => ({
      id: (entryOf.get(pieceId) as Entry).observationId,
      pieceId,
      firingId,
      zone,
      seenAt: at,
      place,
      supersedes: replaced.get(pieceId)?.id ?? null,
      ...seen,
    }));
    const written = new Map(observations.map((one) => [one.pieceId, one]));
    const after = fired.map((piece) => ({
      ...piece,
      seen: [
        ...piece.seen.filter((one) => one.id !== replaced.get(piece.pieceId)?.id),
        {
          ...(written.get(piece.pieceId) as Observation),
          seenAt: at.toISOString(),
          by: person.id,
        },
      ],
    }));
    const decided = new Map(after.map((piece) => [piece.pieceId, decisionOf(piece.seen)]));
    const lives = known.map((life) => ({
      ...life,
      passages: life.passages.map((one) =>
        one.firingId === firingId ? { ...one, ...decided.get(life.pieceId) } : one,
      ),
    }));
    const write = async (): Promise<void> => {
      if (replaced.size > 0)
        await supersede(
          trx,
          [...replaced.values()].map(({ id }) => id),
          now,
        );
      await appendObservations(trx, observations, person.id, now);
      await keepJourneys(trx, lives);
    };
    // Side by side: cells follow from what is in hand, not from the rows that are being written.
    await settled([write(), keepCells(trx, fired, after)]);
  },
});

/** What was to be corrected does not stand any more: somebody corrected it, or took it back. */
async function corrected(
  trx: Transaction,
  firingId: string,
  pieceIds: readonly string[],
  zone: string | null,
  pieces: readonly HeldPiece[],
): Promise<Error> {
  const observations = (await listObservations(trx, { firingId, pieceIds, current: true })).filter(
    (one) => one.zone === zone,
  );
  const codes = pieces.filter(({ id }) => pieceIds.includes(id)).map(({ code }) => code);
  return conflict(
    `What you correct on ${codes.join(', ')} was changed meanwhile${observations.length > 0 ? ` by ${observations.at(-1)!.seenByName}` : ''}.`,
    { observations },
  );
}

/** Waits for all, so that none is still under way when the transaction ends; then fails if one did. */
async function settled(work: readonly Promise<void>[]): Promise<void> {
  const failed = (await Promise.allSettled(work)).find((one) => one.status === 'rejected');
  if (failed) throw failed.reason;
}

/** What stands in the way of writing up these pieces of this firing. */
async function whyNot(
  trx: Transaction,
  firingId: string,
  pieces: readonly HeldPiece[],
  fired: readonly Fired[],
): Promise<Error> {
  const firing = await findFiring(trx, firingId);
  if (firing === null) return notFound('This firing');
  const label = `${firing.kilnName} ${firing.no}`;
  if (firing.status !== 'opened')
    return refuse(`${label} is ${firing.status}: open it first, then write it up.`);
  const binned = pieces.find((piece) => piece.binned);
  if (binned) return refuse(`${binned.code} is in the bin. Take it out again first.`);
  const inside = new Set(fired.map((piece) => piece.pieceId));
  return refuse(`${pieces.find((piece) => !inside.has(piece.id))?.code} was not in ${label}.`);
}

/** Takes observations back (undo): what they replaced is believed again. */
export const withdraw = operation({
  contract: contracts.withdraw,
  permit: permit('write of own pieces'),
  run: async ({ trx, person, now }, { observationIds }) => {
    const taken = await listObservations(trx, { ids: observationIds });
    if (taken.length !== observationIds.length) throw notFound('One of these observations');
    const pieces = new Map(
      (await listPieces(trx, { ids: [...new Set(taken.map((one) => one.pieceId))] })).map((piece) => [
        piece.id,
        piece,
      ]),
    );
    for (const one of taken) {
      if (one.superseded) throw conflict('This was corrected meanwhile and cannot be taken back any more.');
      if (!mayTouchPiece(person, pieces.get(one.pieceId)?.ownerId ?? null))
        throw refuse('You can take back what was written of your own pieces only.');
      if (one.seenBy !== person.id && !may(person, 'keep records'))
        throw refuse('Somebody else wrote this. You can take back your own words only.');
    }
    await supersede(trx, observationIds, now);
    await reinstate(
      trx,
      taken.flatMap((one) => one.supersedes ?? []),
    );
    await refreshCells(
      trx,
      taken.map(({ pieceId, firingId }) => ({ pieceId, firingId })),
    );
    await settleJourneys(trx, [...pieces.keys()]);
  },
});

/** Says of a look from before what it was; the earlier one stands beside it, or is corrected by it. */
export const settleDoubt = operation({
  contract: contracts.settleDoubt,
  permit: permit('keep records'),
  run: async ({ trx, now }, { observationId, corrects }) => {
    const [one] = await listObservations(trx, { ids: [observationId] });
    if (one === undefined) throw notFound('This look');
    if (one.doubtedAs === null) throw conflict('Somebody has said already what this look was.');
    await holdPieces(trx, [one.pieceId]);
    await settleDoubtOf(trx, one, corrects, now);
    await refreshCells(trx, [one]);
    await settleJourneys(trx, [one.pieceId]);
  },
});

export const finish = operation({
  contract: contracts.finish,
  permit: permit('keep records'),
  run: async ({ trx, now }, { firingId, done }) => {
    const firing = await findFiring(trx, firingId, true);
    if (firing === null) throw notFound('This firing');
    if (firing.status !== 'opened') throw refuse('Open the kiln first.');
    await setWrittenUp(trx, firingId, done ? now : null);
  },
});
