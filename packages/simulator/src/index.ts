export { chartReadings, mainCause, scoreCars, scoreFlags } from './calibration.ts';
export type { CarScores, FlagScores, Reading, Truth } from './calibration.ts';
export { futureLife } from './futureLife.ts';
export { createPriorDraws } from './drawPrior.ts';
export { readingOf } from './readingOf.ts';
export { readChart } from './ruleChart.ts';
export type { ChartReading } from './ruleChart.ts';
export { CONSTANTS, simulateCar } from './simulateCar.ts';
export type { SimulatedCar, World } from './simulateCar.ts';
