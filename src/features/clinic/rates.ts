/** What goes with a fault in the studio's own records, in words. */
import {
  complaintOf,
  complaintsOf,
  factorsOf,
  shows,
  stackParts,
  toldBySurface,
  type Factors,
} from '@/core/diagnosis';
import { signOf } from '@/core/signs';
import { FIRINGS_OWN } from '@/core/standing';
import { listBodies } from '@/data/bodies';
import { comparedSightings, type ComparedCell, type ComparedSighting } from '@/data/clinic-evidence';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';

/** What all of a load shares: counted by firings. */
const OF_FIRINGS: ReadonlySet<string> = new Set([...FIRINGS_OWN, 'cone', 'air']);
/** What stacks differ in themselves. */
const OF_STACKS: ReadonlySet<string> = new Set(['alone or with another coat']);
/** Names of one firing or one lot compare nothing. */
const NAMES = new Set(['firing', 'lot']);

export type Among = {
  slugs?: readonly string[];
  bodyId?: string;
  /** Of what is told by its surface only the same stack counts: others are meant to be as they are. */
  stack?: string;
};

export type Rates = Factors & { name: string };

/** What a cell gives all of its pieces. */
function ofCell(cell: ComparedCell, body: string | undefined): Record<string, string> {
  const { stack } = stackParts(cell.stackKey);
  return {
    body: body ?? 'another body',
    'alone or with another coat': stack.includes('>') ? 'with another' : 'alone',
    ...(cell.cone === 'unknown' ? {} : { cone: cell.cone }),
    ...(cell.atmosphere === 'unknown' ? {} : { air: cell.atmosphere }),
  };
}

/** What differs from one stretch of a piece to another, each in a record of its own. */
function ofStretch(cell: ComparedCell): Record<string, string>[] {
  const { stack, coats, versions } = stackParts(cell.stackKey);
  return [
    { ground: cell.slips === '' ? 'bare' : 'over slip' },
    { coats: coats === 1 ? 'one' : 'two and more' },
    ...(stack.includes('>') ? [] : [{ 'version of the recipe': versions }]),
  ];
}

const ofPiece = (variables: ComparedSighting['variables']): Record<string, string> =>
  Object.fromEntries(Object.entries(variables).filter(([name]) => !NAMES.has(name)));

/**
 * What comes out the same is one object, however often it is made; each is made once of what is handed in.
 */
function shared() {
  const same = new Map<string, Record<string, string>>();
  const one = (fresh: Record<string, string>): Record<string, string> => {
    const text = JSON.stringify(fresh);
    const known = same.get(text) ?? fresh;
    same.set(text, known);
    return known;
  };
  return <K extends object>(make: (key: K) => Record<string, string>[]) => {
    const made = new Map<K, Record<string, string>[]>();
    return (key: K): Record<string, string>[] => {
      let all = made.get(key);
      if (all === undefined) made.set(key, (all = make(key).map(one)));
      return all;
    };
  };
}

/** A number for each piece after each firing. */
function numbered() {
  const numbers = new Map<string, number>();
  return ({ pieceId, firingId }: ComparedSighting): number => {
    const key = pieceId + firingId;
    const known = numbers.get(key) ?? numbers.size;
    numbers.set(key, known);
    return known;
  };
}

/**
 * Circumstances with and without a complaint, over what holds these coats, over a body, or over the whole
 * studio.
 */
export async function readRates(src: Source, complaint: string, among: Among): Promise<Rates | null> {
  const sign = complaintOf(complaint)?.sign ?? null;
  const bySurface = toldBySurface(complaint) && among.stack !== undefined;
  // A surface is no complaint of a stack that is meant so: over more than one stack it says nothing.
  if (sign === null || (complaintsOf(sign).length > 1 && toldBySurface(complaint) && !bySurface)) return null;
  // A sign that stands for several complaints says not which of them it was.
  const sayAs = bySurface || complaintsOf(sign).length === 1 ? complaintOf(complaint) : signOf(sign);
  const [all, bodies] = await Promise.all([comparedSightings(src, among), listBodies(src)]);
  const bodyNames = new Map(bodies.map(({ id, name }) => [id, name]));
  const rows = bySurface ? all.filter(({ cell }) => stackParts(cell.stackKey).stack === among.stack) : all;
  const has = (row: ComparedSighting): boolean =>
    bySurface ? shows(complaint, sign, row) : row.faults.includes(sign);
  const witnessOf = numbered();
  const once = shared();
  const cellOnce = once((cell: ComparedCell) => [
    ofCell(cell, bodyNames.get(cell.bodyId)),
    ...ofStretch(cell),
  ]);
  const pieceOnce = once((variables: ComparedSighting['variables']) => [ofPiece(variables)]);
  const found = factorsOf(
    rows.map((row) => ({
      witness: witnessOf(row),
      stack: stackParts(row.cell.stackKey).stack,
      firingId: row.firingId,
      variables: [...cellOnce(row.cell), ...pieceOnce(row.variables)],
      has: has(row),
    })),
    OF_FIRINGS,
    OF_STACKS,
  );
  return { ...found, name: sayAs?.name ?? complaint };
}

/** The same, kept until something is written that it was made from. */
export const ratesOf = keepRead({
  most: 40,
  key: (complaint: string, among: Among) => `${complaint}/${JSON.stringify(among)}`,
  read: readRates,
});
