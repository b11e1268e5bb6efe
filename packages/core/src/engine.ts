/** The inside of the diagnosis, for the simulator, the benchmarks and the page that explains it. */
export { createAttribution, WEAR_PARTS } from './engine/diagnosis/attribution.ts';
export { createDepthLikelihood } from './engine/diagnosis/depthLikelihood.ts';
export { tireReadings } from './engine/diagnosis/tireReadings.ts';
export { FAULTS, FAULT_COLUMN, HARD_CORNERING, LOOSE_DEG } from './engine/wear/faults.ts';
export type { Fault } from './engine/wear/faults.ts';
export { createFaultClassifier, FAULT_COUNT } from './engine/diagnosis/classifyFaults.ts';
export * from './engine/diagnosis/complaintLikelihood.ts';
export * from './engine/diagnosis/observationLikelihood.ts';
export { createPosterior, logLikelihood } from './engine/diagnosis/posterior.ts';
export type { Known, Posterior } from './engine/diagnosis/posterior.ts';
export * from './engine/diagnosis/faultPatterns.ts';
export * from './engine/diagnosis/faultRates.ts';
export * from './engine/diagnosis/prior.ts';
export * from './engine/math/normal.ts';
export { createChain } from './engine/diagnosis/sampler.ts';
export { createRandom } from './engine/random/random.ts';
export type { Random } from './engine/random/random.ts';
export { resolveCase } from './engine/case/resolveCase.ts';
export type { ResolvedCase } from './engine/case/resolveCase.ts';
export { WHEEL_ORDER } from './engine/case/wheels.ts';
export * from './engine/case/treadFacts.ts';
export * from './engine/wear/constants.ts';
export { tirePaths } from './engine/wear/paths.ts';
export {
  FIRST_NUISANCE,
  healthyState,
  NUISANCE_SPREADS,
  SPREAD,
  STATE,
  STATE_SIZE,
} from './engine/wear/state.ts';
export { pressureRate, tireLoss, tireSensitivity } from './engine/wear/tireLoss.ts';
export type { TirePath } from './engine/wear/tireLoss.ts';
export { constantFacts, noiseFacts, priorFacts } from './engine/diagnosis/modelFacts.ts';
export type { ConstantFact, Fact } from './engine/diagnosis/modelFacts.ts';
export { wearExamples } from './drawing/wearExamples.ts';
export type { WearExample } from './drawing/wearExamples.ts';
