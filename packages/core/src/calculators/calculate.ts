import type { CalculatorInput, CalculatorName } from '@keen/contract';
import { slip } from '../angles/slip.ts';
import { toeConvert } from '../angles/toeConvert.ts';
import { InputError } from '../errors/InputError.ts';
import { parseTireSize } from '../tires/tireSize.ts';

type Calculators = { [N in CalculatorName]: (input: CalculatorInput<N>) => object };

const CALCULATORS: Calculators = {
  tireSize: ({ size }) => parseTireSize(size),
  toeConvert,
  slip,
};

/**
 * Runs a calculator by name. Input must already have passed the contract's schema.
 * @throws {InputError} for a geometry that cannot exist or a result that is not finite
 */
export function calculate<N extends CalculatorName>(name: N, input: CalculatorInput<N>): object {
  const result = CALCULATORS[name](input);
  refuseNonFinite(result);
  return result;
}

function refuseNonFinite(value: unknown): void {
  if (typeof value === 'number' && !Number.isFinite(value)) {
    throw new InputError('', 'input with a finite result');
  }
  if (typeof value === 'object' && value !== null) Object.values(value).forEach(refuseNonFinite);
}
