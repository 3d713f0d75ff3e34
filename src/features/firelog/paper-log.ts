/** A log from paper on its way in: when each of its lines was, and what it comes to. */
import { readPaper, remarkKind, type LogKind, type PaperLine } from '@/core/firing';
import { momentsAt, today } from '@/ui/time';

export type Twice = 'first' | 'second';
export type PaperLog = {
  readings: [number, number][];
  remarks: { at: number; kind: LogKind; text: string }[];
  wrong: { line: number; text: string; why: string }[];
  /** Lines whose hour the clocks repeated, with nothing said yet of which of them is meant. */
  twice: number;
};

const DAY = 86_400_000;
const pad = (value: number): string => String(value).padStart(2, '0');

/**
 * Reads a typed or pasted log. Times by the clock begin on the day the kiln was lit and go on past
 * midnight; the hour that the clocks leave out is refused, the one they repeat is asked about.
 */
export function paperLog(
  text: string,
  options: { unit: 'C' | 'F'; startedAt: Date; timeZone: string; twice: Twice | null },
): PaperLog {
  const { unit, startedAt, timeZone, twice } = options;
  const paper = readPaper(text, unit);
  const log: PaperLog = { readings: [], remarks: [], wrong: [...paper.wrong], twice: 0 };
  let day = today(timeZone, startedAt);
  let last = startedAt.getTime() - 3 * 3_600_000;
  const next = (date: string): string =>
    new Date(Date.parse(`${date}T00:00:00Z`) + DAY).toISOString().slice(0, 10);
  const atOf = ({ time }: PaperLine): number | string => {
    if (time.kind === 'since') return startedAt.getTime() + time.minutes * 60_000;
    if (time.kind === 'dated') day = time.date;
    const clock = `T${pad(Math.floor(time.minutes / 60))}:${pad(time.minutes % 60)}`;
    let found = momentsAt(day + clock, timeZone);
    // A clock that goes back is the next day's, unless the hour is one that comes twice.
    if (time.kind === 'clock' && found.length > 0 && found.every((at) => at < last)) {
      day = next(day);
      found = momentsAt(day + clock, timeZone);
    }
    if (found.length === 0) return 'is in the hour that the clocks left out';
    if (found.length === 1) return found[0]!;
    if (twice === null) log.twice++;
    return twice === 'second' ? found.at(-1)! : found[0]!;
  };
  for (const one of paper.lines) {
    const at = atOf(one);
    if (typeof at === 'string') {
      log.wrong.push({ line: one.line, text: text.split(/\r?\n/)[one.line - 1]!.trim(), why: at });
      continue;
    }
    last = Math.max(last, at);
    if (one.celsius !== null) log.readings.push([at, one.celsius]);
    if (one.remark !== '')
      log.remarks.push({ at, kind: remarkKind(one.remark), text: one.remark.slice(0, 500) });
  }
  log.wrong.sort((a, b) => a.line - b.line);
  return log;
}
