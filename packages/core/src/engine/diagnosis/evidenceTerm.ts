/** One observation's log likelihood, and the elements of the state that it depends on. */
export interface EvidenceTerm {
  elements: readonly number[];
  log: (state: Float64Array) => number;
}
