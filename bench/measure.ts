/** Ratios against a floor measured in the same run; never a timed test. */

export const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const began = performance.now();
  await work();
  return performance.now() - began;
};
export const median = (values: number[]): number => values.sort((a, b) => a - b)[values.length >> 1]!;

/** Milliseconds of something that does not wait. */
export const clock = (work: () => unknown): number => {
  const began = performance.now();
  work();
  return performance.now() - began;
};

export const report = (name: string, limit: number, ours: number, floor: number): void =>
  console.log(
    `${name}: ${ours.toFixed(1)} ms against ${floor.toFixed(1)} ms, ratio ${(ours / floor).toFixed(2)}${limit === 0 ? '' : ` (wanted: at most ${limit})`}`,
  );

/** Runs both in turn, so that whatever else the machine does falls on both alike. */
export async function ratio(
  name: string,
  limit: number,
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
  report(name, limit, median(a), median(b));
}
