/** What pieces of a list show now: surface, signs, verdict, and the cone of their last glaze firing. */
import { coneWords } from '@/core/firing';
import { stateOf } from '@/core/looks';
import { signOf } from '@/core/signs';
import type { Source } from '@/data/database';
import { listFirings } from '@/data/firings';
import { listObservations } from '@/data/observations';
import { groupRows } from '@/data/rows';

export type SeenColumns = { surface: string; signs: string; cone: string; verdict: string };
export const NOTHING_SEEN: SeenColumns = { surface: '', signs: '', cone: '', verdict: '' };

export async function seenOf(src: Source, pieceIds: readonly string[]): Promise<Map<string, SeenColumns>> {
  const looks = await listObservations(src, { pieceIds, current: true });
  const firings = new Map(
    (await listFirings(src, { ids: [...new Set(looks.map(({ firingId }) => firingId))] })).map((firing) => [
      firing.id,
      firing,
    ]),
  );
  const glaze = looks.filter(({ firingId }) => firings.get(firingId)?.kind !== 'bisque');
  const byPiece = groupRows(
    glaze,
    (one) => one,
    ({ pieceId }) => pieceId,
  );
  return new Map(
    [...byPiece].map(([id, own]) => {
      const state = stateOf(own.map((one) => ({ ...one, by: one.seenBy, seenAt: one.seenAt.toISOString() })));
      const firing = firings.get(own.at(-1)!.firingId);
      return [
        id,
        {
          surface: state?.now.surface ?? '',
          signs: (state?.now.signs ?? [])
            .map(({ sign }) => signOf(sign)?.name.toLowerCase() ?? sign)
            .join(', '),
          cone: firing === undefined ? '' : coneWords({ known: firing.coneKnown, band: firing.coneBand }),
          // The last word that was said stands.
          verdict: own.findLast(({ verdict, zone }) => zone === null && verdict !== null)?.verdict ?? '',
        },
      ];
    }),
  );
}
