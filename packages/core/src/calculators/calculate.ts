import type { CalculatorInput, CalculatorName, CalculatorOutput } from '@keen/contract';
import { casterWithHeight } from './adjustment/casterWithHeight.ts';
import { eccentric } from './adjustment/eccentric.ts';
import { rearShim } from './adjustment/rearShim.ts';
import { rideHeight } from './adjustment/rideHeight.ts';
import { steeringWheelCentre } from './adjustment/steeringWheelCentre.ts';
import { tieRod } from './adjustment/tieRod.ts';
import { twoCams } from './adjustment/twoCams.ts';
import { wheelFit } from './adjustment/wheelFit.ts';
import { wishboneShims } from './adjustment/wishboneShims.ts';
import { axleSquare } from './angles/axleSquare.ts';
import { camberFromLevel } from './angles/camberFromLevel.ts';
import { camberFromSquare } from './angles/camberFromSquare.ts';
import { camberInTurn } from './angles/camberInTurn.ts';
import { camberInTurns } from './angles/camberInTurns.ts';
import { casterFromSwing } from './angles/casterFromSwing.ts';
import { floorSlope } from './angles/floorSlope.ts';
import { slip } from './angles/slip.ts';
import { thrust } from './angles/thrust.ts';
import { toeConvert } from './angles/toeConvert.ts';
import { toeFromFlags } from './angles/toeFromFlags.ts';
import { toeFromGauges } from './angles/toeFromGauges.ts';
import { toeFromStrings } from './angles/toeFromStrings.ts';
import { toeFromTape } from './angles/toeFromTape.ts';
import { InputError } from '../engine/errors/InputError.ts';
import { parseTireSize } from '../engine/tires/tireSize.ts';

type Calculators = { [N in CalculatorName]: (input: CalculatorInput<N>) => CalculatorOutput<N> };

const CALCULATORS: Calculators = {
  tireSize: ({ size }) => parseTireSize(size),
  toeConvert,
  toeFromTape,
  toeFromStrings,
  toeFromGauges,
  toeFromFlags,
  camberFromSquare,
  camberFromLevel,
  casterFromSwing,
  floorSlope,
  axleSquare,
  camberInTurn,
  camberInTurns,
  thrust,
  slip,
  tieRod,
  steeringWheelCentre,
  rearShim,
  eccentric,
  wishboneShims,
  twoCams,
  rideHeight,
  casterWithHeight,
  wheelFit,
};

/**
 * Runs a calculator by name. Input must already have passed the contract's schema.
 * @throws {InputError} for a geometry that cannot exist or a result that is not finite
 */
export function calculate<N extends CalculatorName>(
  name: N,
  input: CalculatorInput<N>,
): CalculatorOutput<N> {
  const result = CALCULATORS[name](input);
  refuseNonFinite(result);
  return result;
}

function refuseNonFinite(value: unknown): void {
  if (typeof value === 'number' && !Number.isFinite(value)) {
    throw new InputError('', 'finiteResult');
  }
  if (typeof value === 'object' && value !== null) Object.values(value).forEach(refuseNonFinite);
}
