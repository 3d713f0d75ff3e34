/** What the test of a case showed, from how its tiles were written up. */
import { complaintOf, marked, outcomeOf, stackParts, type TestTile, type Told } from '@/core/diagnosis';
import type { ClinicCase } from '@/data/clinic';
import { tilesSeen } from '@/data/clinic-evidence';
import type { Source } from '@/data/database';
import type { Question } from '@/data/questions';
import type { Evidence } from './evidence';

/** What the tiles of its test showed, where all are written up and their records tell. */
export async function outcomeTold(
  src: Source,
  one: ClinicCase,
  { id, no, tiles, seen }: Question,
  { place }: Evidence,
): Promise<Told[]> {
  if (one.testFact === null || place === null || seen < tiles) return [];
  const complaint = one.complaints[0] ?? 'off-colour';
  const sign = complaintOf(complaint)?.sign ?? complaint;
  const zones = await tilesSeen(src, id);
  const stacks = new Set(zones.map(({ stackKey }) => stackParts(stackKey).stack));
  const byPiece = new Map<string, TestTile>();
  for (const zone of marked(zones, complaint, sign, stacks)) {
    const before = byPiece.get(zone.pieceId);
    const thicker =
      before === undefined || stackParts(zone.stackKey).coats > stackParts(before.stackKey).coats;
    byPiece.set(zone.pieceId, {
      ...zone,
      stackKey: thicker ? zone.stackKey : before.stackKey,
      has: zone.faults.includes(sign) || before?.has === true,
    });
  }
  const told = outcomeOf(one.testFact, [...byPiece.values()], place);
  return told === null
    ? []
    : [{ ...told, words: `question ${no}: ${told.words}`, href: `/tests/questions/${no}` }];
}
