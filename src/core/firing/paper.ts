/** A log kept on paper, typed or pasted: a line a reading, with what was done beside it. */
import { fahrenheitToCelsius } from '../units';
import type { LogKind } from './log';

/** When a line says it was: by the clock, by a date and the clock, or so long after lighting. */
export type PaperTime =
  | { kind: 'clock'; minutes: number }
  | { kind: 'dated'; date: string; minutes: number }
  | { kind: 'since'; minutes: number };
export type PaperLine = {
  line: number;
  time: PaperTime;
  celsius: number | null;
  remark: string;
};
export type Paper = { lines: PaperLine[]; wrong: { line: number; text: string; why: string }[] };

const LINE =
  /^(?:(\d{4}-\d{2}-\d{2})[ T])?(\+?)(\d{1,3})[:.h](\d{2})(?![\d.])\s*[,;\t]?\s*(?:(-?\d+(?:[.,]\d+)?)\s*°?\s*([CF])?(?![\w.]))?\s*[,;\t]?\s*(.*)$/i;

/**
 * Reads lines such as "8:30 95 lid propped", "+2:30; 450", "2026-03-05 23:10 1180 °C" or, without a
 * temperature, "14:05 damper in". `unit` is that of figures without one.
 */
export function readPaper(text: string, unit: 'C' | 'F'): Paper {
  const paper: Paper = { lines: [], wrong: [] };
  text.split(/\r?\n/).forEach((raw, i) => {
    const trimmed = raw.trim();
    if (trimmed === '') return;
    const wrong = (why: string): void => {
      paper.wrong.push({ line: i + 1, text: trimmed.slice(0, 80), why });
    };
    const match = LINE.exec(trimmed);
    if (match === null) return wrong('begins with no time such as 8:30 or +2:30');
    const [, date, plus, hours, minutes, figure, own, remark = ''] = match;
    const since = plus === '+';
    if (Number(minutes) > 59 || (!since && Number(hours) > 23)) return wrong('is no time of a day');
    if (figure === undefined && remark === '') return wrong('has neither temperature nor remark');
    const value = figure === undefined ? null : Number(figure.replace(',', '.'));
    const scale = (own?.toUpperCase() as 'C' | 'F' | undefined) ?? unit;
    const celsius =
      value === null ? null : scale === 'F' ? Math.round(fahrenheitToCelsius(value) * 10) / 10 : value;
    if (celsius !== null && (celsius < -30 || celsius > 2500)) return wrong('is no temperature of a kiln');
    const at = Number(hours) * 60 + Number(minutes);
    paper.lines.push({
      line: i + 1,
      time: since
        ? { kind: 'since', minutes: at }
        : date === undefined
          ? { kind: 'clock', minutes: at }
          : { kind: 'dated', date, minutes: at },
      celsius,
      remark: remark.trim(),
    });
  });
  return paper;
}

const KINDS: readonly [RegExp, LogKind][] = [
  [/\b(off|tripped|shut[- ]?off)\b/i, 'shut-off'],
  [/\blid\b|\bdoor\b/i, 'lid'],
  [/\bbungs?\b/i, 'bungs'],
  [/\bdamper\b/i, 'damper'],
  [/\bgas\b|\bkpa\b|\bmbar\b|\bburners?\b/i, 'gas'],
  [/\bswitch|\bmedium\b|\bhigh\b|\blow\b/i, 'switch'],
  [/\bpeep|\bspy\b/i, 'peep'],
  [/\bflame/i, 'flame'],
  [/\bwind\b|\brain|\bweather\b/i, 'weather'],
];

/** Of which kind a remark is, by its words; a note where they say none. */
export const remarkKind = (remark: string): LogKind =>
  KINDS.find(([words]) => words.test(remark))?.[1] ?? 'note';
