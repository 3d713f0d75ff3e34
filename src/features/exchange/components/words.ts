import { count } from '@/core/units';
import type { Imported, ImportOptionsInput } from '../contracts';
import type { ImportPlan } from '../plan';

const said = (parts: readonly (string | false)[], by: string): string =>
  parts.filter((part) => part !== false).join(by);

/** What would become of a file, in one sentence; what there is none of is left out. */
export function planWords(
  { counts }: Pick<ImportPlan, 'counts'>,
  { again = false, leaveOutMaybe = false }: Pick<ImportOptionsInput, 'again' | 'leaveOutMaybe'>,
): string {
  const { add, likely, lost, firings, unknownCone, unknownAtmosphere, doubtful, refused, came, maybe } =
    counts;
  const keys = [`${add - likely - lost} sure`, likely > 0 && `${likely} likely`, lost > 0 && `${lost} lost`];
  return said(
    [
      likely + lost > 0 && `Keys: ${said(keys, ', ')}`,
      add > 0 && count(firings, 'firing'),
      unknownCone > 0 && `cone unknown in ${unknownCone}`,
      unknownAtmosphere > 0 && `atmosphere unknown in ${unknownAtmosphere}`,
      doubtful > 0 && `${doubtful} with a remark`,
      refused > 0 && `${refused} refused`,
      came > 0 && !again && `${came} came in before and ${came === 1 ? 'stays' : 'stay'} out`,
      maybe > 0 &&
        `${maybe} may have come in before${leaveOutMaybe ? ` and ${maybe === 1 ? 'stays' : 'stay'} out` : ''}`,
    ],
    '; ',
  );
}

/** What a file has made besides its pieces. */
export function madeWords({ firings, bodies, coatings, kilns }: Imported): string {
  const fresh = [
    bodies > 0 && count(bodies, 'body', 'bodies'),
    coatings > 0 && count(coatings, 'coating'),
    kilns > 0 && count(kilns, 'kiln'),
  ];
  const named = said(fresh, ', ');
  return `In ${count(firings, 'firing')}${named === '' ? '.' : `; new: ${named}. Give what is new its kind, range and cautions in the store.`}`;
}
