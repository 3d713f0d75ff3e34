/**
 * What pieces wait for: a summary that follows from firings and looks (core/journey), kept in the
 * transaction that changes one of them, and made again from them at any time.
 */
import type { ConeRange } from '@/core/cones';
import {
  journeyOf,
  journeyWords,
  refireOf,
  waitsFor,
  type Life,
  type Passage,
  type Waiting,
  type WaitsFor,
  type Wish,
} from '@/core/journey';
import type { Row, Source } from './database';
import type { PieceLayer } from './layers';
import { refireIn } from './observations';
import { holdPieces, thatWait, type PieceSummary } from './pieces';
import type { Body } from '@/data/bodies';
import type { Coating } from '@/data/coatings';

/** A piece's life with the firings named, and what is on record that it waits for. */
export type KeptLife = Omit<Life, 'passages'> & {
  pieceId: string;
  waitingFor: WaitsFor | null;
  /** What is on record of the refire it waits for. */
  kept: { cone: string | null; atmosphere: string | null; todo: string | null };
  passages: (Passage & { firingId: string })[];
};

/** The lives of these pieces. */
export async function livesOf(src: Source, pieceIds: readonly string[]): Promise<KeptLife[]> {
  const rows: Row[] = await src('piece')
    .leftJoin('placement', 'placement.piece_id', 'piece.id')
    .leftJoin('firing', 'firing.id', 'placement.firing_id')
    .leftJoin('observation', function () {
      this.on('observation.piece_id', 'piece.id')
        .andOn('observation.firing_id', 'placement.firing_id')
        .andOnNull('observation.zone')
        .andOnNull('observation.superseded_at')
        .andOnNotNull('observation.verdict');
    })
    .whereIn('piece.id', pieceIds)
    // The latest word of a passage comes last, and stands.
    .orderBy('observation.seen_at')
    .select(
      'piece.id',
      'piece.made_for',
      'piece.waiting_for',
      'piece.refire_cone as kept_cone',
      'piece.refire_atmosphere as kept_atmosphere',
      'piece.refire_todo as kept_todo',
      'placement.firing_id',
      'firing.kind',
      'firing.status',
      'firing.opened_at',
      'firing.no',
      'observation.verdict',
      'observation.refire_why',
      'observation.refire_todo',
      'observation.refire_cone',
      'observation.refire_atmosphere',
    );
  const lives = new Map<string, KeptLife>();
  for (const row of rows) {
    const life: KeptLife = lives.get(row.id) ?? {
      pieceId: row.id,
      madeFor: row.made_for,
      waitingFor: row.waiting_for,
      kept: { cone: row.kept_cone, atmosphere: row.kept_atmosphere, todo: row.kept_todo },
      passages: [],
    };
    const told = life.passages.find(({ firingId }) => firingId === row.firing_id);
    const decided = { verdict: row.verdict, refire: refireIn(row) };
    if (told !== undefined) Object.assign(told, decided);
    else if (row.firing_id !== null)
      life.passages.push({
        firingId: row.firing_id,
        kind: row.kind,
        status: row.status,
        // Two openings of one moment are told apart by their number.
        order: (row.opened_at?.getTime() ?? 0) + row.no / 1e6,
        ...decided,
      });
    lives.set(row.id, life);
  }
  return [...lives.values()];
}

const fieldsOf = (wait: WaitsFor | null, refire: KeptLife['kept'] | null): object => ({
  waiting_for: wait,
  refire_cone: refire?.cone ?? null,
  refire_atmosphere: refire?.atmosphere ?? null,
  refire_todo: refire?.todo ?? null,
});

/** Writes what these lives wait for, where the record says otherwise. */
export async function keepJourneys(src: Source, lives: readonly KeptLife[]): Promise<void> {
  const changed = new Map<string, { fields: object; ids: string[] }>();
  for (const life of lives) {
    const [wait, refire] = [waitsFor(life), refireOf(life)];
    const fields = fieldsOf(wait, refire);
    const { waitingFor, kept } = life;
    const text = JSON.stringify(fields);
    if (text === JSON.stringify(fieldsOf(waitingFor, kept))) continue;
    const group = changed.get(text) ?? { fields, ids: [] };
    group.ids.push(life.pieceId);
    changed.set(text, group);
  }
  for (const { fields, ids } of changed.values()) await src('piece').whereIn('id', ids).update(fields);
}

const CHUNK = 500;

/** Brings up to date what these pieces wait for, after their firings or looks have changed. */
export async function settleJourneys(src: Source, pieceIds: readonly string[]): Promise<void> {
  for (let i = 0; i < pieceIds.length; i += CHUNK) {
    const ids = pieceIds.slice(i, i + CHUNK);
    // Held before they are read: whoever writes of them comes after, and sees this.
    await holdPieces(src, ids);
    await keepJourneys(src, await livesOf(src, ids));
  }
}

/** Works out anew what every piece waits for. */
export async function rebuildJourneys(src: Source): Promise<void> {
  await settleJourneys(src, await src('piece').orderBy('id').pluck('id'));
}

export type WaitingGroup = Waiting & {
  atmosphere: string | null;
  /** How many of them were made since a day. */
  lately: number;
};

const range = (low: string | null, high: string | null): ConeRange | null =>
  low === null || high === null ? null : { low, high };

/** How to say what a piece wants of a firing, with what the store knows of bodies and coatings. */
export function wishesWith(
  bodies: readonly Body[],
  coatings: readonly Coating[],
): (
  piece: Pick<PieceSummary, 'bodyId' | 'waitingFor' | 'wantedNext'>,
  layers: readonly Pick<PieceLayer, 'coat'>[],
) => Wish {
  const ofBody = new Map(bodies.map((one) => [one.id, one]));
  const ofCoating = new Map(coatings.map((one) => [one.slug, one]));
  return (piece, layers) => {
    const body = ofBody.get(piece.bodyId);
    return {
      waitsFor: piece.waitingFor,
      ...piece.wantedNext,
      body: {
        name: body?.name ?? '',
        range: range(body?.coneLow ?? null, body?.coneHigh ?? null),
      },
      coatings: [...new Set(layers.map(({ coat }) => coat.slug))].map((slug) => {
        const coating = ofCoating.get(slug);
        return {
          name: coating?.name ?? slug,
          range: range(coating?.coneLow ?? null, coating?.coneHigh ?? null),
        };
      }),
    };
  };
}

/** What `wantedNext` says, for a query that gathers by it. */
const NEXT = (src: Source) =>
  ['cone', 'atmosphere'].map((what) =>
    src.raw(
      `CASE WHEN piece.waiting_for = 'refire' THEN COALESCE(piece.refire_${what}, piece.wanted_${what}) ELSE piece.wanted_${what} END AS wanted_${what}`,
    ),
  );

/**
 * What waits, gathered by what it wants: one statement, and as many rows as there are different
 * wishes. Coatings are only told apart where no cone is wanted, for only there they decide.
 */
export async function waitingGroups(src: Source, since: Date): Promise<WaitingGroup[]> {
  const coats = src('layer')
    .join('coating_version', 'coating_version.id', 'layer.coating_version_id')
    .join('coating', 'coating.id', 'coating_version.coating_id')
    .whereRaw(`layer.piece_id = piece.id AND layer.intent = 'done' AND layer.superseded_at IS NULL`)
    .select(
      src.raw(
        `GROUP_CONCAT(DISTINCT CONCAT_WS('\t', coating.name, IFNULL(coating.cone_low, ''), IFNULL(coating.cone_high, '')) ORDER BY coating.name SEPARATOR '\n')`,
      ),
    );
  const rows: Row[] = await src
    .from(
      thatWait(src)
        .join('body', 'body.id', 'piece.body_id')
        .select(
          'piece.waiting_for',
          ...NEXT(src),
          'piece.created_at',
          'body.name as body_name',
          'body.cone_low',
          'body.cone_high',
          src.raw('CASE WHEN piece.wanted_cone IS NULL THEN (?) ELSE NULL END AS coats', [coats]),
        )
        .as('waits'),
    )
    .groupBy('waiting_for', 'wanted_cone', 'wanted_atmosphere', 'body_name', 'cone_low', 'cone_high', 'coats')
    .select(
      'waiting_for',
      'wanted_cone',
      'wanted_atmosphere',
      'body_name',
      'cone_low',
      'cone_high',
      'coats',
      src.raw('COUNT(*) AS n'),
      src.raw('CAST(SUM(created_at > ?) AS SIGNED) AS lately', [since]),
    );
  return rows.map((row) => ({
    waitsFor: row.waiting_for,
    cone: row.wanted_cone,
    atmosphere: row.wanted_atmosphere,
    body: { name: row.body_name, range: range(row.cone_low, row.cone_high) },
    coatings: ((row.coats as string | null) ?? '')
      .split('\n')
      .filter((line) => line !== '')
      .map((line) => {
        const [name = '', low = '', high = ''] = line.split('\t');
        return { name, range: range(low || null, high || null) };
      }),
    count: Number(row.n),
    lately: Number(row.lately),
  }));
}

/** Where a piece is, in words, from what is kept of it. */
export const stateWords = (
  piece: Pick<PieceSummary, 'waitingFor' | 'wantedNext' | 'refireTodo' | 'binned'>,
  firing: string | undefined,
  times: number,
): string =>
  journeyWords(
    journeyOf({
      binned: piece.binned,
      waitsFor: piece.waitingFor,
      wantedCone: piece.wantedNext.cone,
      refireTodo: piece.refireTodo,
      firing: firing ?? null,
      timesFired: times,
    }),
  );
