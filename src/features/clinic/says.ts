/** What a case comes to now, in one line. */
import { likelyWords } from '@/core/diagnosis';
import { listCases } from '@/data/clinic';
import type { Source } from '@/data/database';
import { factsOf, reckoned } from './facts';
import { caseView } from './queries';

/**
 * "Thin and thick: the thin one is clean. The coat is too thick is likely, 78 in 100." Null where there is no
 * such case.
 */
export async function caseSays(src: Source, caseId: string, now: Date): Promise<string | null> {
  const [one] = await listCases(src, { id: caseId });
  if (one === undefined) return null;
  const view = await caseView(src, one, now);
  const known = factsOf(view.told, view.said);
  const { causes } = reckoned(view, one.complaints, known.facts);
  const shown = known.list.find(({ fact }) => fact === one.testFact);
  const [first] = causes;
  const likely =
    first === undefined
      ? ''
      : `${first.name}: ${likelyWords(first.probability)}, ${Math.round(first.probability * 100)} in 100.`;
  return shown === undefined ? likely : `${shown.question} ${shown.words}. ${likely}`;
}
