export { createPriorDraws } from './drawPrior.ts';
export { CONSTANTS, simulateCar } from './simulateCar.ts';
export type { SimulatedCar, World } from './simulateCar.ts';
