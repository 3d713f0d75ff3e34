/** Ratios against a floor measured in the same run; never a timed test. */
import type { Dumped } from '../src/keeper/backup/dump';

/** Of a size that counts, and of one so small that the everyday tests can see that the bench runs. */
export type Sized = (full: number, tiny: number) => number;
export const FULL: Sized = (full) => full;
export const TINY: Sized = (_, tiny) => tiny;

export type Bench = (server: Dumped, sized: Sized) => Promise<void>;

/** What was measured: milliseconds of ours and of the floor, and what the ratio should be at most. */
export type Line = { what: string; ours: number; floor: number; wanted: number | null };

/** What this run has measured so far, and what it found that is no ratio. */
export const lines: Line[] = [];
export const notes: string[] = [];

export const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1]!;

/** Milliseconds of something that does not wait. */
export const clock = (work: () => unknown): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};

export function report(what: string, wanted: number | null, ours: number, floor: number): void {
  lines.push({ what, ours, floor, wanted });
  console.log(
    `${what}: ${ours.toFixed(1)} ms against ${floor.toFixed(1)} ms, ratio ${(ours / floor).toFixed(2)}${wanted === null ? '' : ` (wanted: at most ${wanted})`}`,
  );
}

export function note(what: string): void {
  notes.push(what);
  console.log(what);
}

/** Runs both in turn, so that whatever else the machine does falls on both alike. */
export async function ratio(
  name: string,
  wanted: number | null,
  rounds: number,
  ours: (i: number) => Promise<unknown>,
  floor: (i: number) => Promise<unknown>,
): Promise<void> {
  const [a, b]: [number[], number[]] = [[], []];
  for (let i = -2; i < rounds; i++) {
    const [x, y] = [await timed(() => ours(i)), await timed(() => floor(i))];
    if (i < 0) continue;
    a.push(x);
    b.push(y);
  }
  report(name, wanted, median(a), median(b));
}

const milliseconds = (ms: number): string => (ms < 10 ? ms.toFixed(1) : ms.toFixed(0));

/** What was measured as Markdown, for docs/SPEED.md. */
export function asTable(commit: string): string {
  const row = (...cells: string[]): string => `| ${cells.join(' | ')} |`;
  return [
    `Measured at commit ${commit} by \`npm run bench -- --write\`, milliseconds.`,
    '',
    row('what', 'ours', 'floor', 'ratio', 'wanted'),
    row('---', '---', '---', '---', '---'),
    ...lines.map(({ what, ours, floor, wanted }) =>
      row(
        what,
        milliseconds(ours),
        milliseconds(floor),
        (ours / floor).toFixed(2),
        wanted === null ? '–' : String(wanted),
      ),
    ),
    '',
    ...notes.map((one) => `- ${one}`),
  ].join('\n');
}
