export { InputError } from './engine/errors/InputError.ts';
export * from './engine/units/units.ts';
export { parseMeasure } from './engine/units/parseMeasure.ts';
export { parseTireSize } from './engine/tires/tireSize.ts';
export type { TireSize } from './engine/tires/tireSize.ts';
export { dangers } from './visit/dangers.ts';
export type { Danger, DangerKind } from './visit/dangers.ts';
export { wheelStatus } from './engine/tires/wheelStatus.ts';
export { CALCULATOR_EXAMPLES } from './calculators/calculatorExamples.ts';
export { evenSwing } from './calculators/angles/casterFromSwing.ts';
export { camberInTurn } from './calculators/angles/camberInTurn.ts';
export { casterWithHeight } from './calculators/adjustment/casterWithHeight.ts';
export { wheelFit } from './calculators/adjustment/wheelFit.ts';
export { camberInTurns } from './calculators/angles/camberInTurns.ts';
export { floorSlope } from './calculators/angles/floorSlope.ts';
export { moveBody, rideHeight } from './calculators/adjustment/rideHeight.ts';
export type { FrontView, MovedView, Point } from './calculators/adjustment/rideHeight.ts';
export { calculate } from './calculators/calculate.ts';
export { toeConvert } from './calculators/angles/toeConvert.ts';
export { createRandom, hashSeed } from './engine/random/random.ts';
export type { Random } from './engine/random/random.ts';
export { WHEEL_ORDER, WHEELS_OF_AXLE, axleOf, sideOf, wheelsAt } from './engine/case/wheels.ts';
export {
  DEFAULT_LIMITS_MM,
  DEFAULT_TOLERANCES,
  byWheel,
  resolveCase,
} from './engine/case/resolveCase.ts';
export type { Range, ResolvedCase, ResolvedTire } from './engine/case/resolveCase.ts';
export { tireLoss } from './engine/wear/tireLoss.ts';
export { tirePaths } from './engine/wear/paths.ts';
export { healthyState, STATE, STATE_SIZE } from './engine/wear/state.ts';
export { FULL_SWEEPS, LIVE_SWEEPS } from './engine/diagnosis/diagnose.ts';
export { createDiagnosisRun, diagnose, diagnoseWhole } from './steps/explain/diagnose.ts';
export type { Draw } from './engine/diagnosis/nextChecks.ts';
export type {
  Answer,
  DiagnosisRun,
  ExpectedDepths,
  FullAnswer,
  WholeAnswer,
} from './engine/diagnosis/diagnose.ts';
export { misfits } from './steps/explain/misfit.ts';
export type { Misfit } from './steps/explain/misfit.ts';
export { depthsWith, settingOf } from './steps/explain/whatIf.ts';
export type { Setting } from './steps/explain/whatIf.ts';
export { fieldLabel } from './words/fieldLabels.ts';
export { causeWords, inHundred, sureWords, whereWords } from './words/causeWords.ts';
export { fieldAt } from './visit/fieldAt.ts';
export { foldEntries } from './visit/foldEntries.ts';
export type { FieldChange } from './visit/foldEntries.ts';
export { ASSUMED, countRead, draftToCase } from './visit/draftToCase.ts';
export type { DraftCase } from './visit/draftToCase.ts';
export { caseToChanges } from './visit/caseToChanges.ts';
export { readingOrder } from './steps/read/readingOrder.ts';
export type { Slot } from './steps/read/readingOrder.ts';
export { WALK, nothingFound, partsAt, stopState } from './steps/inspect/walk.ts';
export type { Stop, StopState } from './steps/inspect/walk.ts';
export { createTypedLine } from './steps/read/typedLine.ts';
export { readDigits } from './steps/read/digitEntry.ts';
export type { DigitEntry } from './steps/read/digitEntry.ts';
export {
  ALL_RIBS,
  VISIT_STEPS,
  missingArrival,
  nextStep,
  noteWords,
  stepStates,
} from './steps/visitSteps.ts';
export type { StepNote, StepProgress, StepState, VisitStep } from './steps/visitSteps.ts';
export {
  TOE_UNIT_WORDS,
  toeScaleOf,
  tireDiameter,
  isScaled,
  toeToDegrees,
  toeFromDegrees,
  plainToe,
  showToe,
} from './steps/measure/toeScale.ts';
export type { ToeScale } from './steps/measure/toeScale.ts';
export { toeFromText } from './calculators/angles/toeText.ts';
export { savedTurns, pooled, turnsLearned } from './steps/setRight/turnsLearned.ts';
export { ADJUSTER_FACTS } from './steps/setRight/adjusterFacts.ts';
export { lacksOf } from './steps/lacks.ts';
export type { Lack } from './steps/lacks.ts';
export { axleSection } from './drawing/axleSection.ts';
export { wheelsInSight } from './steps/measure/wheelsInSight.ts';
export type {
  DrawnAngle,
  DrawnAxle,
  DrawnWheel,
  WheelsInSight,
} from './steps/measure/wheelsInSight.ts';
export type { AxleSection, Bar, SectionTire } from './drawing/axleSection.ts';
export { sectionTires } from './drawing/sectionTires.ts';
export { axleSectionSvg } from './drawing/axleSectionSvg.ts';
export type { SectionInk } from './drawing/axleSectionSvg.ts';
export { rubberTaken } from './steps/explain/rubberTaken.ts';
export type { RubberTaken } from './steps/explain/rubberTaken.ts';
export { causeGroups } from './steps/explain/causeGroups.ts';
export type { CauseGroup } from './steps/explain/causeGroups.ts';
export { createReasons } from './steps/explain/reasons.ts';
export { diagnosisIn, partIn, recommendationIn } from './steps/explain/diagnosisIn.ts';
export { SAID_FROM } from './engine/diagnosis/chooseAction.ts';
export { ALIGNING } from './engine/outlook/courses.ts';
export { actionWords, courseWords, verdictOf } from './steps/explain/verdict.ts';
export type { Verdict } from './steps/explain/verdict.ts';
export { affectedRibs } from './steps/explain/affectedRibs.ts';
export { angleLedger, rowTitle } from './steps/measure/angleLedger.ts';
export type { Angles, LedgerRow } from './steps/measure/angleLedger.ts';
export { whatAnglesMean } from './steps/measure/angleMeaning.ts';
export { bentParts } from './steps/measure/bentPart.ts';
export type { BentPart } from './steps/measure/bentPart.ts';
export { limitsOf, tolerancesOf } from './steps/measure/limits.ts';
export type { Limit, Limits, LimitSource } from './steps/measure/limits.ts';
export {
  METHOD_FACTS,
  RESOLUTIONS,
  methodOf,
  methodSd,
  methodsFor,
  repeatOf,
  standardUncertainty,
} from './steps/measure/methods.ts';
export type { MethodFacts } from './steps/measure/methods.ts';
export {
  angleSd,
  readingInUse,
  readingPairs,
  readingsOf,
  applyReadings,
  readsEachWheel,
} from './steps/measure/readings.ts';
export type { NewReading, Reading, ReadingPair } from './steps/measure/readings.ts';
export { MAKES_STALE, staleAngles } from './steps/measure/stale.ts';
export type { StaleAngles } from './steps/measure/stale.ts';
export {
  alignmentState,
  alignmentWords,
  namesOf,
  planReason,
} from './steps/setRight/alignmentState.ts';
export type { AlignmentState, AlignmentWords } from './steps/setRight/alignmentState.ts';
export { leaveRows, leftRows } from './steps/setRight/leftRows.ts';
export { learnTurn, turnLeft } from './steps/setRight/learnedTurn.ts';
export type { LearnedTurn, TurnLeft } from './steps/setRight/learnedTurn.ts';
export { steeringOpen } from './steps/setRight/steeringWheel.ts';
export {
  measuredToday,
  methodsToday,
  invalidated,
  setupDoubts,
  setupList,
} from './steps/measure/setupList.ts';
export type { SetupItem } from './steps/measure/setupList.ts';
export { setRightPlan, wrongWheel } from './steps/setRight/setRightPlan.ts';
export type { PlanReason, PlanStep } from './steps/setRight/setRightPlan.ts';
export { reachOf, reachPartWords, usualAdjuster } from './steps/setRight/reach.ts';
export type { Reach } from './steps/setRight/reach.ts';
export { STARTING_POINTS, startingSheet } from './steps/measure/startingPoints.ts';
export type { StartingPoint } from './steps/measure/startingPoints.ts';
export { explainedWear } from './steps/measure/explainedWear.ts';
export type { ExplainedWear } from './steps/measure/explainedWear.ts';
export { TABLE_ANGLES, guessAngleMapping, readAngleTable } from './steps/measure/angleTable.ts';
export type { AngleMapping, TableAngle, TableFault } from './steps/measure/angleTable.ts';
export { rodTurn } from './calculators/adjustment/rodTurn.ts';
export { threadLeft } from './calculators/adjustment/threadLeft.ts';
export type { WheelFit } from './calculators/adjustment/wheelFit.ts';
export { shimPack } from './calculators/adjustment/shimPack.ts';
export type { ShimPack } from './calculators/adjustment/shimPack.ts';
export { closingList, closingWords, isSetAtHome } from './steps/setRight/closingList.ts';
export type { ClosingItem, ClosingWords } from './steps/setRight/closingList.ts';
export { FRONT_LAYOUTS } from './calculators/adjustment/frontLayouts.ts';
export type { FrontLayout } from './calculators/adjustment/frontLayouts.ts';
export { PART_FACTS, playAt, wheelsOf, wornParts } from './visit/wornParts.ts';
export type { WornPart } from './visit/wornParts.ts';
export { ROTATION_MOVES, rotationPatterns } from './engine/tires/rotations.ts';
export { isStaggered, mayRotate } from './visit/mayRotate.ts';
export { belowPlacard, serviceDescription } from './engine/tires/serviceDescription.ts';
export { distanceOnTires } from './visit/distanceOnTires.ts';
export { distanceRun, usualDistance } from './visit/distanceRun.ts';
export { readDateCode, tireAgeYears } from './engine/tires/dateCode.ts';
export { coldPressure } from './engine/tires/coldPressure.ts';
export { checkVin, plainVin } from './engine/vehicle/vin.ts';
export { WEAK_BATTERY_BELOW, batteryVerdict } from './engine/vehicle/battery.ts';
export { oddReading } from './steps/read/oddReading.ts';
export type { Oddity } from './steps/read/oddReading.ts';
export { readDepthText } from './steps/read/depthText.ts';
export { headsOf, allowsTwoReadings, readingConflicts } from './visit/conflicts.ts';
export type { Conflict } from './visit/conflicts.ts';
export { WIDE_COLUMNS, guessReadingMapping, readReadingTable } from './steps/read/readingTable.ts';
export type { CarReadings, ReadingFault, ReadingMapping } from './steps/read/readingTable.ts';
export { PASSING, passFaults } from './steps/read/passVerdict.ts';
export type { PassFault } from './steps/read/passVerdict.ts';
export { findGrooves, levelProfile, profileDepths } from './steps/read/profileDepths.ts';
export { passReadings } from './steps/read/passReadings.ts';
export type { PlaceDepths } from './steps/read/passReadings.ts';
export { readProfileTable } from './steps/read/profileTable.ts';
export type { ProfileFault } from './steps/read/profileTable.ts';
export type { DepthCurve, Span } from './engine/outlook/depthCurves.ts';
export { createOutlook } from './engine/outlook/outlook.ts';
export type { CourseOutlook, Outlook } from './engine/outlook/outlook.ts';
export { FURTHEST_KM } from './engine/outlook/ribWear.ts';
export { rankOptions } from './engine/outlook/choices.ts';
export { adviceWeighed, adviseAtPrices } from './steps/decide/adviseAtPrices.ts';
export { rankVisitOptions, workPrices } from './steps/decide/rankVisitOptions.ts';
export type {
  CheckWorth,
  Choice,
  Constraints,
  SensorChoice,
  CostComparison,
  WorkPrices,
} from './engine/outlook/choices.ts';
export { changeLines, lineMinor, roundMinor, sumEstimate } from './steps/decide/estimate.ts';
export type { EstimateSum } from './steps/decide/estimate.ts';
export { formatMoney, minorDigits, parseMoney, plainMoney } from './steps/decide/money.ts';
export { estimateLines } from './steps/decide/estimateLines.ts';
export { priceRows, readPriceRows } from './steps/decide/priceTable.ts';
export type { PriceFault } from './steps/decide/priceTable.ts';
export { reminders } from './steps/handOver/reminders.ts';
export type { Reminder } from './steps/handOver/reminders.ts';
export { LEGAL_LIMITS, WINTER_LIMITS } from './visit/fitment/legalLimits.ts';
export type { DepthLaw } from './visit/fitment/legalLimits.ts';
export { brokenRules } from './visit/fitment/fittingRules.ts';
export type { BrokenRule, FittingFault, FittingRule } from './visit/fitment/fittingRules.ts';
export { fittingWords, placardWords } from './words/fittingWords.ts';
export type { Texts } from './words/texts.ts';
export { sureIn } from './words/texts.ts';
export { textsOf } from './words/textsOf.ts';
export { customerPaper } from './steps/handOver/customerPaper.ts';
export { technicianPaper } from './steps/handOver/technicianPaper.ts';
export { lineWords, percentWords } from './steps/handOver/moneyBlocks.ts';
export { dangerLine, writerFor } from './steps/handOver/paperFacts.ts';
export type { PaperFacts, Writer } from './steps/handOver/paperFacts.ts';
export { angleRows, estimateRows, readingRows } from './steps/handOver/visitTables.ts';
export { USUAL_KM_PER_YEAR, datedReminders } from './steps/handOver/datedReminders.ts';
export { applyPackage, packageFits } from './steps/decide/packages.ts';
export { rotationPlan } from './visit/fitment/rotationPlan.ts';
export type { RotationPlan } from './visit/fitment/rotationPlan.ts';
export { declinedBefore } from './steps/decide/declinedBefore.ts';
export type { DeclinedBefore, EarlierVisit } from './steps/decide/declinedBefore.ts';
export { carStory } from './garage/carStory.ts';
export type { SetEvent, TireSet } from './garage/tireSets.ts';
export type { CarStory, WheelStory } from './garage/carStory.ts';
export type { PastVisit, VisitBefore } from './visit/earlierReadings.ts';
export type { TireLife, TirePoint } from './visit/tireLives.ts';
export { tiresReplaced, workDone } from './visit/workDone.ts';
export type { RateChange, WearStretch } from './garage/wearRates.ts';
export { kmPerYear, neededBy, needsByMonth, needsBySize } from './garage/fleetNeeds.ts';
export type { MonthNeeds, NeededBy, RunningCar, SizeNeeds } from './garage/fleetNeeds.ts';
export { carCost, WEAR_PARTS } from './garage/carCost.ts';
export type { CarCost, WearPart } from './garage/carCost.ts';
export { gaugeStudy } from './gauges/gaugeStudy.ts';
export type { GaugeStudy, SpreadMm, VarianceRow } from './gauges/gaugeStudy.ts';
export { studyDeal } from './gauges/studyDeal.ts';
export type { StudyTurn } from './gauges/studyDeal.ts';
export { studySoFar } from './gauges/studySoFar.ts';
export type { StudyReading, StudySoFar } from './gauges/studySoFar.ts';
export { canSee, readingSpread, TO_SEE_MM } from './gauges/readingSpread.ts';
export { READING_SD_MM, ROUNDING_MM } from './engine/case/treadFacts.ts';
export { INSTRUMENT_FACTS } from './gauges/instrumentFacts.ts';
export { instrumentRecord, LEAST_CHECKS } from './gauges/instrumentRecord.ts';
export type { InstrumentRecord } from './gauges/instrumentRecord.ts';
export { usedInstruments } from './gauges/usedInstruments.ts';
export { carEvidence } from './engine/diagnosis/carEvidence.ts';
export type { CarEvidence } from './engine/diagnosis/carEvidence.ts';
export { USUAL_CONSTANTS } from './engine/diagnosis/usualConstants.ts';
export { fitConstants, LEAST_CARS_TO_LEARN } from './insights/fitConstants.ts';
export type { FittedConstants, LearnedFigure, ShopCar } from './insights/fitConstants.ts';
export { lineKey } from './visit/constantsFor.ts';
export { acceptance, acceptanceBy } from './insights/acceptance.ts';
export type { Acceptance } from './insights/acceptance.ts';
export { anglesOut } from './insights/anglesOut.ts';
export { comebacks, LEAST_SEEN_AGAIN } from './insights/comebacks.ts';
export type { Comeback, FollowedVisit, WorkHeld } from './insights/comebacks.ts';
export { costOfDecline, declineCosts, LEAST_DECLINES } from './insights/declineCosts.ts';
export type { DeclineCost, SeenAgain } from './insights/declineCosts.ts';
export {
  forecastOf,
  forecastsHeld,
  forecastRibs,
  isAsForecast,
  LEAST_FORECASTS,
} from './insights/forecasts.ts';
export type { ForecastRib } from './insights/forecasts.ts';
export type { Interval, Mean } from './insights/interval.ts';
export type { HoldingStep } from './insights/holding.ts';
export type { Share } from './insights/share.ts';
export { LEAST_CARS, reliability } from './insights/reliability.ts';
export type { Reliability } from './insights/reliability.ts';
export { saidAndFound } from './insights/saidAndFound.ts';
