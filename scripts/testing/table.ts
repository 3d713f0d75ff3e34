/** A run's own table: what each part took, and the slowest files. */
import type { Ran } from './run-part';
import type { Result } from './results';

export type Done = { part: string; ran: Ran; result: Result };

const SLOWEST = 20;

const minutes = (seconds: number): string => (seconds / 60).toFixed(1);
const row = (...cells: (string | number)[]): string => `| ${cells.join(' | ')} |`;

/** In Markdown, so that it can be put into docs/TESTING.md as it is. */
export function table(done: readonly Done[], wall: number, cores: number): string {
  const cpu = done.reduce((sum, { ran }) => sum + ran.cpu, 0);
  const passed = done.reduce((sum, { result }) => sum + result.passed, 0);
  const files = done
    .flatMap(({ result }) => result.files)
    .sort((a, b) => b.seconds - a.seconds)
    .slice(0, SLOWEST);
  return [
    row('part', 'minutes', 'CPU minutes', 'passed'),
    row('---', '---', '---', '---'),
    ...done.map(({ part, ran, result }) => row(part, minutes(ran.wall), minutes(ran.cpu), result.passed)),
    row(`all, on ${cores} cores`, minutes(wall), minutes(cpu), passed),
    ...(files.length === 0 ? [] : ['', row('slowest files', 'seconds'), row('---', '---')]),
    ...files.map(({ name, seconds }) => row(name, seconds.toFixed(1))),
  ].join('\n');
}
