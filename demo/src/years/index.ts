export { liveYears } from './liveYears.ts';
export type { Advise, Advised, LivedDecision, LivedVisit } from './liveYears.ts';
export { planYears, YEARS_CARS } from './planYears.ts';
export type { PlannedCar, PlannedVisit } from './planYears.ts';
