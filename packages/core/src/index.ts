export { InputError } from './errors/InputError.ts';
export * from './units/units.ts';
export { parseMeasure } from './units/parseMeasure.ts';
export { parseTireSize } from './tires/tireSize.ts';
export type { TireSize } from './tires/tireSize.ts';
export { unsafeWheels } from './tires/unsafeWheels.ts';
export { wheelStatus } from './tires/wheelStatus.ts';
export { evenSwing } from './angles/casterFromSwing.ts';
export { camberInTurn } from './angles/camberInTurn.ts';
export { moveBody, rideHeight } from './adjustment/rideHeight.ts';
export type { FrontView, MovedView, Point } from './adjustment/rideHeight.ts';
export { calculate } from './calculators/calculate.ts';
export { createRandom, hashSeed } from './random/random.ts';
export type { Random } from './random/random.ts';
export { WHEEL_ORDER, WHEELS_OF_AXLE, axleOf, sideOf } from './case/wheels.ts';
export { DEFAULT_LIMITS_MM, DEFAULT_TOLERANCES, byWheel, resolveCase } from './case/resolveCase.ts';
export type { Range, ResolvedCase, ResolvedTire } from './case/resolveCase.ts';
export { tireLoss } from './wear/tireLoss.ts';
export { tirePaths } from './wear/paths.ts';
export { healthyState, STATE, STATE_SIZE } from './wear/state.ts';
export { FULL_SWEEPS, LIVE_SWEEPS, createDiagnosisRun, diagnose } from './diagnosis/diagnose.ts';
export type { Answer, DiagnosisRun, ExpectedDepths } from './diagnosis/diagnose.ts';
export { misfits } from './diagnosis/misfit.ts';
export type { Misfit } from './diagnosis/misfit.ts';
export { depthsWith, settingOf } from './diagnosis/whatIf.ts';
export type { Setting } from './diagnosis/whatIf.ts';
export { causeWords, sureWords, whereWords } from './diagnosis/causeWords.ts';
export { foldEntries } from './visit/foldEntries.ts';
export type { FieldChange } from './visit/foldEntries.ts';
export { ASSUMED, countRead, draftToCase } from './visit/draftToCase.ts';
export type { DraftCase } from './visit/draftToCase.ts';
export { caseToChanges } from './visit/caseToChanges.ts';
export { readingOrder } from './visit/readingOrder.ts';
export type { Slot } from './visit/readingOrder.ts';
export { readDigits } from './visit/digitEntry.ts';
export type { DigitEntry } from './visit/digitEntry.ts';
export { ALL_RIBS, VISIT_STEPS, missingArrival, nextStep, stepStates } from './visit/visitSteps.ts';
export type { StepState, VisitStep } from './visit/visitSteps.ts';
export { axleSection } from './drawing/axleSection.ts';
export type { AxleSection, Bar, SectionTire } from './drawing/axleSection.ts';
export { sectionTires } from './drawing/sectionTires.ts';
export { axleSectionSvg } from './drawing/axleSectionSvg.ts';
export type { SectionInk } from './drawing/axleSectionSvg.ts';
export { SAID_FROM, actionWords, inHundred, verdictOf } from './diagnosis/verdict.ts';
export type { Verdict } from './diagnosis/verdict.ts';
export { spokenRibs } from './diagnosis/spokenRibs.ts';
export { angleLedger } from './measure/angleLedger.ts';
export type { Angles, LedgerRow, LedgerState } from './measure/angleLedger.ts';
export { whatAnglesMean } from './measure/angleMeaning.ts';
export { bentParts } from './measure/bentPart.ts';
export type { BentPart } from './measure/bentPart.ts';
export { limitsOf, tolerancesOf } from './measure/limits.ts';
export type { Limit, Limits, LimitSource } from './measure/limits.ts';
export {
  METHOD_FACTS,
  RESOLUTIONS,
  angleSd,
  methodOf,
  methodsFor,
  repeatOf,
  standardUncertainty,
} from './measure/methods.ts';
export type { MethodFacts } from './measure/methods.ts';
export { setupDoubts, setupList, undermined } from './measure/setupList.ts';
export type { SetupItem } from './measure/setupList.ts';
export { setRightPlan } from './measure/setRightPlan.ts';
export type { PlanStep } from './measure/setRightPlan.ts';
export { reachOf, usualAdjuster } from './measure/reach.ts';
export type { Reach } from './measure/reach.ts';
export { STARTING_POINTS } from './measure/startingPoints.ts';
export type { StartingPoint } from './measure/startingPoints.ts';
export { explainedWear } from './measure/explainedWear.ts';
export type { ExplainedWear } from './measure/explainedWear.ts';
export { TABLE_ANGLES, guessAngleMapping, readAngleTable } from './measure/angleTable.ts';
export type { AngleMapping, TableAngle, TableFault } from './measure/angleTable.ts';
export { rodTurn } from './adjustment/rodTurn.ts';
export { shimPack } from './adjustment/shimPack.ts';
export type { ShimPack } from './adjustment/shimPack.ts';
export { closingList } from './measure/closingList.ts';
export type { ClosingItem } from './measure/closingList.ts';
export { FRONT_LAYOUTS } from './adjustment/frontLayouts.ts';
export type { FrontLayout } from './adjustment/frontLayouts.ts';
