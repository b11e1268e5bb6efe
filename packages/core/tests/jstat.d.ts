/** What tests use of the statistics package, which ships no types. */
declare module 'jstat' {
  interface Distribution {
    cdf(x: number, ...freedom: number[]): number;
    inv(p: number, ...freedom: number[]): number;
  }
  const jstat: Record<'chisquare' | 'centralF' | 'studentt', Distribution>;
  export default jstat;
}
