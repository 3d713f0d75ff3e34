/** The part of the statistics library that is used; it ships no types of its own. */
declare module 'jstat' {
  const jStat: {
    binomial: { cdf(k: number, n: number, p: number): number };
    chisquare: { cdf(x: number, degrees: number): number };
    normal: {
      cdf(x: number, mean: number, sd: number): number;
      inv(p: number, mean: number, sd: number): number;
    };
    studentt: { inv(p: number, degrees: number): number };
    /** The logarithm of n over k. */
    combinationln(n: number, k: number): number;
  };
  export default jStat;
}
