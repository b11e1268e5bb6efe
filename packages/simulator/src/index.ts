export { chartReadings, mainCause, scoreCars, scoreFlags } from './calibration.ts';
export type { CarScores, FlagScores, Reading, Truth } from './calibration.ts';
export { createPriorDraws } from './drawPrior.ts';
export { readingOf } from './readingOf.ts';
export { readChart } from './ruleChart.ts';
export type { ChartReading } from './ruleChart.ts';
export { CONSTANTS, simulateCar, WORLD_NAMES, WORLDS } from './simulateCar.ts';
export type { SimulatedCar, WorldName } from './simulateCar.ts';
